import type { LookId } from '../../blocks/look.ts';

/** A design that ships, before its blocks are read: those may leave out what has a default. */
export interface GivenDesign {
  name: string;
  /** It is offered under it. */
  family: string;
  look: LookId;
  blocks: readonly unknown[];
}
