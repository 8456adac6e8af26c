import * as v from 'valibot';
import { emphasizedFace } from '../../faces/index.ts';
import { printedWords } from '../../printed-words/index.ts';
import { picture } from '../../resources/index.ts';
import { escapedPlain, loadRichText, type RichPart, richParts } from '../../rich-text/index.ts';
import type { FaceId, Mark } from '../../scene/index.ts';
import { enumOf, exactObject, identifier, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { rule } from '../blocks/pen.ts';
import { type DrawContext, defineKind } from '../kind.ts';
import { matterHeading, matterRoom, pictureIn, setProse } from '../matter/prose.ts';
import { withFields } from './fields.ts';

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

/** More would leave no room for words. */
export const MOST_PICTURES = 12;

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
    help: 'In Markdown (CommonMark): paragraphs, titles, lists, **bold**, *italics*, line breaks, and ![](2 "40%") for the second of the pictures, up to that part of the page. {title}, {subtitle}, {series}, {volume}, {penName} and {imprint} are those of the book.',
    control: 'rich-text',
  }),
  pictures: setting(v.pipe(v.array(identifier), v.maxLength(MOST_PICTURES)), [], {
    label: 'Pictures in the text',
    help: 'The names of pictures among the resources, in the order of the numbers by which the text names them.',
    control: 'elsewhere',
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
  'options' | 'body' | 'type' | 'faces' | 'frame' | 'language' | 'resources' | 'book'
>;

/** The text of the page; words in braces are fields of the book. */
const partsOf = ({ options: { what, text: own }, language, book }: Room): RichPart[] =>
  richParts(own || (what === 'thanks' ? said(language, 'thanksText', { title: '{title}' }) : '')).map(
    (part) =>
      part.kind === 'picture'
        ? part
        : {
            ...part,
            runs: part.runs.map((run) => ({ ...run, text: withFields(run.text, book) })),
          },
  );

function laidOut(context: Room) {
  const { options: chosen, type, faces, frame, language, resources } = context;
  const body = matterRoom(context);
  const scale = frame.grid.typeScale;
  const box = { ...body, y: body.y + body.height * 0.04, height: body.height * 0.96 };
  const heading = matterHeading(
    { type, faces, heading: chosen.heading || said(language, chosen.what), max: 24 * scale },
    box,
  );
  const shown = chosen.picture
    ? pictureIn(
        resources.value(picture, chosen.picture),
        { ...box, y: heading.bottom },
        (box.height * chosen.pictureSize) / 100,
      )
    : null;
  const begins = heading.bottom + (shown ? shown.height + AFTER_PICTURE : 0);
  const room = { ...box, y: begins, height: box.y + box.height - begins };
  const parts = partsOf(context);
  const pictures = {
    images: chosen.pictures.map((id) => resources.value(picture, id)),
    pageHeight: box.height,
  };
  const prose = setProse(
    { type, faces, max: 12 * scale, min: Math.max(8.5, 9 * scale), pictures },
    parts,
    room,
  );
  return { heading, shown: shown?.marks ?? [], parts, prose, room };
}

/** What is asked of the text and cannot be had. */
function* troubles({ options: chosen, faces }: Room, parts: readonly RichPart[]): Generator<string> {
  const lost = parts.find((part) => part.kind === 'picture' && part.picture > chosen.pictures.length);
  if (lost?.kind === 'picture')
    yield `the text names picture ${lost.picture}, and there ${chosen.pictures.length === 1 ? 'is 1' : `are ${chosen.pictures.length}`}. Choose one there, or take it out.`;
  for (const look of ['bold', 'italic'] as const) {
    const upright = parts.some(
      (part) =>
        part.kind !== 'picture' &&
        part.runs.some(
          (run) =>
            run[look] &&
            run.text.trim() &&
            !isEmphasized(part.kind === 'title' ? faces.display : faces.text, look),
        ),
    );
    if (upright)
      yield `words in ${look === 'bold' ? 'bold' : 'italics'} print as the others do: the typeface of the house style has none. Choose another typeface, or another way to set them off.`;
  }
}

const isEmphasized = (face: FaceId, look: 'bold' | 'italic'): boolean => {
  const set = emphasizedFace(face, { [look]: true });
  return set !== face || (look === 'bold' ? /-(bold|extrabold|black|bold-italic)$/ : /italic$/).test(face);
};

function draw(context: DrawContext<Options, never>): Mark[] {
  const { options: chosen, frame } = context;
  const { heading, shown, prose, room } = laidOut(context);
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
  version: 2,
  madeSince: 1,
  // Its text was plain, with # and - alone.
  earlier: [
    {
      version: 1,
      migrate: ({ text: plain, ...rest }) =>
        typeof plain === 'string' ? { ...rest, text: escapedPlain(plain) } : rest,
    },
  ],
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
  later: { picture: '', pictureSize: 32, pictures: [] },
  prepare: loadRichText,
  needs: ({ picture: id, pictures }) => [
    ...(id ? [{ id, type: picture.id, path: 'picture' }] : []),
    ...pictures.map((one, i) => ({ id: one, type: picture.id, path: `pictures.${i}` })),
  ],
  units: () => [{}],
  draw,
  inspectUnit(context) {
    const { parts, prose } = laidOut(context);
    if (parts.length === 0 && !context.options.lines)
      return [
        { severity: 'look', message: 'the page has a heading and no text. Write one, or delete the page.' },
      ];
    const look = [...troubles(context, parts)].map((message) => ({ severity: 'look' as const, message }));
    if (prose.fits) return look;
    const message =
      'the text does not fit on its page. Shorten it, or put a part of it on a page of its own.';
    return [{ severity: 'fix', message }, ...look];
  },
});
