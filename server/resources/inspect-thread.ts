import { readFile } from 'node:fs/promises';
import { decodePicture } from '#core/resources/decode-picture.ts';
import { ResourceTrouble, resourceType } from '#core/resources/index.ts';

/** Reads an uploaded content once, as a book would. Runs in a thread of its own, with little memory and time. */
export default async function inspect({
  path,
  type,
  hash,
}: {
  path: string;
  type: string;
  hash: string;
}): Promise<{ facts: unknown } | { trouble: string }> {
  try {
    const { facts } = await resourceType(type).read(await readFile(path), { decodePicture }, hash);
    return { facts };
  } catch (error) {
    if (error instanceof ResourceTrouble) return { trouble: error.message };
    throw error;
  }
}
