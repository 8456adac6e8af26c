import { useEffect, useMemo, useState } from 'react';
import type { Recipe } from '#core/book/recipe.ts';
import type { MadeFrom } from '#core/export/fingerprints.ts';
import type { Finding } from '#core/proof/index.ts';
import { useFormats } from '../parts/formats.tsx';
import { proofingRenderer, viewDrawn } from '../preview/renderers.ts';
import { useBook } from './store.ts';

/** The proof follows when the hand has rested. */
const REST_MS = 250;

export interface ProofState {
  findings: Finding[];
  /** False while the shown findings are of an older state. */
  current: boolean;
}

/** The findings of the open book, looked for in the background after every change. */
export function useProof(madeFrom: MadeFrom): ProofState {
  const recipe = useBook((state) => state.value);
  const { units, days, currency } = useFormats();
  const [state, setState] = useState<{ findings: Finding[]; of: Recipe | null }>({ findings: [], of: null });
  useEffect(() => {
    let wanted = true;
    let begun = false;
    const timer = setTimeout(async () => {
      await viewDrawn();
      if (!wanted) return;
      begun = true;
      const findings = await proofingRenderer().proof(recipe, madeFrom, { units, days, currency });
      if (wanted && findings) setState({ findings, of: recipe });
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
      if (begun) void proofingRenderer().leaveProof();
    };
  }, [recipe, madeFrom, units, days, currency]);
  const current = state.of === recipe;
  return useMemo(() => ({ findings: state.findings, current }), [state.findings, current]);
}
