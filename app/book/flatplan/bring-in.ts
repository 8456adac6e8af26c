import { useRef, useState } from 'react';
import { changeSection, leaveOutUnused, takeResource } from '#core/book/edit.ts';
import type { Recipe } from '#core/book/recipe.ts';
import type { Section } from '#core/book/sections.ts';
import type { ImportedFile } from '#core/pages/imported/index.ts';
import { artwork, type NamedResource, pdf, picture } from '#core/resources/index.ts';
import { uploadResource } from '../../parts/upload-resource.ts';
import { useBook } from '../store.ts';

/** By the end of a file's name, the type of resource that it is. */
const TYPES: Readonly<Record<string, string>> = {
  pdf: pdf.id,
  svg: artwork.id,
  png: picture.id,
  jpg: picture.id,
  jpeg: picture.id,
  webp: picture.id,
  tif: picture.id,
  tiff: picture.id,
};
export const TAKEN = Object.keys(TYPES).map((end) => `.${end}`);

/** Files that are put into the book together: each step lays the book out anew. */
const AT_ONCE = 20;
/** Letters of the name of a resource. */
const MOST_NAME = 100;

export const filesOf = ({ options }: Section): readonly ImportedFile[] =>
  options.files as readonly ImportedFile[];

/** A recipe whose section has these files after its own. */
export const withFiles = (recipe: Recipe, section: string, kept: readonly NamedResource[]): Recipe =>
  kept.reduce(
    (now, resource) =>
      takeResource(now, section, resource, (entry, id) => ({
        ...entry,
        options: { ...entry.options, files: [...filesOf(entry), { [resource.type]: id }] },
      })),
    recipe,
  );

/** A recipe whose section has these files alone, without what nothing uses any more. */
export const withFilesAlone = (recipe: Recipe, section: string, files: readonly ImportedFile[]): Recipe =>
  leaveOutUnused(
    recipe,
    changeSection(recipe, section, (entry) => ({ ...entry, options: { ...entry.options, files } })),
  );

/** How far files have come, and what is wrong with some of them. */
export interface BringingIn {
  done: number;
  of: number;
  /** The one that is on its way, and how many of its pages were read. */
  name: string;
  pages: { read: number; of: number } | null;
}

/** Sends files one after the other and puts them into a section, in the order of their names. */
export function useBringIn(section: string) {
  const edit = useBook((state) => state.edit);
  const [underWay, setUnderWay] = useState<BringingIn | null>(null);
  const [problems, setProblems] = useState<string[]>([]);
  const canceled = useRef(false);

  const bringIn = async (files: readonly File[]) => {
    canceled.current = false;
    setProblems([]);
    // Here, not when the page opens: the first form of Intl takes a browser long to make ready.
    const inOrder = new Intl.Collator('en', { numeric: true });
    const sorted = [...files].sort((a, b) => inOrder.compare(a.name, b.name));
    const wrong: string[] = [];
    let waiting: NamedResource[] = [];
    const put = () => {
      const kept = waiting;
      waiting = [];
      if (kept.length === 0) return;
      const refused = edit((recipe) => withFiles(recipe, section, kept), `${section} brought in`);
      if (refused) wrong.push(refused);
    };
    for (const [done, file] of sorted.entries()) {
      if (canceled.current) break;
      const told = { done, of: sorted.length, name: file.name };
      setUnderWay({ ...told, pages: null });
      const type = TYPES[file.name.split('.').at(-1)?.toLowerCase() ?? ''];
      if (!type) {
        wrong.push(`${file.name} is none of PDF, PNG, JPEG, WebP, TIFF and SVG.`);
        continue;
      }
      const name = file.name.replace(/\.[^.]+$/, '').slice(0, MOST_NAME) || file.name;
      const answer = await uploadResource(type, name, file, {}, (read, of) =>
        setUnderWay({ ...told, pages: { read, of } }),
      );
      if ('problem' in answer) wrong.push(answer.problem);
      else waiting.push(...answer.kept);
      if (waiting.length >= AT_ONCE) put();
    }
    put();
    setProblems(wrong);
    setUnderWay(null);
  };
  const cancel = () => {
    canceled.current = true;
  };
  return { bringIn, underWay, problems, cancel };
}
