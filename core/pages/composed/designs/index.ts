import type { LookId } from '../../blocks/look.ts';
import { type Design, readDesign } from '../design.ts';
import { fitness } from './fitness.ts';
import { food } from './food.ts';
import type { GivenDesign } from './given.ts';
import { health } from './health.ts';
import { home } from './home.ts';
import { media } from './media.ts';
import { mind } from './mind.ts';
import { money } from './money.ts';
import { nature } from './nature.ts';
import { outings } from './outings.ts';
import { work } from './work.ts';

const given = {
  ...mind,
  ...fitness,
  ...health,
  ...nature,
  ...outings,
  ...food,
  ...media,
  ...money,
  ...home,
  ...work,
} as const;

export type DesignId = keyof typeof given;

/** A design that ships. */
export interface ShippedDesign {
  name: string;
  /** It is offered under it. */
  family: string;
  look: LookId;
  /** Read when it is first asked for: fifty of them take their time. */
  readonly design: Design;
}

/** All designs that ship, each made of blocks alone. */
export const DESIGNS = Object.fromEntries(
  Object.entries(given as Record<string, GivenDesign>).map(([id, { name, family, look, blocks }]) => {
    let read: Design | undefined;
    return [
      id,
      {
        name,
        family,
        look,
        get design() {
          read ??= readDesign({ name, blocks });
          return read;
        },
      } satisfies ShippedDesign,
    ];
  }),
) as unknown as Record<DesignId, ShippedDesign>;
