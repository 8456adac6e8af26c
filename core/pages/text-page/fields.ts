import type { BookFields } from '../kind.ts';

type Said = Pick<BookFields, 'title' | 'subtitle' | 'series' | 'penName' | 'imprint'>;

/** Fields of the book that a text may name in braces: what they are called, and what stands in their place. */
export const TEXT_FIELDS = {
  title: { label: 'Title', of: ({ title }: Said) => title },
  subtitle: { label: 'Subtitle', of: ({ subtitle }: Said) => subtitle },
  series: { label: 'Series', of: ({ series }: Said) => series?.name ?? '' },
  volume: { label: 'Volume', of: ({ series }: Said) => String(series?.volume ?? '') },
  penName: { label: 'Pen name', of: ({ penName }: Said) => penName },
  imprint: { label: 'Imprint', of: ({ imprint }: Said) => imprint },
};

export type TextField = keyof typeof TEXT_FIELDS;

const FIELD = new RegExp(`\\{(${Object.keys(TEXT_FIELDS).join('|')})\\}`, 'g');

/** A text with its fields filled in. */
export const withFields = (text: string, book: Said): string =>
  text.replace(FIELD, (_, field: TextField) => TEXT_FIELDS[field].of(book));
