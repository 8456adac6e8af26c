import { BLACK, fitText, linePath, type Mark, textLine } from '../../scene/index.ts';
import type { DrawContext } from '../kind.ts';
import type { TitlePageOptions } from './index.ts';

const GRAY = { gray: 0.35 };

export function drawTitlePage({ body, book, options, type }: DrawContext<TitlePageOptions, never>): Mark[] {
  const middle = body.x + body.width / 2;
  const marks: Mark[] = [];
  const block = (
    text: string,
    sourceField: string,
    face: 'alegreya-bold' | 'alegreya-italic',
    top: number,
    height: number,
    most: number,
  ) => {
    const fitted = fitText(
      type,
      text,
      face,
      { width: body.width * 0.9, height },
      { most, least: 9, lines: 5, leading: 1.12 },
    );
    fitted.lines.forEach((line, i) => {
      const y = top + type.capHeight(face) * fitted.size + i * fitted.leading;
      marks.push({
        ...textLine(
          type,
          line,
          { face, size: fitted.size, color: face === 'alegreya-bold' ? BLACK : GRAY },
          middle,
          y,
          'center',
        ),
        sourceField,
      });
    });
    return top + fitted.height;
  };

  let y = body.y + body.height * 0.16;
  y =
    block(book.title, 'title', 'alegreya-bold', y, body.height * 0.28, body.width / 8.5) +
    body.height * 0.035;
  marks.push({
    type: 'path',
    path: linePath(middle - body.width * 0.09, y, middle + body.width * 0.09, y),
    stroke: { width: 1, paint: GRAY },
  });
  y += body.height * 0.035;
  if (book.subtitle)
    y = block(book.subtitle, 'subtitle', 'alegreya-italic', y, body.height * 0.14, body.width / 20);
  if (book.series && options.series) {
    const line = `Volume ${book.series.volume} of ${book.series.name}`;
    marks.push(
      textLine(
        type,
        line,
        { face: 'alegreya-sans-regular', size: 11, color: GRAY },
        middle,
        y + 30,
        'center',
      ),
    );
  }

  const foot = body.y + body.height * 0.9;
  const small = (
    text: string,
    face: 'alegreya-bold' | 'alegreya-sans-regular',
    size: number,
    baseline: number,
    sourceField: string,
  ) => {
    const { size: fitting } = fitText(
      type,
      text,
      face,
      { width: body.width, height: size * 2 },
      { most: size, least: 7, lines: 1 },
    );
    marks.push({
      ...textLine(type, text, { face, size: fitting, color: BLACK }, middle, baseline, 'center'),
      sourceField,
    });
  };
  if (book.penName) small(book.penName, 'alegreya-bold', Math.max(13, body.width / 24), foot - 26, 'penName');
  if (book.imprint) small(book.imprint, 'alegreya-sans-regular', 10.5, foot, 'imprint');
  return marks;
}
