import { picture, typeface } from '#core/resources/index.ts';

/** A content as books use it, made from an upload. */
export interface Prepared {
  name: string;
  bytes: Uint8Array;
}

/**
 * By type, how an upload is made into what books use: one or more contents with their names. A type that is not here
 * takes uploads as they are.
 */
export const PREPARE: Readonly<Record<string, (bytes: Buffer, name: string) => Promise<Prepared[]>>> = {
  // Loaded in the thread that uploads are read in, and nowhere else.
  [typeface.id]: async (bytes) => (await import('./prepare-typeface.ts')).prepareTypeface(bytes),
  [picture.id]: async (bytes, name) => (await import('./prepare-picture.ts')).preparePicture(bytes, name),
};
