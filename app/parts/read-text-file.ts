import { decodeText, refuseLarge } from '#core/decode-text.ts';

/** Reads a text file of any usual encoding, or says why not. A file over `most` bytes is not opened. */
export async function readTextFile(
  file: File,
  most: number,
): Promise<{ text: string } | { problem: string }> {
  try {
    refuseLarge(file.size, most);
    return { text: decodeText(new Uint8Array(await file.arrayBuffer()), most) };
  } catch (error) {
    return { problem: `${file.name}: ${(error as Error).message}` };
  }
}
