import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { useNiche } from './niche-desk.tsx';

/** Alt and a number opens a view. */
export function useNicheKeys(views: readonly string[]): void {
  const { niche } = useNiche();
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const view =
        event.altKey && /^Digit[1-9]$/.test(event.code) ? views[Number(event.code.slice(5)) - 1] : undefined;
      if (view === undefined) return;
      void navigate(`/niches/${niche.id}/${view}`);
      event.preventDefault();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [niche.id, navigate, views]);
}
