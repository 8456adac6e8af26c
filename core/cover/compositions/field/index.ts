import type * as v from 'valibot';
import { rectPath } from '../../../scene/index.ts';
import { exactObject, numberBetween, text } from '../../../schema.ts';
import { setting } from '../../../settings.ts';
import { type Composition, type CoverContext, type CoverLayer, defineComposition } from '../composition.ts';
import { figuresOnFront, paletteOf, rowOnBack } from './figures.ts';
import { columnOnBack, ROW_ABOVE_CLEAR, wordsOnBack, wordsOnFront, wordsOnSpine } from './words.ts';

const options = exactObject({
  titleSize: setting(numberBetween(50, 150), 100, { label: 'Title size', unit: '%', step: 5 }),
});

const fields = exactObject({
  blurb: setting(text(0, 1200), '', { label: 'Back-cover blurb', rows: 4 }),
});

export type FieldOptions = v.InferOutput<typeof options>;
export type FieldFields = v.InferOutput<typeof fields>;

/** @param leastOnSpine points; words that would be smaller there are left off */
const layersWith =
  (leastOnSpine: number) =>
  (context: CoverContext<FieldOptions, FieldFields>): CoverLayer[] => {
    const { recipe, sheet, front, back, spine } = context;
    const layers: CoverLayer[] = [
      {
        id: 'ground',
        name: 'Background',
        role: 'ground',
        panel: 'sheet',
        anchor: { x: 'center', y: 'middle' },
        marks: [
          {
            type: 'path',
            path: rectPath(sheet.x, sheet.y, sheet.width, sheet.height),
            fill: paletteOf(recipe).ground,
            background: true,
          },
        ],
      },
    ];
    if (front)
      layers.push(
        {
          id: 'front-figures',
          name: 'Field of figures',
          role: 'art',
          panel: 'front',
          anchor: { x: 'left', y: 'bottom' },
          marks: figuresOnFront(recipe, front, sheet),
        },
        ...wordsOnFront(context),
      );
    if (back)
      layers.push(
        {
          id: 'back-figures',
          name: 'Row of figures',
          role: 'art',
          panel: 'back',
          anchor: { x: 'left', y: 'bottom' },
          marks: rowOnBack(recipe, back, columnOnBack(back).x, back.clear.y - ROW_ABOVE_CLEAR),
        },
        ...wordsOnBack(context),
      );
    if (spine) layers.push(...wordsOnSpine(context, leastOnSpine));
    return layers;
  };

/** What every version says of itself. */
const titleOverField = { id: 'field', name: 'Field', options, fields } as const;

/** Sets words on every spine, however small. */
const first = defineComposition<FieldOptions, FieldFields>({
  ...titleOverField,
  version: 1,
  layers: layersWith(0),
});

/** Type under this is not read on a spine, and not taken by most services. Common practice, no source. */
const LEAST_ON_SPINE = 7;

/** Title over a field of the house motif on a plain dark ground. */
export const field = defineComposition<FieldOptions, FieldFields>({
  ...titleOverField,
  version: 2,
  earlier: [
    {
      version: 1,
      migrate: (same) => same,
      changes: `A spine that is too narrow for type of ${LEAST_ON_SPINE} pt has no words on it.`,
      kept: first as unknown as Composition,
    },
  ],
  layers: layersWith(LEAST_ON_SPINE),
});
