import type * as v from 'valibot';
import { typeSize } from '../../print/index.ts';
import { printedWords } from '../../printed-words/index.ts';
import { BLACK, linePath, type Mark, textLine } from '../../scene/index.ts';
import { enumOf, exactObject, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { DrawContext } from '../kind.ts';
import { definePaper } from '../paper/define-paper.ts';
import { levelLines, stroked, uprightLines, writingLines } from '../paper/lines.ts';
import { oneLine } from '../paper/one-line.ts';
import { lookSettings, pitchOf, pitchSetting, points } from '../paper/settings.ts';

const options = exactObject({
  title: setting(text(0, 60), '', {
    label: 'Title',
    help: 'Instead of “Index” in the language of the book.',
  }),
  columns: setting(enumOf(['1', '2']), '1', { label: 'Columns', values: { '1': 'One', '2': 'Two' } }),
  pitch: pitchSetting(points(4, 'mm'), points(20, 'mm'), 'Own ruling', 'that of the trim'),
  ...lookSettings(0.55),
});
type IndexOptions = v.InferOutput<typeof options>;

const words = printedWords({
  en: { index: 'Index', topic: 'Topic', page: 'Page' },
  es: { index: 'Índice', topic: 'Tema', page: 'Página' },
  de: { index: 'Verzeichnis', topic: 'Thema', page: 'Seite' },
  fr: { index: 'Index', topic: 'Sujet', page: 'Page' },
});

/** Room for a page number, in points at 6 × 9 in. */
const NUMBER = 40;
const BETWEEN = points(7, 'mm');

function draw({
  body,
  frame,
  options: chosen,
  type,
  faces,
  language,
}: DrawContext<IndexOptions, never>): Mark[] {
  const scale = frame.grid.typeScale;
  const pitch = pitchOf(chosen.pitch, frame.grid.pitch);
  const title = chosen.title || words(language, 'index');
  const head = 22 * scale;
  const right = body.x + body.width;
  const heading = oneLine(
    type,
    title,
    { face: faces.display, size: 20 * scale },
    { x: body.x, y: body.y + head * 0.85, width: body.width },
  );
  const marks: Mark[] = [
    ...(heading ? [heading] : []),
    {
      type: 'path',
      path: linePath(body.x, body.y + head + 4, right, body.y + head + 4),
      stroke: { width: 1.25, paint: BLACK },
    },
  ];
  const columns = Number(chosen.columns);
  const width = (body.width - (columns - 1) * BETWEEN) / columns;
  const top = body.y + head + 4 + 10 * scale;
  const lines = writingLines({ y: top, height: body.y + body.height - top }, pitch);
  for (let i = 0; i < columns; i++) {
    const x = body.x + i * (width + BETWEEN);
    const number = NUMBER * scale;
    const label = { face: faces.text, size: Math.max(7, typeSize(frame.grid, 8)), color: BLACK };
    marks.push(
      textLine(type, words(language, 'topic'), label, x, top + 1),
      textLine(type, words(language, 'page'), label, x + width, top + 1, 'right'),
      stroked(levelLines({ x, width }, lines), chosen),
      stroked(
        uprightLines({ y: top + 4, height: body.y + body.height - top - 4 }, [x + width - number]),
        chosen,
      ),
    );
  }
  return marks;
}

export const indexLines = definePaper<IndexOptions>({
  id: 'index',
  name: 'Index to fill in',
  family: 'Writing',
  purpose: 'Topics and page numbers, written by the owner.',
  options,
  inHouseFaces: () => true,
  draw,
});
