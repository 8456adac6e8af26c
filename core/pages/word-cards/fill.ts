import { randomStream } from '../../random.ts';
import { dealt, readRows } from '../../text-lists/index.ts';
import type { FillContext, ItemProblem, SectionProblem } from '../kind.ts';
import { MOST_LETTERS, type WordCardsOptions, type WordCardsPin } from './options.ts';

export interface WordCardsItem {
  game: 'dominoes' | 'memory';
  /** What belongs together. */
  pairs: (readonly [string, string])[];
  /**
   * What the cards say, in the order in which they lie on the page: the two halves of a domino, of which the second belongs with the first of
   * another; or one side of a card.
   */
  cards: (readonly [string, string] | readonly [string])[];
}

type Game = Pick<WordCardsOptions, 'game'>;

/** Pairs of a list; a word alone is a pair of itself in a memory game, and has nothing to meet among dominoes. */
const pairsIn = (source: string, { game }: Game): [string, string][] =>
  readRows(source).map(([one = '', other = '']) => [one, other || (game === 'memory' ? one : '')]);

/** What a pinned set is made from: its pairs of the list. */
export function pinnedWordCards({
  options,
  streamKey,
  item,
  roll,
}: FillContext<WordCardsOptions>): WordCardsPin {
  const { game, perSet, order } = options;
  const pairs = dealt(pairsIn(options.pairs, options), order, streamKey);
  const count = Math.min(perSet, pairs.length);
  const first = (item - 1) * perSet;
  return { game, roll, pairs: Array.from({ length: count }, (_, i) => pairs[(first + i) % pairs.length]!) };
}

/** Makes one set from its own random stream, which lays the cards out. */
export function fillWordCards(context: FillContext<WordCardsOptions>): WordCardsItem {
  const { game, pairs, roll } = (context.pin as WordCardsPin | undefined) ?? pinnedWordCards(context);
  const random = randomStream(...context.streamKey, context.item, roll, 'cards');
  if (game === 'memory')
    return { game, pairs, cards: random.shuffled(pairs.flat()).map((said) => [said] as const) };
  // The dominoes in the ring that they will be laid in: each begins with what belongs to the end of the one before.
  const ring = random.shuffled(pairs);
  const cards = ring.map(([one], i) => [ring.at(i - 1)![1], one] as const);
  return { game, pairs, cards: random.shuffled(cards) };
}

const plain = (said: string): string => said.toLocaleLowerCase('en').replace(/\s+/g, ' ').trim();

/** Lays the dominoes, each behind the only one that it belongs to; or turns cards up until each has met its pair. */
export function inspectWordCards(
  { game, pairs, cards }: WordCardsItem,
  { label }: { label: string },
): ItemProblem[] {
  const fix = (message: string): ItemProblem[] => [{ severity: 'fix', message: `${label}: ${message}` }];
  if (!pairs.length) return [];
  const bare = pairs.find(([, other]) => !other);
  if (bare) return fix(`“${bare[0]}” has nothing that belongs to it. Write it after an upright bar.`);
  const long = pairs.flat().find((said) => said.length > MOST_LETTERS);
  if (long)
    return fix(
      `“${long.slice(0, 30)}…” has ${long.length} letters; ${MOST_LETTERS} fit a card. Make it shorter.`,
    );
  const seen = new Map<string, number>();
  const said = pairs.flatMap(([one, other]) =>
    game === 'memory' && plain(one) === plain(other) ? [one] : [one, other],
  );
  for (const one of said) seen.set(plain(one), (seen.get(plain(one)) ?? 0) + 1);
  const twice = said.find((one) => seen.get(plain(one))! > 1);
  if (twice)
    return fix(`“${twice}” is in several pairs, so that cards match in more than one way. Change one.`);
  if (game === 'memory') {
    const up = cards.map(([side]) => side).sort();
    return up.join('\n') === pairs.flat().sort().join('\n')
      ? []
      : fix('the cards are not those of the pairs. Re-roll the set.');
  }
  const partner = new Map(pairs);
  let laid = 0;
  let at: WordCardsItem['cards'][number] | undefined = cards[0];
  do {
    const end: string | undefined = at?.[1];
    at = cards.find(([begin]) => end !== undefined && begin === partner.get(end));
    laid++;
  } while (at && at !== cards[0] && laid <= cards.length);
  return at === cards[0] && laid === cards.length
    ? []
    : fix('the dominoes do not make one ring. Re-roll the set.');
}

/** What is wrong with the list: said once for all sets. */
export function inspectAllWordCards(
  items: readonly { number: number; label: string; item: WordCardsItem }[],
  options: WordCardsOptions,
): SectionProblem[] {
  const [first] = items;
  if (!first) return [];
  const rows = pairsIn(options.pairs, options).length;
  if (!rows)
    return [
      {
        severity: 'fix',
        message: `${first.label}: there are no pairs. Type or paste some, a line for each.`,
        item: first.number,
      },
    ];
  const asked = items.length * options.perSet;
  return rows < asked
    ? [
        {
          severity: 'look',
          message: `The list has ${rows} of the ${asked} pairs asked for, so that they come back. Add pairs, or ask for fewer.`,
          item: first.number,
        },
      ]
    : [];
}
