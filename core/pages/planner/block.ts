import type { Block, BlockKind, Place } from '../blocks/block.ts';
import { block } from '../blocks/block.ts';

/** A sort of block that planners have for themselves. @returns what makes one of what it shows */
export function plannerBlock<Own>(
  type: string,
  kind: Omit<BlockKind<Own>, 'type' | 'name' | 'entries'>,
): (own: Own, place?: Partial<Place>) => Block {
  const made: BlockKind = { ...(kind as BlockKind), type, name: type, entries: {} };
  return (own, place = {}) => ({ ...block(type), ...place, ...own, kind: made });
}
