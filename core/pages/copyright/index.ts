import * as v from 'valibot';
import { typeSize } from '../../print/index.ts';
import { printedWords } from '../../printed-words/index.ts';
import { plainParts } from '../../rich-text/index.ts';
import type { Mark } from '../../scene/index.ts';
import { enumOf, exactObject, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { type DrawContext, defineKind } from '../kind.ts';
import { matterRoom, setProse } from '../matter/prose.ts';

/**
 * The check digit of an ISBN-13: digits weighted 1 and 3 in turn sum to a multiple of ten (ISO 2108; International ISBN Agency,
 * ISBN Users’ Manual).
 */
export const isIsbn = (given: string): boolean => {
  const digits = given.replace(/[\s-]/g, '');
  return (
    /^97[89]\d{10}$/.test(digits) &&
    [...digits].reduce((sum, digit, i) => sum + Number(digit) * (i % 2 ? 3 : 1), 0) % 10 === 0
  );
};

const options = exactObject({
  year: setting(
    v.pipe(
      text(0, 4),
      v.check(
        (year) => year === '' || /^\d{4}$/.test(year),
        ({ input }) => `is “${input}”. Write a year, such as "2027".`,
      ),
    ),
    '',
    { label: 'Year' },
  ),
  holder: setting(text(0, 120), '', {
    label: 'Holder of the rights',
    help: 'Instead of the pen name.',
  }),
  rights: setting(enumOf(['all', 'personal', 'classroom', 'none']), 'all', {
    label: 'Rights',
    values: {
      all: 'All rights reserved',
      personal: 'Pages may be copied for the owner’s own use',
      classroom: 'Pages may be copied for one classroom',
      none: 'Nothing said',
    },
  }),
  isbn: setting(
    v.pipe(
      text(0, 20),
      v.check(
        (isbn) => isbn === '' || isIsbn(isbn),
        ({ input }) => `is “${input}”, which is no ISBN of 13 digits. Check it for a slip.`,
      ),
    ),
    '',
    { label: 'ISBN', help: 'Its 13 digits, with or without hyphens.' },
  ),
  credits: setting(v.boolean(), true, {
    label: 'Credits of data, art and type',
    help: 'Gathered from what is in the book.',
  }),
  more: setting(text(0, 1500), '', {
    label: 'More',
    help: 'Such as that nothing in the book is medical advice.',
    rows: 3,
  }),
});
type Options = v.InferOutput<typeof options>;

const said = printedWords({
  en: {
    copyright: 'Copyright © {year} {holder}',
    undated: 'Copyright © {holder}',
    all: 'All rights reserved. No part of this book may be copied or stored in any form without written permission of the publisher.',
    personal:
      'All rights reserved. The owner of this book may copy its pages for personal use; nobody may sell copies or pass them on.',
    classroom:
      'All rights reserved. The teacher who owns this book may copy its pages for the pupils of one classroom; nobody may sell copies or pass them on.',
    published: 'Published by {imprint}',
    isbn: 'ISBN {isbn}',
    type: 'Set in {families}.',
  },
  es: {
    copyright: 'Copyright © {year} {holder}',
    undated: 'Copyright © {holder}',
    all: 'Todos los derechos reservados. Ninguna parte de este libro puede copiarse ni guardarse en forma alguna sin permiso escrito de la editorial.',
    personal:
      'Todos los derechos reservados. Quien posee este libro puede copiar sus páginas para su uso personal; nadie puede vender ni difundir las copias.',
    classroom:
      'Todos los derechos reservados. Quien enseña y posee este libro puede copiar sus páginas para el alumnado de un aula; nadie puede vender ni difundir las copias.',
    published: 'Publicado por {imprint}',
    isbn: 'ISBN {isbn}',
    type: 'Compuesto en {families}.',
  },
  de: {
    copyright: 'Copyright © {year} {holder}',
    undated: 'Copyright © {holder}',
    all: 'Alle Rechte vorbehalten. Kein Teil dieses Buches darf ohne schriftliche Erlaubnis des Verlags kopiert oder gespeichert werden.',
    personal:
      'Alle Rechte vorbehalten. Wer dieses Buch besitzt, darf seine Seiten für sich selbst kopieren; niemand darf Kopien verkaufen oder weitergeben.',
    classroom:
      'Alle Rechte vorbehalten. Die Lehrkraft, der dieses Buch gehört, darf seine Seiten für eine Klasse kopieren; niemand darf Kopien verkaufen oder weitergeben.',
    published: 'Erschienen bei {imprint}',
    isbn: 'ISBN {isbn}',
    type: 'Gesetzt aus {families}.',
  },
  fr: {
    copyright: 'Copyright © {year} {holder}',
    undated: 'Copyright © {holder}',
    all: 'Tous droits réservés. Aucune partie de ce livre ne peut être copiée ou conservée sous quelque forme que ce soit sans l’accord écrit de l’éditeur.',
    personal:
      'Tous droits réservés. La personne qui possède ce livre peut en copier les pages pour son usage personnel ; nul ne peut vendre ou diffuser les copies.',
    classroom:
      'Tous droits réservés. L’enseignant qui possède ce livre peut en copier les pages pour les élèves d’une classe ; nul ne peut vendre ou diffuser les copies.',
    published: 'Publié par {imprint}',
    isbn: 'ISBN {isbn}',
    type: 'Composé en {families}.',
  },
});

/** The paragraphs of the page, in order. */
function paragraphs({
  options: chosen,
  book,
  whole,
  language,
}: Pick<DrawContext<Options, never>, 'options' | 'book' | 'whole' | 'language'>): string[] {
  const holder = chosen.holder || book.penName || book.imprint;
  const { year, rights, isbn } = chosen;
  return [
    book.title + (book.subtitle ? `: ${book.subtitle}` : ''),
    year ? said(language, 'copyright', { year, holder }) : said(language, 'undated', { holder }),
    rights === 'none' ? '' : said(language, rights),
    book.imprint ? said(language, 'published', { imprint: book.imprint }) : '',
    isbn ? said(language, 'isbn', { isbn }) : '',
    ...(chosen.credits
      ? [...whole.credits, said(language, 'type', { families: whole.typefaces.join(', ') })]
      : []),
    ...chosen.more.split(/\n\s*\n/),
  ].filter((one) => one.trim());
}

function draw(context: DrawContext<Options, never>): Mark[] {
  const { type, faces, frame } = context;
  const body = matterRoom(context);
  const box = { ...body, width: body.width * 0.86 };
  const max = Math.max(7.5, typeSize(frame.grid, 8.6));
  const prose = { type, faces, max, min: 7 };
  const words = plainParts(paragraphs(context).join('\n\n'));
  // At the foot of the page, as it is looked for there.
  const { height } = setProse(prose, words, box);
  return setProse(prose, words, { ...box, y: body.y + body.height - height }).marks;
}

export const copyright = defineKind<Options, never>({
  id: 'copyright',
  version: 1,
  name: 'Copyright',
  family: 'Front and back matter',
  purpose: 'Year, rights, imprint, ISBN, and the credits that a book owes.',
  extent: 'single',
  defaultCount: 1,
  numbered: false,
  romanNumbers: true,
  inHouseFaces: () => true,
  printsCredits: ({ credits }) => credits,
  options,
  units: () => [{ side: 'verso' }],
  draw,
});
