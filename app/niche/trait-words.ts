import type { Formatting } from '#core/formats.ts';
import type { Trait, TraitValue } from '#core/niche/index.ts';
import { inches } from '#core/units.ts';
import type { Money } from './show.ts';

/** A value of a trait, for people. */
export function traitWords(
  trait: Trait,
  value: TraitValue['value'],
  formats: Formatting,
  money: Money,
): string {
  if (typeof value !== 'string') {
    const [from, to] = value.map((end) => (trait === 'price' ? money.exact(end) : String(Math.round(end))));
    return from === to ? from! : `${from} to ${to}`;
  }
  if (trait !== 'trim') return trait === 'ink' && value === 'black' ? 'black and white' : value;
  const [width, height] = value.split('×').map((side) => inches(Number(side)));
  return formats.size(width!, height!);
}
