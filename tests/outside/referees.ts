import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Tools of other people that open what we write: qpdf, Poppler, Ghostscript, MuPDF. */

export function fileOf(bytes: Uint8Array, name = 'file.pdf'): string {
  const path = join(mkdtempSync(join(tmpdir(), 'quill-')), name);
  writeFileSync(path, bytes);
  return path;
}

const run = (program: string, args: string[]) =>
  execFileSync(program, args, { encoding: 'utf8', maxBuffer: 1 << 26, stdio: ['ignore', 'pipe', 'pipe'] });

/** Throws when qpdf finds an error in syntax or streams. */
export const qpdfCheck = (path: string): string => run('qpdf', ['--check', path]);

export interface Boxes {
  media: number[];
  bleed: number[];
  trim: number[];
}

/** Left, bottom, right and top of each page's boxes in points, by pdfinfo. */
export function pageBoxes(path: string, pages: number): Boxes[] {
  const boxes = Array.from({ length: pages }, (): Boxes => ({ media: [], bleed: [], trim: [] }));
  for (const line of run('pdfinfo', ['-box', '-f', '1', '-l', String(pages), path]).split('\n')) {
    const match = /^Page\s+(\d+) (Media|Bleed|Trim)Box:\s+(.*)$/.exec(line);
    if (match)
      boxes[Number(match[1]) - 1]![match[2]!.toLowerCase() as keyof Boxes] = match[3]!
        .trim()
        .split(/\s+/)
        .map(Number);
  }
  return boxes;
}

export const pageCount = (path: string): number => Number(/Pages:\s+(\d+)/.exec(run('pdfinfo', [path]))![1]);

/** Name, embedded and subset of each font, by pdffonts. */
export function fontsIn(path: string): { name: string; embedded: boolean; subset: boolean }[] {
  return run('pdffonts', [path])
    .split('\n')
    .slice(2)
    .filter(Boolean)
    .map((line) => {
      const [, embedded, subset] = /\s(yes|no)\s+(yes|no)\s+(yes|no)\s/.exec(line)!;
      return { name: line.split(' ')[0]!, embedded: embedded === 'yes', subset: subset === 'yes' };
    });
}

/** Left, bottom, right and top of the ink of each page, by Ghostscript's bbox device; null for a blank page. */
export function inkBoxes(path: string): ([number, number, number, number] | null)[] {
  const said = execFileSync('sh', ['-c', `gs -q -dNOPAUSE -dBATCH -sDEVICE=bbox "${path}" 2>&1`], {
    encoding: 'utf8',
    maxBuffer: 1 << 26,
  });
  return [...said.matchAll(/%%HiResBoundingBox: ([\d.-]+) ([\d.-]+) ([\d.-]+) ([\d.-]+)/g)].map((match) => {
    const box = match.slice(1, 5).map(Number) as [number, number, number, number];
    return box[2] - box[0] <= 0 ? null : box;
  });
}

export const textOf = (path: string, page: number): string =>
  run('pdftotext', ['-f', String(page), '-l', String(page), '-layout', path, '-']);

/** Lines of a page with their letters in the order in which they stand, from the left, by MuPDF, which turns none. */
export const paintedTextOf = (path: string, page: number): string[] =>
  run('mutool', ['draw', '-q', '-F', 'txt', path, String(page)])
    .split('\n')
    .map((line) => line.trim().replaceAll(/\s+/g, ' '))
    .filter(Boolean);
