import { addDays, formatISO, parseISO } from 'date-fns';
import * as v from 'valibot';
import { randomStream } from '../random.ts';
import { artwork, pdf, picture, texts } from '../resources/index.ts';
import { BLACK, ellipsePath, type Mark, rectPath, textLine } from '../scene/index.ts';
import { enumOf, exactObject, identifier, integerBetween } from '../schema.ts';
import { setting } from '../settings.ts';
import { flowColumns, lineMarks, setParagraph } from '../text/index.ts';
import { type DrawContext, defineKind, itemUnits, type PageKind, type Unit } from './kind.ts';

/** Kinds that nobody is offered: each uses what the ones on offer do not. */

const FACE = 'alegreya-sans-regular';

/** A page a day: how many follows from the options. Each month begins on a recto and has an entry in the contents. */
export const datedSample = defineKind({
  id: 'dated-sample',
  version: 1,
  name: 'Dated pages',
  purpose: 'A page for every day.',
  family: 'Samples',
  extent: 'derived',
  defaultCount: 0,
  numbered: true,
  options: exactObject({
    from: v.optional(v.pipe(v.string(), v.isoDate()), '2027-01-01'),
    days: setting(integerBetween(1, 366), 31, { label: 'Days' }),
  }),
  units: ({ options: { from, days } }) =>
    Array.from({ length: days }, (_, i): Unit => {
      const day = formatISO(addDays(parseISO(from), i), { representation: 'date' });
      return day.endsWith('-01') || i === 0
        ? { side: 'recto', contents: day.slice(0, 7), data: day }
        : { data: day };
    }),
  draw: ({ body, unit, type }) => [
    textLine(type, String(unit.data), { face: FACE, size: 14, color: BLACK }, body.x, body.y + 14),
  ],
});

/** Art on rectos alone; its back is gray, so that ink does not show through. */
export const artSample = defineKind({
  id: 'art-sample',
  version: 1,
  name: 'Art',
  purpose: 'One drawing to a leaf.',
  family: 'Samples',
  extent: 'pages',
  defaultCount: 4,
  numbered: true,
  options: exactObject({ back: v.optional(enumOf(['blank', 'gray']), 'gray') }),
  units: ({ count, options }) =>
    Array.from({ length: count }, () => ({ back: options.back === 'gray' ? 'drawn' : 'blank' }) as const),
  draw: ({ body, part, unit }: DrawContext<{ back: string }, never>): Mark[] =>
    part === 'back'
      ? [{ type: 'path', path: rectPath(body.x, body.y, body.width, body.height), fill: { gray: 0.8 } }]
      : [
          {
            type: 'path',
            path: ellipsePath(
              body.x + body.width / 2,
              body.y + body.height / 2,
              body.width / (unit.back ? 3 : 2),
            ),
            stroke: { width: 2, paint: BLACK },
          },
        ],
  inspectUnit: ({ part, body }) =>
    part === 'page' && body.width < 200
      ? [{ severity: 'look', message: 'The drawing is small on this trim.' }]
      : [],
});

export interface SumItem {
  left: number;
  right: number;
}

/** Sums to work out: three kinds of them differ in name and in how their answers can be shown. */
const sums = (
  id: string,
  name: string,
  more: Partial<PageKind<{ perPage: number; rising: boolean }, SumItem>>,
) =>
  defineKind<{ perPage: number; rising: boolean }, SumItem>({
    id,
    version: 1,
    name,
    purpose: 'Sums.',
    family: 'Samples',
    extent: 'items',
    defaultCount: 10,
    numbered: true,
    options: exactObject({
      perPage: v.optional(integerBetween(1, 12), 1),
      rising: v.optional(v.boolean(), false),
    }),
    itemName: 'puzzle',
    itemsPerUnit: ({ perPage }) => perPage,
    units: ({ count, options }) => itemUnits(count, options.perPage),
    usesPlace: true,
    fill({ streamKey, item, roll, total = 1, options: { rising } }) {
      const random = randomStream(...streamKey, item, roll);
      const level = rising ? Math.ceil((10 * item) / total) : 10;
      return { left: 10 * level - random.int(9), right: 1 + random.int(9) };
    },
    data: ({ left, right }) => ({ left, right, sum: left + right }),
    draw: ({ body, items, type }) =>
      items.map(({ label, item, solutionPage }, i) =>
        textLine(
          type,
          `${label}: ${item.left} + ${item.right}, answer on page ${solutionPage}`,
          { face: FACE, size: 12, color: BLACK },
          body.x,
          body.y + 20 + 30 * i,
        ),
      ),
    solution: {
      box: ({ label, item, page }, box, { type }) => [
        textLine(
          type,
          `${label} (page ${page}): ${item.left + item.right}`,
          { face: FACE, size: 9, color: BLACK },
          box.x,
          box.y + 10,
        ),
      ],
      lines: { count: () => 1, text: ({ label, item }) => [`${label}: ${item.left + item.right}`] },
    },
    inspect: ({ left, right }, { label }) =>
      left > 0 && right > 0 ? [] : [{ severity: 'fix', message: `${label}: is no sum.` }],
    inspectSection(items) {
      const seen = new Map<string, string>();
      return items.flatMap(({ number, label, item: { left, right } }) => {
        const sum = `${left} + ${right}`;
        const first = seen.get(sum);
        seen.set(sum, first ?? label);
        return first
          ? [{ severity: 'look' as const, message: `${label}: is the same as ${first}.`, item: number }]
          : [];
      });
    },
    ...more,
  });

