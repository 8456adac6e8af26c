import * as v from 'valibot';
import { type Rect, typeSize } from '../../print/index.ts';
import { printedWords } from '../../printed-words/index.ts';
import { linePath, type Mark } from '../../scene/index.ts';
import { enumOf, exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { DrawContext } from '../kind.ts';
import { definePaper } from '../paper/define-paper.ts';
import { drawHeading, headedUnits, headingSettings } from '../paper/heading.ts';
import { dots, levelLines, steps, stroked, uprightLines, wholeCells, writingLines } from '../paper/lines.ts';
import { oneLine } from '../paper/one-line.ts';
import { lookSettings, pitchOf, pitchSetting, points } from '../paper/settings.ts';

const options = exactObject({
  cue: setting(integerBetween(15, 45), 30, { label: 'Cue column', unit: '% of the width', step: 1 }),
  summary: setting(integerBetween(0, 45), 22, { label: 'Summary band', unit: '% of the height', step: 1 }),
  pitch: pitchSetting(points(4, 'mm'), points(20, 'mm'), 'Own ruling', 'that of the trim'),
  inside: setting(enumOf(['lines', 'dots', 'squares', 'blank']), 'lines', {
    label: 'Notes on',
    values: { lines: 'Lines', dots: 'Dots', squares: 'Squares', blank: 'Blank paper' },
  }),
  mirrored: setting(v.boolean(), false, {
    label: 'Cue column by the outer edge',
    help: 'On both pages of a spread.',
  }),
  labels: setting(v.boolean(), true, { label: 'Print what is what' }),
  ...headingSettings('subject and date'),
  ...lookSettings(0.55),
});
type CornellOptions = v.InferOutput<typeof options>;

const words = printedWords({
  en: { cues: 'Questions and cues', notes: 'Notes', summary: 'In my own words' },
  es: { cues: 'Preguntas y claves', notes: 'Notas', summary: 'Con mis palabras' },
  de: { cues: 'Fragen und Stichworte', notes: 'Notizen', summary: 'In eigenen Worten' },
  fr: { cues: 'Questions et mots-clés', notes: 'Notes', summary: 'Avec mes mots' },
});

function draw(context: DrawContext<CornellOptions, never>): Mark[] {
  const { body, frame, options: chosen, type, faces, language } = context;
  const pitch = pitchOf(chosen.pitch, frame.grid.pitch);
  const scale = frame.grid.typeScale;
  const { marks, rest } = drawHeading(context, pitch);
  const gap = rest.y > body.y ? points(3, 'mm') : 0;
  const area: Rect = { ...rest, y: rest.y + gap, height: rest.height - gap };
  const summaryLines = Math.round((area.height * chosen.summary) / 100 / pitch);
  const band = summaryLines * pitch;
  const notes: Rect = { ...area, height: area.height - band };
  const cueWidth = (area.width * chosen.cue) / 100;
  const cueAtRight = chosen.mirrored && frame.side === 'recto';
  const split = cueAtRight ? area.x + area.width - cueWidth : area.x + cueWidth;
  const gutter = points(2.5, 'mm');
  const noteArea: Rect = cueAtRight
    ? { ...notes, width: split - gutter - area.x }
    : { ...notes, x: split + gutter, width: area.x + area.width - split - gutter };
  const labelHeight = chosen.labels ? 9 * scale + 3 : 0;
  const lined: Rect = { ...noteArea, y: noteArea.y + labelHeight, height: noteArea.height - labelHeight };
  marks.push(...filledWith(lined, pitch, chosen));
  if (summaryLines > 1)
    marks.push(
      stroked(
        levelLines(area, writingLines({ y: area.y + area.height - band, height: band }, pitch).slice(1)),
        chosen,
      ),
    );
  const strong = (x1: number, y1: number, x2: number, y2: number, width: number): Mark => ({
    type: 'path',
    path: linePath(x1, y1, x2, y2),
    stroke: { width, paint: { gray: 0.15 } },
  });
  marks.push(strong(split, area.y, split, notes.y + notes.height, 0.9));
  if (summaryLines > 0)
    marks.push(strong(area.x, notes.y + notes.height, area.x + area.width, notes.y + notes.height, 1.25));
  if (!chosen.labels) return marks;
  const size = Math.max(7, typeSize(frame.grid, 8));
  const label = (said: 'cues' | 'notes' | 'summary', x: number, y: number, width: number): void => {
    const line = oneLine(type, words(language, said), { face: faces.text, size }, { x, y, width });
    if (line) marks.push(line);
  };
  const top = area.y + size;
  label('cues', cueAtRight ? split + gutter : area.x, top, cueWidth - gutter);
  label('notes', noteArea.x, top, noteArea.width);
  if (summaryLines > 0) label('summary', area.x, notes.y + notes.height + 1.2 * size, area.width);
  return marks;
}

function filledWith(area: Rect, pitch: number, chosen: CornellOptions): Mark[] {
  if (chosen.inside === 'blank') return [];
  if (chosen.inside === 'lines') return [stroked(levelLines(area, writingLines(area, pitch)), chosen)];
  const cells = wholeCells({ ...area, height: area.height - 4 }, pitch * 0.7);
  const cell = pitch * 0.7;
  const xs = steps(cells.x, cell, cells.columns + 1);
  const ys = steps(cells.y, cell, cells.rows + 1);
  if (chosen.inside === 'dots')
    return [
      dots(
        ys.flatMap((y) => xs.flatMap((x) => [x, y])),
        1.25,
        { ...chosen, gray: chosen.gray * 0.75 },
      ),
    ];
  return [stroked(levelLines(cells, ys), chosen), stroked(uprightLines(cells, xs), chosen)];
}

export const cornell = definePaper<CornellOptions>({
  id: 'cornell',
  name: 'Cornell notes',
  family: 'Writing',
  purpose: 'Notes with a cue column and a summary.',
  options,
  units: (count, chosen) => headedUnits(count, chosen, 'notes'),
  draw,
  fits: ({ body, frame, options: chosen }) => ({
    count: writingLines(
      { y: 0, height: body.height * (1 - chosen.summary / 100) },
      pitchOf(chosen.pitch, frame.grid.pitch),
    ).length,
    of: 'line for notes',
  }),
});
