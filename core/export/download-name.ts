import slugify from '@sindresorhus/slugify';

/** Letters of the title in a name: with the longest file name it stays far under the 255 bytes of common file systems. */
const MOST_LETTERS = 80;

/**
 * The name under which a file of a book is saved, so that the files of many books lie beside each other:
 * “the-beekeepers-word-hunt-interior.pdf”. ASCII letters, digits and hyphens; other scripts are written in Latin letters.
 * @param file what it is, with its ending; one that stands for the whole book begins with “book.” and has the title alone
 */
export function downloadName(title: string, file: string): string {
  const name = slugify(title).slice(0, MOST_LETTERS).replace(/-+$/, '') || 'book';
  return file.startsWith('book.') ? `${name}${file.slice('book'.length)}` : `${name}-${file}`;
}
