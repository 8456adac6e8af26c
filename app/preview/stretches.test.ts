import { describe, expect, it, vi } from 'vitest';
import { inStretches, otherWork, stretches } from './stretches.ts';

describe('work in stretches', () => {
  it('lets what was asked meanwhile go first, and leaves off when it is not wanted any more', async () => {
    const clock = vi.spyOn(performance, 'now').mockReturnValue(0);
    try {
      let wanted = true;
      const goesOn = stretches(() => wanted);
      const done: string[] = [];
      void otherWork().then(() => done.push('other'));
      expect(await goesOn()).toBe(true);
      expect(done).toEqual([]);
      clock.mockReturnValue(1000);
      expect(await goesOn()).toBe(true);
      expect(done).toEqual(['other']);
      wanted = false;
      expect(await goesOn()).toBe(true);
      clock.mockReturnValue(2000);
      expect(await goesOn()).toBe(false);
    } finally {
      clock.mockRestore();
    }
  });

  it('waits for what a step waits for, and gives what the last one gives', async () => {
    const seen: string[] = [];
    function* steps() {
      yield Promise.resolve().then(() => void seen.push('waited for'));
      seen.push('next');
      yield;
      return 'made';
    }
    expect(await inStretches(steps(), () => true)).toBe('made');
    expect(seen).toEqual(['waited for', 'next']);
  });
});