export const sumsSample = sums('sums-sample', 'Sums', {});
/** Its answers are text alone, two lines each. */
export const textSumsSample = sums('text-sums-sample', 'Text sums', {
  solution: {
    lines: { count: () => 2, text: ({ label, item }) => [`${label}:`, String(item.left + item.right)] },
  },
});
/** Its items are called otherwise, and it has no answers. */
export const openSumsSample = sums('open-sums-sample', 'Open sums', { itemName: 'task', solution: {} });

/** A text of a hundred short lines: how many pages it takes depends on the frame. */
export const proseSample = defineKind({
  id: 'prose-sample',
  version: 1,
  name: 'Prose',
  purpose: 'A text that runs over pages.',
  family: 'Samples',
  extent: 'derived',
  defaultCount: 0,
  numbered: true,
  options: exactObject({ words: v.optional(integerBetween(1, 100_000), 1000) }),
  units({ options: { words }, frame }) {
    const { width, height } = frame('recto').safe;
    const wordsToAPage = Math.floor(width / 30) * Math.floor(height / 14);
    return Array.from({ length: Math.ceil(words / wordsToAPage) }, (_, page) => ({ data: page }));
  },
  draw: () => [],
});

/** Texts in columns: justified, their words broken by the language of the book, titles (#) in small capitals. */
export const textSample = defineKind({
  id: 'text-sample',
  version: 1,
  name: 'Text',
  purpose: 'A page of text.',
  family: 'Samples',
  extent: 'single',
  defaultCount: 1,
  numbered: true,
  hyphenates: true,
  options: exactObject({
    texts: v.optional(identifier, 'texts'),
    columns: setting(integerBetween(1, 4), 2, { label: 'Columns' }),
    align: v.optional(enumOf(['ragged', 'justify']), 'justify'),
  }),
  needs: ({ texts: id }) => [{ id, type: 'texts', path: 'texts' }],
  units: () => [{}],
  draw({ body, options, resources, type, hyphenate }): Mark[] {
    const [gap, leading] = [18, 14];
    const width = (body.width - gap * (options.columns - 1)) / options.columns;
    const set = resources.value(texts, options.texts).map((text) => {
      const title = text.startsWith('# ');
      const style = { face: 'alegreya-regular', size: 10.5, color: BLACK, smallCaps: title } as const;
      const lines = setParagraph(
        type,
        title ? text.slice(2) : text,
        { ...style, align: options.align, ...(title ? {} : { indent: 12, hyphenate }) },
        width,
      );
      return { title, style, lines };
    });
    const flowing = set.map(({ title, lines }) => ({ lines: lines.length, withNext: title }));
    const layout = { columns: options.columns, rows: Math.floor(body.height / leading) };
    const [page = []] = flowColumns(flowing, layout);
    return page.flatMap(({ of, from, lines, column, row }) =>
      set[of]!.lines.slice(from, from + lines).flatMap((line, i) =>
        lineMarks(
          type,
          line,
          set[of]!.style,
          body.x + column * (width + gap),
          body.y + (row + i + 1) * leading,
        ),
      ),
    );
  },
});

/** Two pages that face each other. */
export const spreadSample = defineKind({
  id: 'spread-sample',
  version: 1,
  name: 'Spread',
  purpose: 'Two facing pages.',
  family: 'Samples',
  extent: 'pages',
  defaultCount: 2,
  numbered: true,
  options: exactObject({}),
  units: ({ count }) => Array.from({ length: count }, () => ({ side: 'facing' as const })),
  draw: ({ part, body, type }) => [
    textLine(type, part, { face: FACE, size: 12, color: BLACK }, body.x, body.y + 20),
  ],
});

/** Pages of a PDF: how many follows from the PDF. */
export const importedSample = defineKind({
  id: 'imported-sample',
  version: 1,
  name: 'Imported pages',
  purpose: 'The pages of a PDF.',
  family: 'Samples',
  extent: 'derived',
  defaultCount: 0,
  numbered: true,
  options: exactObject({ file: v.optional(identifier, 'file') }),
  needs: ({ file }) => [{ id: file, type: 'pdf', path: 'file' }],
  units: ({ options: { file }, facts }) =>
    Array.from({ length: facts(pdf, file)?.pages ?? 0 }, (_, page): Unit => ({ data: page + 1 })),
  draw: ({ body, options: { file }, resources, unit, type }) => [
    textLine(
      type,
      `page ${unit.data} of ${resources.value(pdf, file).pages}`,
      { face: FACE, size: 12, color: BLACK },
      body.x,
      body.y + 20,
    ),
  ],
});

