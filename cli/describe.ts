import { jobTicket } from '#core/book/ticket.ts';
import { showMoney } from '#core/print/index.ts';
import { showLength, showSize } from '#core/units.ts';
import { bookFromFile } from './reading.ts';

/** Numbers to a millionth of a point or of a coin: what lies beyond is the dust of binary fractions. */
const withoutDust = (_: string, value: unknown): unknown =>
  typeof value === 'number' ? Number(value.toFixed(6)) : value;

/** Prints the job ticket. */
export async function describe(file: string, json: boolean): Promise<number> {
  const book = await bookFromFile(file);
  const { rules, recipe } = book;
  const ticket = jobTicket(book);
  if (json) {
    console.log(JSON.stringify({ title: recipe.title, lengths: 'points', ...ticket }, withoutDust, 2));
    return 0;
  }
  const rows: [string, string][] = [
    ['Title', recipe.title],
    ['Trim', showSize(ticket.trim.width, ticket.trim.height, 'in')],
    ['Bleed', ticket.bleed ? showLength(rules.bleed.width, 'in') : 'none'],
    ['Pages', String(ticket.pages)],
    ['Ink, paper', `${ticket.ink}, ${ticket.paper}`],
    ['Gutter', showLength(ticket.gutter, 'in')],
    [
      'Spine',
      ticket.spine
        ? `${showLength(ticket.spine, 'in', 3)}${ticket.spineText ? '' : ', no words on it'}`
        : 'none',
    ],
    ['Wrap', showSize(ticket.wrap.width, ticket.wrap.height, 'in', 3)],
    ...ticket.markets.map((market): [string, string] => {
      const price =
        market.price === null
          ? 'no price'
          : `${showMoney(market.price, market.currency)}, royalty ${showMoney(market.royalty!, market.currency)}`;
      return [
        market.name,
        `print cost ${showMoney(market.cost, market.currency)}, ${price}, lowest ${showMoney(market.lowestPrice, market.currency)}`,
      ];
    }),
  ];
  for (const [name, value] of rows) console.log(`${name.padEnd(12)} ${value}`);
  return 0;
}
