import type { ContentResources } from './content.ts';

/** Names for a content stream that goes into no file: glyphs keep their own numbers. */
export const namesOfNoFile: ContentResources = {
  face: (id) => ({ name: id, code: (glyph) => glyph }),
  pattern: () => 'P1',
  opacity: () => 'G1',
  image: () => 'X1',
  form: () => 'X2',
};