/** A picture as wide as the page. */
export const pictureSample = defineKind({
  id: 'picture-sample',
  version: 1,
  name: 'Picture',
  purpose: 'One picture.',
  family: 'Samples',
  extent: 'single',
  defaultCount: 1,
  numbered: true,
  options: exactObject({ picture: v.optional(identifier, 'picture') }),
  needs: ({ picture: id }) => [{ id, type: 'picture', path: 'picture' }],
  units: () => [{}],
  draw: ({ body, options, resources }): Mark[] => {
    const raster = resources.value(picture, options.picture);
    const height = (body.width * raster.height) / raster.width;
    return [{ type: 'image', image: raster, x: body.x, y: body.y, width: body.width, height }];
  },
});

/** A drawing as wide as a third of the page, nine times: drawn once, placed often. */
export const artworkSample = defineKind({
  id: 'artwork-sample',
  version: 1,
  name: 'Drawings',
  purpose: 'Nine drawings.',
  family: 'Samples',
  extent: 'single',
  defaultCount: 1,
  numbered: true,
  options: exactObject({ artwork: v.optional(identifier, 'artwork') }),
  needs: ({ artwork: id }) => [{ id, type: 'artwork', path: 'artwork' }],
  units: () => [{}],
  draw: ({ body, options, resources }): Mark[] => {
    const { drawing, width } = resources.value(artwork, options.artwork);
    const side = body.width / 3;
    const scale = side / width;
    return Array.from({ length: 9 }, (_, i) => ({
      type: 'symbol',
      drawing,
      matrix: [scale, 0, 0, scale, body.x + (i % 3) * side, body.y + Math.floor(i / 3) * side],
    }));
  },
});

const rulesOf = (weight: number, spacing: number, key: string) => ({
  name: 'Rules',
  purpose: 'Rules across the page.',
  family: 'Samples',
  extent: 'pages' as const,
  defaultCount: 2,
  numbered: true,
  options: exactObject({ [key]: setting(integerBetween(1, 40), 4, { label: 'Rules' }) }) as never,
  units: ({ count }: { count: number }) => Array.from({ length: count }, () => ({})),
  draw: ({ body, options }: DrawContext<Record<string, number>, never>): Mark[] =>
    Array.from({ length: options[key]! }, (_, i) => ({
      type: 'path' as const,
      path: rectPath(body.x, body.y + spacing * (i + 1), body.width, weight),
      fill: BLACK,
    })),
});

/** Its second version draws closer rules than the first, which is kept; its third only renamed an option. */
export const agedSample = defineKind<Record<string, number>, never>({
  id: 'aged-sample',
  version: 3,
  ...rulesOf(1, 12, 'rules'),
  earlier: [
    {
      version: 1,
      migrate: (options) => options,
      changes: 'Rules stand closer, 12 pt apart.',
      kept: { id: 'aged-sample', version: 1, ...rulesOf(1, 20, 'lines') } as never,
    },
    { version: 2, migrate: ({ lines, ...rest }) => (lines === undefined ? rest : { ...rest, rules: lines }) },
  ],
});

/** Counts how many steps of making were taken, for all items together. */
export const stepsTaken = { count: 0 };

/** Sums of many numbers, added one a step: an item that takes long. */
export const slowSample = defineKind<Record<string, never>, { total: number }>({
  id: 'slow-sample',
  version: 1,
  name: 'Long sums',
  purpose: 'Sums that take long.',
  family: 'Samples',
  extent: 'items',
  defaultCount: 2,
  numbered: true,
  options: exactObject({}) as never,
  itemName: 'sum',
  units: ({ count }) => itemUnits(count),
  *fillSteps({ streamKey, item, roll }) {
    const random = randomStream(...streamKey, item, roll);
    let total = 0;
    for (let i = 0; i < 10; i++) {
      total += Math.floor(random.unit() * 100);
      stepsTaken.count++;
      yield;
    }
    return { total };
  },
  data: (item) => item,
  draw: ({ body, items, type }) =>
    items.map(({ item }) =>
      textLine(type, String(item.total), { face: FACE, size: 12, color: BLACK }, body.x, body.y + 20),
    ),
  solution: {
    box: ({ item }, box, { type }) => [
      textLine(type, String(item.total), { face: FACE, size: 10, color: BLACK }, box.x, box.y + 12),
    ],
  },
  inspect: ({ total }) => (total >= 0 ? [] : [{ severity: 'fix', message: 'is no sum.' }]),
});
