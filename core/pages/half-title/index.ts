import { fitText, fittedLines, type Mark } from '../../scene/index.ts';
import { exactObject } from '../../schema.ts';
import { type DrawContext, defineKind } from '../kind.ts';

type Options = Record<string, never>;

function draw({ body, book, faces, type }: DrawContext<Options, never>): Mark[] {
  const fitted = fitText(
    type,
    book.title,
    faces.display,
    { width: body.width * 0.84, height: body.height * 0.3 },
    { max: body.width / 13, min: 9, lines: 4, leading: 1.14 },
  );
  const [x, y] = [body.x + body.width / 2, body.y + body.height * 0.26];
  return fittedLines(type, fitted, { face: faces.display }, x, y).map((line) => ({
    ...line,
    sourceField: 'title',
  }));
}

export const halfTitle = defineKind<Options, never>({
  id: 'half-title',
  version: 1,
  name: 'Half title',
  family: 'Front and back matter',
  purpose: 'The title alone, before the title page.',
  extent: 'single',
  defaultCount: 1,
  numbered: false,
  inHouseFaces: () => true,
  options: exactObject({}) as never,
  units: () => [{ side: 'recto' }],
  draw,
});
