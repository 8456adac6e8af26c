import {
  type Book,
  finished,
  itemFileName,
  itemLabel,
  itemScenes,
  itemSteps,
  kindOf,
  type Section,
} from '../book/index.ts';
import { makesItems, type PictureForm } from '../pages/index.ts';
import type { Scene, Typesetter } from '../scene/index.ts';
import { pdfBytes } from './pdf.ts';
import { scenePng } from './picture.ts';
import { sceneToSvg } from './svg.ts';

/** Pixels for each point: 300 to the inch. */
const PIXELS = 300 / 72;

/** Of a file of one item. */
export interface ItemFile {
  name: string;
  /** It is of the answer alone. */
  answer: boolean;
  bytes: Uint8Array;
}

const pointsOf = ({ width, height }: Scene) => ({
  width: Math.round(width * 100) / 100,
  height: Math.round(height * 100) / 100,
});

const whole = ({ width, height }: Scene) => ({ x: 0, y: 0, width, height });

/**
 * One item alone as files: the puzzle and, where it has one, its answer in a file of its own or, as PDF, on a page of its own.
 * @returns none where the section makes no items, lacks what they are made from, or has no such item
 */
export async function itemFiles(
  book: Book,
  section: Section,
  item: number,
  form: PictureForm,
  type: Typesetter,
): Promise<ItemFile[]> {
  const planned = book.plan.items[section.id];
  if (!makesItems(kindOf(section)) || !planned || item < 1 || item > planned.count) return [];
  if ((await finished(itemSteps(book, section, item))) === undefined) return [];
  const name = itemFileName(book, section, item);
  const { puzzle, answer } = itemScenes(book, section, item, type);
  const scenes = answer ? [puzzle, answer] : [puzzle];
  if (form === 'pdf') {
    const about = {
      title: `${book.recipe.title}, ${itemLabel(book, section.id, item)}`,
      author: book.recipe.penName,
    };
    const pages = scenes.map((scene) => ({ scene, trim: whole(scene) }));
    return [{ name: `${name}.pdf`, answer: false, bytes: await pdfBytes(pages, type, about) }];
  }
  return scenes.map((scene, i) => {
    const width = Math.round(scene.width * PIXELS);
    return {
      name: `${name}${i ? '-answer' : ''}.${form}`,
      answer: i > 0,
      bytes:
        form === 'png'
          ? scenePng(scene, type, width)
          : new TextEncoder().encode(sceneToSvg(scene, type, pointsOf(scene))),
    };
  });
}
