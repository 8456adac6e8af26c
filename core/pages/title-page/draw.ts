import { bookWords } from '../../printed-words/index.ts';
import { BLACK, type Color, type FaceId, fitText, linePath, type Mark, textLine } from '../../scene/index.ts';
import type { DrawContext } from '../kind.ts';
import type { TitlePageOptions } from './index.ts';

const GRAY = { gray: 0.35 };

/** The faces of what stands on the page. */
export interface TitlePageFaces {
  title: FaceId;
  subtitle: FaceId;
  penName: FaceId;
  /** Series and imprint. */
  small: FaceId;
}

export function drawTitlePage(
  { body, book, frame, language, options, type }: DrawContext<TitlePageOptions, never>,
  faces: TitlePageFaces,
): Mark[] {
  const { leastType } = frame.grid;
  const middle = body.x + body.width / 2;
  const marks: Mark[] = [];
  const block = (
    { text, sourceField, face, color }: { text: string; sourceField: string; face: FaceId; color: Color },
    top: number,
    height: number,
    max: number,
  ) => {
    const fitted = fitText(
      type,
      text,
      face,
      { width: body.width * 0.9, height },
      { max, min: 9, lines: 5, leading: 1.12 },
    );
    fitted.lines.forEach((line, i) => {
      const y = top + type.capHeight(face) * fitted.size + i * fitted.leading;
      const style = { face, size: fitted.size, color, direction: fitted.direction };
      marks.push({ ...textLine(type, line, style, middle, y, 'center'), sourceField });
    });
    return top + fitted.height;
  };

  let y = body.y + body.height * 0.16;
  const title = { text: book.title, sourceField: 'title', face: faces.title, color: BLACK };
  y = block(title, y, body.height * 0.28, body.width / 8.5) + body.height * 0.035;
  marks.push({
    type: 'path',
    path: linePath(middle - body.width * 0.09, y, middle + body.width * 0.09, y),
    stroke: { width: 1, paint: GRAY },
  });
  y += body.height * 0.035;
  const subtitle = { text: book.subtitle, sourceField: 'subtitle', face: faces.subtitle, color: GRAY };
  if (book.subtitle) y = block(subtitle, y, body.height * 0.14, Math.max(body.width / 20, leastType));
  if (book.series && options.series) {
    const { name, volume } = book.series;
    const line = bookWords(language, 'series', { series: name, volume });
    marks.push(
      textLine(
        type,
        line,
        { face: faces.small, size: Math.max(11, leastType), color: GRAY },
        middle,
        y + 30,
        'center',
      ),
    );
  }

  const foot = body.y + body.height * 0.9;
  const small = (text: string, face: FaceId, size: number, baseline: number, sourceField: string) => {
    const asked = Math.max(size, leastType);
    const { size: fitting } = fitText(
      type,
      text,
      face,
      { width: body.width, height: asked * 2 },
      { max: asked, min: 7, lines: 1 },
    );
    marks.push({
      ...textLine(type, text, { face, size: fitting, color: BLACK }, middle, baseline, 'center'),
      sourceField,
    });
  };
  if (book.penName) small(book.penName, faces.penName, Math.max(13, body.width / 24), foot - 26, 'penName');
  if (book.imprint) small(book.imprint, faces.small, 10.5, foot, 'imprint');
  return marks;
}
