import { decodeText, refuseLarge } from '#core/decode-text.ts';

/** Reads a text file of any usual encoding, or says why not. A file over `max` bytes is not opened. */
export async function readTextFile(file: File, max: number): Promise<{ text: string } | { problem: string }> {
  try {
    refuseLarge(file.size, max);
    return { text: decodeText(new Uint8Array(await file.arrayBuffer()), max) };
  } catch (error) {
    return { problem: `${file.name}: ${(error as Error).message}` };
  }
}
