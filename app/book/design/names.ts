import type { Block } from '#core/pages/blocks/block.ts';
import { BLOCKS } from '#core/pages/blocks/kinds/index.ts';

/** Blocks that hold others, by what they are called. */
const HOLDER_NAMES: Readonly<Record<string, string>> = {
  columns: 'Side by side',
  stack: 'One below the other',
  group: 'Frame with a title',
};

/** All sorts of block, in the order in which they are offered. */
export const SORTS: readonly { type: string; name: string }[] = [
  ...BLOCKS.map(({ type, name }) => ({ type, name })),
  ...Object.entries(HOLDER_NAMES).map(([type, name]) => ({ type, name })),
];

/** What a sort of block is called. */
export const sortName = (type: string): string => SORTS.find((sort) => sort.type === type)?.name ?? type;

/** What a block says of itself: its title, label or first words. */
export const saidBy = ({ title, label, text, caption }: Block): string =>
  [title, label, text, caption].find((one): one is string => typeof one === 'string' && one !== '') ?? '';
