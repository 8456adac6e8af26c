import * as v from 'valibot';
import type { Raster } from '../../scene/index.ts';
import { exactObject, integerBetween } from '../../schema.ts';
import { defineType, MOST_BYTES, MOST_PIXELS } from '../resource.ts';

const side = integerBetween(1, 65_535);

/** A photograph or drawing in pixels: PNG or JPEG, at its true resolution. */
export const picture = defineType({
  id: 'picture',
  name: 'Picture',
  extension: 'img',
  mostBytes: MOST_BYTES,
  facts: v.pipe(
    exactObject({ width: side, height: side }),
    v.check(
      ({ width, height }) => width * height <= MOST_PIXELS,
      `has more pixels than the ${MOST_PIXELS / 1e6} million that are allowed. Make it smaller.`,
    ),
  ),
  read: async (bytes, tools, hash) => {
    const decoded = await tools.decodePicture(bytes);
    const { width, height, pixels, alpha, jpeg } = decoded;
    const value: Raster = { id: hash, ...decoded };
    return {
      value,
      facts: { width, height },
      bytes: pixels.length + (alpha?.length ?? 0) + (jpeg?.length ?? 0),
    };
  },
});
