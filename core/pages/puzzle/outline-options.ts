import * as v from 'valibot';
import { OUTLINE_LETTERS, type Outline, SHAPES, type ShapeId } from '../../puzzles/outline/index.ts';
import { enumOf, text } from '../../schema.ts';
import { type SettingNotes, setting } from '../../settings.ts';

const shapes = Object.keys(SHAPES) as [ShapeId, ...ShapeId[]];
const named = (id: string) => id.charAt(0).toUpperCase() + id.slice(1);

const character = v.pipe(
  text(1, 1),
  v.check(
    (letter) => OUTLINE_LETTERS.includes(letter.toUpperCase()),
    'is no letter from A to Z and no digit from 0 to 9.',
  ),
);

/** The outline of a grid: none, a shape, or a letter or digit, which `characterSetting` asks for. */
export const shapeSetting = (more: Partial<SettingNotes> = {}) =>
  setting(enumOf(['whole', ...shapes, 'character']), 'whole', {
    label: 'Outline',
    values: {
      whole: 'Whole grid',
      ...Object.fromEntries(shapes.map((id) => [id, named(id)])),
      character: 'A letter or digit',
    },
    ...more,
  });

export const characterSetting = () =>
  setting(character, 'A', { label: 'Letter or digit', when: { shape: ['character'] } });

/** The outline of a pinned puzzle: `whole` for none. */
export const pinnedOutline = enumOf(['whole', ...shapes, ...OUTLINE_LETTERS]);

/** The outline that options ask for; `whole` for none. */
export const outlineOf = ({
  shape,
  character: letter,
}: {
  shape: ShapeId | 'whole' | 'character';
  character: string;
}): Outline => (shape === 'character' ? letter.toUpperCase() : shape);
