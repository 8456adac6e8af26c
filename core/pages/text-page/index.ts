import * as v from 'valibot';
import type { Rect } from '../../print/index.ts';
import { printedWords } from '../../printed-words/index.ts';
import { picture } from '../../resources/index.ts';
import type { Mark } from '../../scene/index.ts';
import { enumOf, exactObject, identifier, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { rule } from '../blocks/pen.ts';
import { type DrawContext, defineKind } from '../kind.ts';
import { matterHeading, matterRoom, setProse } from '../matter/prose.ts';

const WHAT = {
  introduction: 'Introduction',
  'how-to': 'How to use this book',
  tips: 'Tips',
  next: 'What next',
  author: 'About the author',
  links: 'Links',
  thanks: 'Thank you',
  notes: 'Notes',
} as const;

const options = exactObject({
  what: setting(enumOf(Object.keys(WHAT) as (keyof typeof WHAT)[]), 'introduction', {
    label: 'Page',
    values: WHAT,
  }),
  heading: setting(text(0, 80), '', {
    label: 'Heading',
    help: 'Instead of the usual one in the language of the book.',
  }),
  text: setting(text(0, 6000), '', {
    label: 'Text',
    help: 'An empty line begins a paragraph, # a title, - an item of a list. {title}, {penName} and {imprint} are those of the book.',
    rows: 8,
  }),
  lines: setting(v.boolean(), false, { label: 'Lines to write on below' }),
  picture: setting(v.union([v.literal(''), identifier]), '', {
    label: 'Picture',
    help: 'The name of a picture among the resources; it stands above the text.',
    control: 'picture',
  }),
  pictureSize: setting(integerBetween(15, 60), 32, {
    label: 'Height of the picture',
    unit: '%',
    help: 'Of the page, at most. It is nothing where there is no picture.',
  }),
});
type Options = v.InferOutput<typeof options>;

const said = printedWords({
  en: {
    introduction: 'Introduction',
    'how-to': 'How to use this book',
    tips: 'Tips',
    next: 'What next',
    author: 'About the author',
    links: 'Links',
    thanks: 'Thank you',
    notes: 'Notes',
    thanksText:
      'Thank you for choosing {title}.\n\nA book like this one is found by others because of what its readers say of it. If it has been of use to you, please leave a few honest words where you bought it; it takes a minute, and it helps a great deal.',
  },
  es: {
    introduction: 'Introducción',
    'how-to': 'Cómo usar este libro',
    tips: 'Consejos',
    next: 'Y ahora',
    author: 'Sobre la autoría',
    links: 'Enlaces',
    thanks: 'Gracias',
    notes: 'Notas',
    thanksText:
      'Gracias por elegir {title}.\n\nUn libro como este se encuentra por lo que otras personas dicen de él. Si le ha sido útil, deje unas palabras sinceras donde lo compró: lleva un minuto y ayuda mucho.',
  },
  de: {
    introduction: 'Einführung',
    'how-to': 'So benutzen Sie dieses Buch',
    tips: 'Tipps',
    next: 'Wie es weitergeht',
    author: 'Zur Person',
    links: 'Verweise',
    thanks: 'Danke',
    notes: 'Notizen',
    thanksText:
      'Danke, dass Sie {title} gewählt haben.\n\nEin Buch wie dieses wird gefunden, weil andere etwas darüber sagen. Wenn es Ihnen genützt hat, schreiben Sie bitte ein paar ehrliche Worte dort, wo Sie es gekauft haben; es dauert eine Minute und hilft sehr.',
  },
  fr: {
    introduction: 'Introduction',
    'how-to': 'Comment utiliser ce livre',
    tips: 'Conseils',
    next: 'Et ensuite',
    author: 'À propos de l’auteur',
    links: 'Liens',
    thanks: 'Merci',
    notes: 'Notes',
    thanksText:
      'Merci d’avoir choisi {title}.\n\nUn livre comme celui-ci se fait connaître par ce que ses lecteurs en disent. S’il vous a été utile, laissez quelques mots sincères là où vous l’avez acheté : cela prend une minute et aide beaucoup.',
  },
});

/** Between a picture and the text below it, in points. */
const AFTER_PICTURE = 14;

type Room = Pick<
  DrawContext<Options, never>,
  'options' | 'body' | 'type' | 'faces' | 'frame' | 'language' | 'resources'
>;

/** The text of the page; words in braces are fields of the book. */
const textOf = (
  { what, text: own }: Options,
  language: Room['language'],
  book: Partial<Record<'title' | 'penName' | 'imprint', string>>,
): string =>
  (own || (what === 'thanks' ? said(language, 'thanksText', { title: '{title}' }) : '')).replace(
    /\{(title|penName|imprint)\}/g,
    (_, field: 'title' | 'penName' | 'imprint') => book[field] ?? '',
  );

/** A picture in the middle under the heading, no wider than the text. @returns where what follows begins, besides */
function pictured(
  { options: chosen, resources }: Room,
  id: string,
  box: Rect,
  top: number,
): { marks: Mark[]; bottom: number } {
  const image = resources.value(picture, id);
  const most = { width: box.width, height: (box.height * chosen.pictureSize) / 100 };
  const scale = Math.min(most.width / image.width, most.height / image.height);
  const [width, height] = [image.width * scale, image.height * scale];
  const x = box.x + (box.width - width) / 2;
  return {
    marks: [{ type: 'image', image, x, y: top, width, height }],
    bottom: top + height + AFTER_PICTURE,
  };
}

function laidOut(context: Room, words: string) {
  const { options: chosen, type, faces, frame, language } = context;
  const body = matterRoom(context);
  const scale = frame.grid.typeScale;
  const box = { ...body, y: body.y + body.height * 0.04, height: body.height * 0.96 };
  const heading = matterHeading(
    { type, faces, heading: chosen.heading || said(language, chosen.what), max: 24 * scale },
    box,
  );
  const shown = chosen.picture ? pictured(context, chosen.picture, box, heading.bottom) : null;
  const begins = shown?.bottom ?? heading.bottom;
  const room = { ...box, y: begins, height: box.y + box.height - begins };
  const prose = setProse({ type, faces, max: 12 * scale, min: Math.max(8.5, 9 * scale) }, words, room);
  return { heading, shown: shown?.marks ?? [], prose, room };
}

function draw(context: DrawContext<Options, never>): Mark[] {
  const { options: chosen, language, book, frame } = context;
  const { heading, shown, prose, room } = laidOut(context, textOf(chosen, language, book));
  const { pitch } = frame.grid;
  const top = room.y + (prose.height > 0 ? prose.height + pitch * 0.5 : 0);
  const count = chosen.lines ? Math.max(0, Math.floor((room.y + room.height - top) / pitch + 1e-6)) : 0;
  return [
    ...heading.marks,
    ...shown,
    ...prose.marks,
    ...Array.from({ length: count }, (_, i) => {
      const y = room.y + room.height - 1 - i * pitch;
      return rule([room.x + 1, y], [room.x + room.width - 1, y], 0.75, 0.55);
    }),
  ];
}

const sample = (what: keyof typeof WHAT, words: string, more: Record<string, unknown> = {}) => ({
  name: WHAT[what],
  options: { what, ...more },
  shown: { text: words },
});

export const textPage = defineKind<Options, never>({
  id: 'text-page',
  version: 1,
  name: 'Page of text',
  called: ({ what, heading }) => heading || WHAT[what],
  family: 'Front and back matter',
  purpose: 'Words of your own under a heading.',
  samples: [
    sample(
      'introduction',
      'This book is for those who mean to look after something, and like to know a year later how they did it.\n\nWrite little, and write it on the day.',
    ),
    sample(
      'how-to',
      'Each page is one day.\n\n# Before you begin\n\n- Write the date and the weather.\n- Look before you touch anything.\n- Note what you expected.\n\n# Afterwards\n\n- Note what you found.',
    ),
    sample(
      'tips',
      '- A soft pencil does not smudge.\n- A page left empty is no loss.\n- Look back once a month.',
    ),
    sample('next', 'There is more to keep. Other books of the series are made for the garden and the shore.'),
    sample(
      'author',
      'She keeps eleven hives between the river and the old mill, and has written down every one of them.',
    ),
    sample('links', '- Our other books\n- Pages to print\n- Ask a question'),
    { name: 'Thank you', options: { what: 'thanks' } },
    { name: 'Notes', options: { what: 'notes', lines: true } },
  ],
  extent: 'single',
  defaultCount: 1,
  numbered: false,
  romanNumbers: true,
  inHouseFaces: () => true,
  options,
  later: { picture: '', pictureSize: 32 },
  needs: ({ picture: id }) => (id ? [{ id, type: 'picture', path: 'picture' }] : []),
  units: () => [{}],
  draw,
  inspectUnit(context) {
    const { options: chosen, language } = context;
    const words = textOf(chosen, language, {});
    if (!words.trim() && !chosen.lines)
      return [
        { severity: 'look', message: 'the page has a heading and no text. Write one, or delete the page.' },
      ];
    return laidOut(context, words).prose.fits
      ? []
      : [
          {
            severity: 'fix',
            message:
              'the text does not fit on its page. Shorten it, or put a part of it on a page of its own.',
          },
        ];
  },
});
