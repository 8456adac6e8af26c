import { type HouseFaces, USUAL_FACES } from '../../faces/choice.ts';
import type { FaceId } from '../../faces/index.ts';
import { POINTS_PER } from '../../units.ts';

const mm = (n: number): number => n * POINTS_PER.mm;

/** How the blocks of a page are drawn. Sizes in points at 6 × 9 in. */
export interface Look {
  faces: { title: FaceId; label: FaceId; text: FaceId; note: FaceId };
  title: number;
  label: number;
  text: number;
  /** Labels in capitals, tracked, as a share of their size. */
  capitals: number | null;
  /** Of the corners of boxes. */
  radius: number;
  check: 'square' | 'round';
  /** The head of a page: a double rule under it, a disc before it, or sprigs beside it. */
  head: 'rule' | 'disc' | 'sprigs';
  /** The title of a block: over a rule, plain, or in the middle between leaves. */
  section: 'rule' | 'plain' | 'centered';
  table: 'lines' | 'zebra' | 'gaps';
  field: 'line' | 'pill';
  /** Lines to write on: dots in place of a line. */
  dotted: boolean;
  writing: number;
}

/** Three ways in which a house sets its pages. */
export const LOOKS = {
  almanac: {
    faces: {
      title: USUAL_FACES.display,
      label: 'alegreya-sans-medium',
      text: USUAL_FACES.text,
      note: 'alegreya-sans-italic',
    },
    title: 22,
    label: 9.6,
    text: 10.2,
    capitals: 0.045,
    radius: 0,
    check: 'square',
    head: 'rule',
    section: 'rule',
    table: 'lines',
    field: 'line',
    dotted: false,
    writing: 0.55,
  },
  soft: {
    faces: { title: 'fredoka-regular', label: 'nunito-bold', text: 'nunito-regular', note: 'nunito-italic' },
    title: 24,
    label: 8.6,
    text: 9.4,
    capitals: null,
    radius: mm(2.4),
    check: 'square',
    head: 'disc',
    section: 'plain',
    table: 'zebra',
    field: 'pill',
    dotted: true,
    writing: 0.45,
  },
  botanical: {
    faces: {
      title: 'cormorant-garamond-bold-italic',
      label: 'eb-garamond-italic',
      text: 'eb-garamond-regular',
      note: 'eb-garamond-italic',
    },
    title: 30,
    label: 10.6,
    text: 10.6,
    capitals: null,
    radius: mm(1.6),
    check: 'round',
    head: 'sprigs',
    section: 'centered',
    table: 'gaps',
    field: 'line',
    dotted: false,
    writing: 0.5,
  },
} as const satisfies Record<string, Look>;

export type LookId = keyof typeof LOOKS;

/** A look in the faces of a house that has chosen others than the usual ones. */
export function lookOf(id: LookId, house: HouseFaces<FaceId>): Look {
  const look: Look = LOOKS[id];
  const display = house.display === USUAL_FACES.display ? look.faces.title : house.display;
  const text = house.text === USUAL_FACES.text ? null : house.text;
  return {
    ...look,
    faces: text ? { title: display, label: text, text, note: text } : { ...look.faces, title: display },
  };
}
