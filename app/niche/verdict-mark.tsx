import { Circle, Diamond, type LucideIcon, X } from 'lucide-react';
import type { VerdictWord } from '#core/niche/verdict.ts';
import { Mark } from '../parts/mark.tsx';

const SIGNS: Record<VerdictWord, { icon: LucideIcon; filled?: boolean }> = {
  open: { icon: Diamond, filled: true },
  'worth a try': { icon: Diamond },
  crowded: { icon: X },
  'no demand': { icon: Circle },
};

/** The sign of a verdict, beside its word, so that none is told by color alone. */
export const VerdictMark = ({ word }: { word: VerdictWord }) => <Mark {...SIGNS[word]} />;
