import { decodeText, refuseLarge } from '#core/decode-text.ts';

/** Reads a text file of any usual encoding. A file over `max` bytes is not opened. @throws Error with a sentence */
export async function textOfFile(file: File, max: number): Promise<string> {
  refuseLarge(file.size, max);
  return decodeText(new Uint8Array(await file.arrayBuffer()), max);
}

/** Reads a text file of any usual encoding, or says why not. A file over `max` bytes is not opened. */
export async function readTextFile(file: File, max: number): Promise<{ text: string } | { problem: string }> {
  try {
    return { text: await textOfFile(file, max) };
  } catch (error) {
    return { problem: `${file.name}: ${(error as Error).message}` };
  }
}
