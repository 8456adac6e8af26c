/**
 * How panels share a page: rows from the top, each with a share of the height and the shares of the width of its panels; or
 * columns from the left, likewise. `lean` tilts the gutters between panels of a row, as a share of its height.
 */
export interface Arrangement {
  name: string;
  by: 'rows' | 'columns';
  bands: readonly { share: number; panels: readonly number[]; lean?: number }[];
}

const rows = (name: string, ...bands: Arrangement['bands']): Arrangement => ({ name, by: 'rows', bands });
const columns = (name: string, ...bands: Arrangement['bands']): Arrangement => ({
  name,
  by: 'columns',
  bands,
});
const band = (share: number, panels: readonly number[], lean = 0) => ({ share, panels, lean });

export const ARRANGEMENTS = {
  four: rows('Four', band(1, [1, 1]), band(1, [1, 1])),
  six: rows('Six', band(1, [1, 1]), band(1, [1, 1]), band(1, [1, 1])),
  eight: rows('Eight', band(1, [1, 1]), band(1, [1, 1]), band(1, [1, 1]), band(1, [1, 1])),
  nine: rows('Nine', band(1, [1, 1, 1]), band(1, [1, 1, 1]), band(1, [1, 1, 1])),
  strips: rows('Three strips', band(1, [1]), band(1, [1]), band(1, [1])),
  'four-strips': rows('Four strips', band(1, [1]), band(1, [1]), band(1, [1]), band(1, [1])),
  opening: rows('Large opening', band(1.6, [1]), band(1, [1, 1]), band(1, [1, 1])),
  ending: rows('Large ending', band(1, [1, 1]), band(1, [1, 1]), band(1.6, [1])),
  middle: rows('Wide middle', band(1, [1, 1]), band(1.2, [1]), band(1, [1, 1])),
  stairs: rows('Steps', band(1, [1, 2]), band(1, [1.5, 1.5]), band(1, [2, 1])),
  zigzag: rows('Zigzag', band(1, [2, 1]), band(1, [1, 2]), band(1, [2, 1])),
  triptych: rows('Triptych', band(1.4, [1]), band(1, [1, 1, 1])),
  mixed: rows('Mixed', band(1, [1, 1, 1]), band(1.4, [2, 1]), band(1, [1, 1])),
  splash: rows('One large', band(1, [1])),
  'two-tall': columns('Two tall', band(1, [1]), band(1, [1])),
  'tall-left': columns('Tall at the left', band(1, [1]), band(1.3, [1, 1, 1])),
  'tall-right': columns('Tall at the right', band(1.3, [1, 1, 1]), band(1, [1])),
  towers: columns('Three columns', band(1, [1, 1.5]), band(1, [1.5, 1]), band(1, [1, 1.5])),
  action: rows('Slanted', band(1, [1, 1], 0.25), band(1.2, [1, 1.4], -0.25), band(1, [1.3, 1], 0.2)),
  chase: rows('Slanted strips', band(1, [1, 1, 1], 0.3), band(1.3, [1]), band(1, [1, 1, 1], -0.3)),
} as const satisfies Record<string, Arrangement>;

export type ArrangementId = keyof typeof ARRANGEMENTS;
