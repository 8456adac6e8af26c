import type * as v from 'valibot';
import type { Raster } from '../scene/index.ts';
import type { PdfReader } from './pdf/reader.ts';

/** What is wrong with the content of a resource, as a sentence that says what to do. */
export class ResourceTrouble extends Error {
  override name = 'ResourceTrouble';
}

/** What reading needs of the place where it happens: a browser decodes pictures by other means than a server. */
export interface ReadingTools {
  /** @throws ResourceTrouble for what is no picture */
  decodePicture(bytes: Uint8Array): Promise<Omit<Raster, 'id'>>;
  /** What reads PDF pages there; loaded when the first is wanted. */
  pdfReader(): Promise<PdfReader>;
  /** The content is new here: all of it is read, however long that takes. */
  thorough?: true;
  /** Told how far a thorough reading of something with pages has come. */
  onPage?(read: number, of: number): void;
}

/**
 * A type of resource: what a book uses that is not in its recipe. Everything the program knows of a type is in its
 * folder.
 */
export interface ResourceType<Value = unknown, Facts = unknown> {
  /** As a recipe names it. */
  id: string;
  /** What one is called, as it stands before its name: “Word bank”. */
  name: string;
  /** Of its file in the ZIP of a book, without a dot. */
  extension: string;
  /** Bytes that one may have. */
  mostBytes: number;
  /**
   * What planning may know of it: the recipe carries it, so that pages are planned without the content, and it is held
   * against the content whenever that is read.
   */
  facts: v.GenericSchema<unknown, Facts>;
  /** Reads the content. @throws ResourceTrouble */
  read(
    bytes: Uint8Array,
    tools: ReadingTools,
    hash: string,
  ): Promise<{
    value: Value;
    facts: Facts;
    /** Memory that the value takes, about. */
    bytes: number;
  }>;
}

export const defineType = <Value, Facts>(type: ResourceType<Value, Facts>): ResourceType<Value, Facts> =>
  type;

const MB = 1024 * 1024;

/** No resource is larger, of whatever type, in bytes. */
export const MOST_BYTES = 200 * MB;
/** No picture has more pixels: told from its header, before it is decoded. */
export const MOST_PIXELS = 400_000_000;
