import * as v from 'valibot';
import { enumOf, exactObject } from '../../schema.ts';
import { LOOKS, type LookId } from '../blocks/look.ts';
import { type Design, designSchema } from './design.ts';

/** A design that a publisher keeps beside the books, with the look that it was made in. */
export interface SavedDesign {
  id: string;
  name: string;
  look: LookId;
  design: Design;
}

/** A design as a file holds it: JSON. */
export interface DesignFile {
  look: LookId;
  design: Design;
}

/** Larger files are not opened, in bytes. */
export const MOST_DESIGN_BYTES = 256 * 1024;

export const designFileSchema = exactObject({
  look: v.optional(enumOf(Object.keys(LOOKS) as LookId[]), 'almanac'),
  design: designSchema,
}) as unknown as v.GenericSchema<unknown, DesignFile>;

export const writeDesign = ({ look, design }: DesignFile): string =>
  `${JSON.stringify({ look, design }, null, 2)}\n`;

/** Reads a design from a file, or says what is wrong with it and where. */
export function readDesignFile(text: string): DesignFile | { problem: string } {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { problem: 'This is no JSON. Choose a file that was exported from a page design.' };
  }
  const read = v.safeParse(designFileSchema, value);
  if (read.success) return read.output;
  const [issue] = read.issues;
  return { problem: `${v.getDotPath(issue) ?? 'The design'} ${issue.message}` };
}
