import { useEffect, useState } from 'react';

/** Seconds that have gone by while it runs. */
export function useClock(runs: boolean): number {
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    if (!runs) return;
    const timer = setInterval(() => setSeconds((before) => before + 1), 1000);
    return () => clearInterval(timer);
  }, [runs]);
  return seconds;
}

/** 4:07, or 1:04:07 from an hour on. */
export function clockTime(seconds: number): string {
  const two = (n: number) => String(n).padStart(2, '0');
  const [hours, minutes] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60];
  return `${hours ? `${hours}:${two(minutes)}` : minutes}:${two(seconds % 60)}`;
}
