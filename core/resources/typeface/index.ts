import * as v from 'valibot';
import { exactObject, integerBetween, text } from '../../schema.ts';
import { defineType, ResourceTrouble } from '../resource.ts';
import { formatOf } from './format.ts';

const MB = 1024 * 1024;

const facts = exactObject({
  family: text(1, 100),
  /** 400 is regular, 700 bold (OpenType 1.9, OS/2 table, usWeightClass). */
  weight: integerBetween(1, 1000),
  italic: v.boolean('should be true or false.'),
});

export type TypefaceFacts = v.InferOutput<typeof facts>;

/** One face of a publisher's own, as a static font with TrueType or CFF outlines (OpenType 1.9). */
export const typeface = defineType({
  id: 'typeface',
  name: 'Typeface',
  extension: 'otf',
  mostBytes: 40 * MB,
  facts,
  read: async (bytes, { thorough }) => {
    const format = formatOf(bytes);
    if (format === 'woff' || format === 'woff2')
      throw new ResourceTrouble(
        'is packed for the web. Upload it, which unpacks it, or save it as TTF or OTF.',
      );
    // Loaded when it is wanted: few books have such faces, and pages of the application do without.
    const { inspectFont } = await import('./inspect.ts');
    return { value: bytes, facts: inspectFont(bytes, thorough), bytes: bytes.length };
  },
});
