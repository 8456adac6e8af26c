import { createHash } from 'node:crypto';
import { once } from 'node:events';
import { PDFDocument, type PDFPage, rgb } from '@cantoo/pdf-lib';
import PDFKit from 'pdfkit';

type Kit = InstanceType<typeof PDFKit>;

/** A PDF as PDFKit writes it, which has nothing of ours. */
export async function kitPdf(
  draw: (file: Kit) => void,
  size: [number, number] = [432, 648],
): Promise<Uint8Array> {
  const file = new PDFKit({ size, margin: 0, info: { CreationDate: new Date(0) } });
  const chunks: Buffer[] = [];
  file.on('data', (chunk: Buffer) => chunks.push(chunk));
  draw(file);
  file.end();
  await once(file, 'end');
  return new Uint8Array(Buffer.concat(chunks));
}

/** So many pages of 6 × 9 in with a gray bar, each a little further down; changed by `more`. */
export async function plainPdf(pages: number, more: (page: PDFPage, at: number) => void = () => {}) {
  const file = await PDFDocument.create();
  for (let i = 0; i < pages; i++) {
    const page = file.addPage([432, 648]);
    page.drawRectangle({ x: 72, y: 500 - i, width: 288, height: 36, color: rgb(0.5, 0.5, 0.5) });
    more(page, i);
  }
  return new Uint8Array(await file.save({ useObjectStreams: false }));
}

/**
 * A PDF of one page with these operators on it, put together by hand (ISO 32000-1, annex H), so that it has what no
 * library writes.
 * @param more entries of the page, and objects behind its own, from number 5 on
 */
export function rawPdf(
  content: string | Uint8Array,
  {
    page = '',
    filter = '',
    objects = [],
  }: { page?: string; filter?: string; objects?: readonly (string | Uint8Array)[] } = {},
): Uint8Array {
  const bytes = (text: string) => Buffer.from(text, 'latin1');
  const body = typeof content === 'string' ? bytes(content) : Buffer.from(content);
  const all = [
    bytes('<</Type/Catalog/Pages 2 0 R>>'),
    bytes('<</Type/Pages/Kids[3 0 R]/Count 1>>'),
    bytes(`<</Type/Page/Parent 2 0 R/MediaBox[0 0 200 300]/Contents 4 0 R ${page}>>`),
    Buffer.concat([bytes(`<</Length ${body.length} ${filter}>>\nstream\n`), body, bytes('\nendstream')]),
    ...objects.map((object) => (typeof object === 'string' ? bytes(object) : Buffer.from(object))),
  ];
  const parts: Buffer[] = [bytes('%PDF-1.7\n')];
  const places: number[] = [];
  let at = parts[0]!.length;
  all.forEach((object, i) => {
    places.push(at);
    const part = Buffer.concat([bytes(`${i + 1} 0 obj\n`), object, bytes('\nendobj\n')]);
    parts.push(part);
    at += part.length;
  });
  const rows = places.map((place) => `${String(place).padStart(10, '0')} 00000 n \n`).join('');
  parts.push(
    bytes(
      `xref\n0 ${all.length + 1}\n0000000000 65535 f \n${rows}trailer\n<</Size ${all.length + 1}/Root 1 0 R>>\nstartxref\n${at}\n%%EOF\n`,
    ),
  );
  return new Uint8Array(Buffer.concat(parts));
}

/** A stream object with its bytes. */
export const rawStream = (dict: string, body: Uint8Array): Uint8Array =>
  new Uint8Array(
    Buffer.concat([
      Buffer.from(`<<${dict}/Length ${body.length}>>\nstream\n`, 'latin1'),
      body,
      Buffer.from('\nendstream', 'latin1'),
    ]),
  );

export const nameOf = (bytes: Uint8Array): string =>
  `sha256-${createHash('sha256').update(bytes).digest('hex')}`;
