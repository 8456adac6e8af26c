import {
  type Colour,
  eachPlacedGlyph,
  type FaceId,
  type Mark,
  type PathCommand,
  type TextMark,
  type Typesetter,
} from '../scene/index.ts';

/** Gives a glyph its two-byte code in the file's subset of a face, as four hexadecimal digits. */
export interface GlyphCodes {
  code(face: FaceId, glyph: number, width: number, codePoints: number[]): string;
  /** The name under which the page's resources know the face. */
  fontName(face: FaceId): string;
}

/** Two decimals are 1/7200 in: finer than any press. */
const num = (n: number): string => {
  const rounded = Math.round(n * 100) / 100;
  return rounded === 0 ? '0' : String(rounded);
};

/**
 * Marks as a PDF content stream (ISO 32000-1 §8 and §9). y is turned numerically, so there is no flipped matrix;
 * graphics state is written only when it changes; greys are DeviceGray.
 * @param height of the sheet in points
 * @param grey true writes every colour as DeviceGray, for black interiors
 */
export function contentStream(
  marks: readonly Mark[],
  height: number,
  codes: GlyphCodes,
  type: Typesetter,
  grey: boolean,
): string {
  const out: string[] = [];
  // What the viewer's graphics state is now; an operator is written only when it changes something.
  let state: Record<string, string> = { dash: '[] 0 d', caps: '0 J 0 j' };
  const set = (key: string, operator: string) => {
    if (state[key] === operator) return;
    state[key] = operator;
    out.push(operator);
  };

  const colour = (c: Colour, stroking: boolean): string => {
    if ('grey' in c) return `${num3(c.grey)} ${stroking ? 'G' : 'g'}`;
    const [r, g, b] = c.rgb;
    // Luma of ITU-R BT.601, where a colour must be printed in black ink.
    if (grey) return `${num3(0.299 * r + 0.587 * g + 0.114 * b)} ${stroking ? 'G' : 'g'}`;
    return `${num3(r)} ${num3(g)} ${num3(b)} ${stroking ? 'RG' : 'rg'}`;
  };
  const setFill = (c: Colour) => set('fill', colour(c, false));

  const path = (commands: readonly PathCommand[], base: number) => {
    for (const c of commands) {
      if (c[0] === 'M') out.push(`${num(c[1])} ${num(base - c[2])} m`);
      else if (c[0] === 'L') out.push(`${num(c[1])} ${num(base - c[2])} l`);
      else if (c[0] === 'C')
        out.push(
          `${num(c[1])} ${num(base - c[2])} ${num(c[3])} ${num(base - c[4])} ${num(c[5])} ${num(base - c[6])} c`,
        );
      else out.push('h');
    }
  };

  const text = (mark: TextMark, base: number) => {
    setFill(mark.colour);
    let face: FaceId | null = null;
    let pen = 0;
    let array = '';
    let open = '';
    const flush = () => {
      if (open) array += `<${open}>`;
      if (array) out.push(`[${array}] TJ`);
      array = open = '';
    };
    out.push('BT');
    eachPlacedGlyph(mark, type, (glyphFace, glyph, x, run, at) => {
      if (glyphFace !== face) {
        flush();
        out.push(
          `/${codes.fontName(glyphFace)} ${num(mark.size)} Tf`,
          `1 0 0 1 ${num(x)} ${num(base - mark.y)} Tm`,
        );
        face = glyphFace;
        pen = x;
      }
      // TJ numbers are thousandths of the size, taken off the pen's position.
      const off = Math.round(((pen - x) / mark.size) * 1000);
      if (off !== 0) {
        if (open) array += `<${open}>`;
        open = '';
        array += off;
        pen -= (off * mark.size) / 1000;
      }
      const width = run.widths[at]!;
      open += codes.code(glyphFace, glyph, width, run.codePoints[at]!);
      pen += width * mark.size;
    });
    flush();
    out.push('ET');
  };

  const walk = (list: readonly Mark[], base: number) => {
    for (const mark of list) {
      if (mark.mark === 'group') {
        const [a, b, c, d, e, f] = mark.matrix;
        out.push('q', `${num3(a)} ${num3(-b)} ${num3(-c)} ${num3(d)} ${num(e)} ${num(base - f)} cm`);
        const held = { ...state };
        walk(mark.marks, 0);
        out.push('Q');
        state = held;
      } else if (mark.mark === 'text') text(mark, base);
      else {
        if (mark.fill) setFill(mark.fill);
        if (mark.stroke) {
          const { width, round, dash } = mark.stroke;
          set('stroke', colour(mark.stroke.colour, true));
          set('width', `${num(width)} w`);
          set('dash', `[${dash?.map(num).join(' ') ?? ''}] 0 d`);
          set('caps', round ? '1 J 1 j' : '0 J 0 j');
        }
        path(mark.path, base);
        out.push(mark.fill && mark.stroke ? 'B' : mark.fill ? 'f' : mark.stroke ? 'S' : 'n');
      }
    }
  };
  walk(marks, height);
  return out.join('\n');
}

const num3 = (n: number): string => String(Math.round(n * 1000) / 1000 || 0);
