import type { Rect } from '../../print/index.ts';
import { points } from '../paper/settings.ts';
import { type MusicOptions, STRINGS, type StaffKind, SYSTEMS } from './options.ts';

/** A staff on its page, in points. */
export interface Staff {
  kind: StaffKind;
  top: number;
  /** From line to line. */
  space: number;
  lines: number;
}

export interface System {
  staves: Staff[];
  /** Where chords stand, above the first staff; null for none. */
  chords: { top: number; height: number } | null;
  /** Y of the line for words. */
  lyrics: number | null;
}

/** Tablature is written in with figures, which want wider spaces. */
const TAB_SPACE = 1.4;
/** Between staves of one system, and between systems at least, in heights of a staff. */
const INSIDE = 1.15;
const BETWEEN = 0.55;
/** Of chord boxes and their distance to the staff, in points at the usual staff of 7 mm. */
export const CHORD_HEIGHT = {
  none: 0,
  names: points(6, 'mm'),
  guitar: points(12, 'mm'),
  ukulele: points(12, 'mm'),
};
const CHORD_GAP = points(2.2, 'mm');
const LYRICS_GAP = points(7.5, 'mm');

interface Measured {
  height: number;
  above: number;
  below: number;
  staves: { kind: StaffKind; at: number; space: number; lines: number; height: number }[];
}

function measure(chosen: MusicOptions): Measured {
  const usual = points(chosen.staffHeight, 'mm');
  const staves: Measured['staves'] = [];
  let at = 0;
  let end = 0;
  const kinds: readonly StaffKind[] = SYSTEMS[chosen.clef];
  // What is sung stands under the first staff.
  const sung = chosen.lyrics ? LYRICS_GAP : 0;
  for (const kind of kinds) {
    const strings = STRINGS[kind];
    const space = (usual / 4) * (strings ? TAB_SPACE : 1);
    const lines = strings ?? 5;
    const height = (lines - 1) * space;
    staves.push({ kind, at, space, lines, height });
    const after = INSIDE * usual + (staves.length === 1 ? sung / 2 : 0);
    at += height + after;
    end = at - after;
  }
  return {
    staves,
    height: end,
    above: chosen.chords === 'none' ? 0 : CHORD_HEIGHT[chosen.chords] + CHORD_GAP,
    below: kinds.length === 1 ? sung : 0,
  };
}

/**
 * As many systems as are asked for and fit, the first at the top and the last at the foot of the page, so that facing pages
 * meet.
 */
export function systemsOf(area: Pick<Rect, 'y' | 'height'>, chosen: MusicOptions): System[] {
  const { staves, height, above, below } = measure(chosen);
  const usual = points(chosen.staffHeight, 'mm');
  const wanted = Math.max(1, Math.round(chosen.staves / staves.length));
  const whole = above + height + below;
  const most = Math.floor((area.height + BETWEEN * usual + 1e-6) / (whole + BETWEEN * usual));
  const count = Math.max(0, Math.min(wanted, most));
  const step = count > 1 ? (area.height - whole) / (count - 1) : 0;
  return Array.from({ length: count }, (_, i) => {
    const top = area.y + i * step;
    return {
      staves: staves.map(({ at, ...staff }) => ({
        kind: staff.kind,
        space: staff.space,
        lines: staff.lines,
        top: top + above + at,
      })),
      chords: above ? { top, height: above - CHORD_GAP } : null,
      lyrics: chosen.lyrics ? top + above + staves[0]!.height + LYRICS_GAP : null,
    };
  });
}

/** Systems that were asked for. */
export const systemsWanted = ({ staves, clef }: MusicOptions): number =>
  Math.max(1, Math.round(staves / SYSTEMS[clef].length));
