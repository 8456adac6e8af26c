import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { isTyping } from '../parts/is-typing.ts';
import { useNiche } from './niche-desk.tsx';

/** Alt and a number opens a view; Ctrl+Z takes the last mark back, unless something is being typed. */
export function useNicheKeys(views: readonly string[]): void {
  const { niche, undo } = useNiche();
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const view =
        event.altKey && /^Digit[1-9]$/.test(event.code) ? views[Number(event.code.slice(5)) - 1] : undefined;
      if (view !== undefined) void navigate(`/niches/${niche.id}/${view}`);
      else if (
        (event.ctrlKey || event.metaKey) &&
        event.key === 'z' &&
        !event.shiftKey &&
        !isTyping(event.target)
      )
        undo();
      else return;
      event.preventDefault();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [niche.id, undo, navigate, views]);
}
