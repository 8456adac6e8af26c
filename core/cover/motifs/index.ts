import type { RandomStream } from '../../random.ts';
import type { Path } from '../../scene/index.ts';
import type { MotifName } from '../names.ts';
import { hexagon } from './hexagon.ts';
import { leaf } from './leaf.ts';
import { shell } from './shell.ts';
import { star } from './star.ts';

/** One figure of a motif round a middle point, about `r` points in radius. */
export type Motif = (x: number, y: number, r: number, random: RandomStream) => { path: Path; detail?: Path };

export const motifs: Record<MotifName, Motif> = {
  hexagons: hexagon,
  stars: star,
  shells: shell,
  leaves: leaf,
};
