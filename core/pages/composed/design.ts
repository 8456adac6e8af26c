import * as v from 'valibot';
import { chosenBy, enumOf, exactObject, isObject, ofNoKind, text } from '../../schema.ts';
import { type Block, placeEntries } from '../blocks/block.ts';
import { ICONS } from '../blocks/icons.ts';
import { BLOCKS } from '../blocks/kinds/index.ts';

/** Blocks that hold others: beside each other, one below the other, or in a frame with a title. */
export const HOLDERS = ['columns', 'stack', 'group'] as const;

/** The design of a page: blocks from above. */
export interface Design {
  name: string;
  blocks: Block[];
}

const MOST_BLOCKS = 24;
/** Blocks in blocks in blocks: deeper, no page has room. */
const DEEPEST = 4;

const blocksTo = (depth: number): v.GenericSchema<unknown, Block[]> =>
  v.pipe(
    v.array(blockTo(depth), 'should be a list of blocks.'),
    v.minLength(1, 'has no blocks.'),
    v.maxLength(MOST_BLOCKS, `has more than ${MOST_BLOCKS} blocks.`),
  ) as unknown as v.GenericSchema<unknown, Block[]>;

const leaves = new Map<unknown, v.GenericSchema>(
  BLOCKS.map(({ type, entries }) => [
    type,
    exactObject({ type: v.literal(type), ...placeEntries, ...entries }) as unknown as v.GenericSchema,
  ]),
);
const TYPES = [...leaves.keys(), ...HOLDERS] as string[];
const anyBlock = v.looseObject({ type: enumOf(TYPES) });

function blockTo(depth: number): v.GenericSchema {
  const holders = new Map<unknown, () => v.GenericSchema>(
    HOLDERS.map((type) => [
      type,
      () =>
        exactObject({
          type: v.literal(type),
          ...placeEntries,
          ...(type === 'group'
            ? { title: v.optional(text(0, 60), ''), icon: v.optional(enumOf(ICONS)) }
            : {}),
          of: blocksTo(depth - 1),
        }) as unknown as v.GenericSchema,
    ]),
  );
  return chosenBy(anyBlock as unknown as v.GenericSchema, (value) => {
    if (!isObject(value)) return ofNoKind('type', TYPES, 'Blocks');
    const leaf = leaves.get(value.type);
    if (leaf) return leaf;
    const holder = holders.get(value.type);
    if (!holder) return ofNoKind('type', TYPES, 'Blocks');
    return depth > 0
      ? holder()
      : (v.never('is a block in blocks in blocks. Take it out.') as v.GenericSchema);
  }) as unknown as v.GenericSchema;
}

/** A design of a page, as a recipe or a file holds it. */
export const designSchema = exactObject({
  name: text(1, 80),
  blocks: blocksTo(DEEPEST),
}) as unknown as v.GenericSchema<unknown, Design>;

/** Reads a design that ships. @throws ValiError */
export const readDesign = (value: unknown): Design => v.parse(designSchema, value);
