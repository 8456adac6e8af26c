import { decodePicture } from './decode-picture.ts';
import { pdfReader } from './pdf/reader-from-disk.ts';
import type { ReadingTools } from './resource.ts';

/** How resources are read in Node: by the server, its threads and the command. */
export const NODE_TOOLS: ReadingTools = { decodePicture, pdfReader };
