import { type NamedResource, pdf, type Resources } from '../../resources/index.ts';
import type { Scene } from '../../scene/index.ts';
import { contentOf } from './contents.ts';

/**
 * A page of a file as it is, before it is put on a page of a book.
 * @param resources that hold the file, under the name `it`
 * @param page counted from 1
 * @returns null where it cannot be read
 */
export async function sheetScene(
  { type }: NamedResource,
  page: number,
  resources: Resources,
): Promise<Scene | null> {
  if (!resources.has('it')) return null;
  if (type === pdf.id) await resources.value(pdf, 'it').open(page);
  const content = contentOf({ [type]: 'it' }, page, resources);
  if ('trouble' in content) return null;
  const { width, height, marks } = content;
  return { width, height, gray: false, layers: [{ marks }] };
}
