import { createHash } from 'node:crypto';
import { deflateSync } from 'node:zlib';
import { ByteWriter } from './byte-writer.ts';

/**
 * Level 6 gives most of the saving; 9 costs several times more for a few bytes. For large drawings, whose numbers repeat
 * little, level 3 takes half the time for a few percent more.
 */
const levelFor = (bytes: number): number => (bytes > 1 << 17 ? 3 : 6);
/** Shorter content gains nothing from packing. */
const LEAST_PACKED_BYTES = 128;
/** Bytes that are gathered before they are handed on. */
const CHUNK_BYTES = 1 << 16;
const NUMBER_PLACES = 8;

/**
 * A value of a dictionary. Strings are names; a `String` object is a literal string. What is undefined is left out.
 */
export type PdfValue =
  | string
  // biome-ignore lint/complexity/noBannedTypes: how the maker of font objects marks literal strings
  | String
  | number
  | boolean
  | PdfRef
  | readonly PdfValue[]
  | { readonly [key: string]: PdfValue | undefined };

/** An object of the file, known by its number before it is written. */
export interface PdfRef {
  readonly id: number;
  data: Record<string, PdfValue | undefined>;
  /** Writes the object, with a stream if bytes are given; they are packed unless `Filter` says how they came. */
  end(bytes?: Uint8Array | string): void;
}

export interface PdfFile {
  ref(data?: Record<string, PdfValue | undefined>): PdfRef;
  /** Hands what has been written on, so that memory does not grow with the file. */
  drain(): Promise<void>;
  /** Ends the file. */
  finish(root: PdfRef, info: PdfRef): Promise<void>;
}

class Ref implements PdfRef {
  readonly id: number;
  data: Record<string, PdfValue | undefined>;
  readonly #write: (ref: Ref, bytes?: Uint8Array) => void;
  constructor(
    id: number,
    data: Record<string, PdfValue | undefined>,
    write: (ref: Ref, bytes?: Uint8Array) => void,
  ) {
    this.id = id;
    this.data = data;
    this.#write = write;
  }
  end(bytes?: Uint8Array | string): void {
    this.#write(this, typeof bytes === 'string' ? Buffer.from(bytes, 'latin1') : bytes);
  }
}

/** The objects of a PDF 1.7 file with their cross-reference table (ISO 32000-1 §7.3 and §7.5). */
export function openPdfFile(sink: (chunk: Uint8Array) => void | Promise<void>): PdfFile {
  const offsets: number[] = [];
  const waiting: Uint8Array[] = [];
  const digest = createHash('md5');
  let out = new ByteWriter(CHUNK_BYTES + 1024);
  let handedOn = 0;
  // The second line says to whoever moves the file that it is not text.
  out.text('%PDF-1.7\n%\xff\xff\xff\xff\n');

  const put = (chunk: Uint8Array) => {
    if (chunk.length === 0) return;
    digest.update(chunk);
    waiting.push(chunk);
    handedOn += chunk.length;
  };
  const flush = () => {
    put(out.bytes());
    out = new ByteWriter(CHUNK_BYTES + 1024);
  };

  const write = (ref: Ref, given?: Uint8Array) => {
    const { data } = ref;
    let bytes = given;
    if (bytes && data.Filter === undefined && bytes.length >= LEAST_PACKED_BYTES) {
      bytes = deflateSync(bytes, { level: levelFor(bytes.length) });
      data.Filter = 'FlateDecode';
    }
    if (bytes) data.Length = bytes.length;
    offsets[ref.id] = handedOn + out.length;
    out.number(ref.id, 0);
    out.text(' 0 obj\n');
    writeValue(out, data);
    if (bytes) {
      out.text('\nstream\n');
      if (bytes.length > CHUNK_BYTES / 4) {
        flush();
        put(bytes);
      } else out.append(bytes);
      out.text('\nendstream');
    }
    out.text('\nendobj\n');
    if (out.length > CHUNK_BYTES) flush();
  };

  const drain = async () => {
    for (const chunk of waiting.splice(0)) await sink(chunk);
  };

  let count = 0;
  return {
    ref: (data = {}) => new Ref(++count, data, write),
    drain,
    async finish(root, info) {
      flush();
      const start = handedOn;
      out.text(`xref\n0 ${count + 1}\n0000000000 65535 f \n`);
      for (let id = 1; id <= count; id++)
        out.text(`${String(offsets[id] ?? 0).padStart(10, '0')} 0000${offsets[id] ? '0 n' : '0 f'} \n`);
      const id = `<${digest.digest('hex')}>`;
      out.text(
        `trailer\n<</Size ${count + 1}/Root ${root.id} 0 R/Info ${info.id} 0 R/ID [${id}${id}]>>\nstartxref\n${start}\n%%EOF\n`,
      );
      waiting.push(out.bytes());
      await drain();
    },
  };
}

/** Text outside ASCII goes as UTF-16 with its mark (ISO 32000-1 §7.9.2.2). */
function literal(text: string): string {
  if (/^[\x20-\x7e]*$/.test(text)) return `(${text.replace(/[\\()]/g, '\\$&')})`;
  let hex = 'feff';
  for (let i = 0; i < text.length; i++) hex += text.charCodeAt(i).toString(16).padStart(4, '0');
  return `<${hex}>`;
}

/** A name, with what is not a regular character as #xx (ISO 32000-1 §7.3.5). */
const name = (text: string): string =>
  `/${text.replace(/[^!-~]|[#()<>[\]{}/%]/g, (sign) => `#${sign.charCodeAt(0).toString(16).padStart(2, '0')}`)}`;

function writeValue(out: ByteWriter, value: PdfValue): void {
  if (typeof value === 'number') out.number(value, NUMBER_PLACES);
  else if (typeof value === 'string') out.text(name(value));
  else if (typeof value === 'boolean') out.text(String(value));
  else if (value instanceof Ref) {
    out.number(value.id, 0);
    out.text(' 0 R');
  } else if (value instanceof String) out.text(literal(value.toString()));
  else if (Array.isArray(value)) {
    out.text('[');
    value.forEach((part, i) => {
      if (i) out.text(' ');
      writeValue(out, part);
    });
    out.text(']');
  } else {
    out.text('<<');
    for (const [key, part] of Object.entries(value)) {
      if (part === undefined) continue;
      out.text(name(key));
      out.text(' ');
      writeValue(out, part);
    }
    out.text('>>');
  }
}
