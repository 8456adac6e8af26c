import { type Mark, type Matrix, multiply, type Raster } from '../../scene/index.ts';
import { isShading } from './graphics-state.ts';
import { BeyondMarks, type PageSheet } from './page-sheet.ts';
import { type PdfPicture, rasterOf, stencilOf } from './pictures.ts';

/** A picture by its name, or as it stands in the page. */
type Given = string | PdfPicture;

/** A picture on the unit square, its top at 1. */
const placed = (image: Raster, matrix: Matrix): Mark => ({
  type: 'group',
  matrix: multiply(matrix, [1, 0, 0, -1, 0, 1]),
  marks: [{ type: 'image', image, x: 0, y: 0, width: 1, height: 1 }],
});

/** Pictures and stencils of a page; each is read once, however often it stands there. */
export interface PagePictures {
  /** @param matrices where it stands: its unit square in the coordinates of the page */
  picture(given: Given, matrices: readonly Matrix[]): void;
  /** One bit a pixel, in the color of fills. @throws BeyondMarks where that is several */
  stencil(given: { data: unknown }, matrices: readonly Matrix[]): void;
}

export function picturesOn(sheet: PageSheet): PagePictures {
  const { page } = sheet;
  const rasters = new Map<string, Raster>();
  let unnamed = 0;
  const found = (given: unknown): PdfPicture | null => {
    const picture = (typeof given === 'string' ? page.find(given) : given) as PdfPicture | null;
    return picture?.data ? picture : null;
  };
  // The first part of a name counts the files that were opened.
  const nameOf = (given: unknown): string =>
    typeof given === 'string' ? given.replace(/^(g_)?d\d+_/, '$1') : `inline ${++unnamed}`;
  const read = (name: string, make: () => Raster): Raster => {
    let raster = rasters.get(name);
    if (!raster) {
      raster = make();
      rasters.set(name, raster);
    }
    sheet.colored ||= raster.channels === 3;
    return raster;
  };
  const put = (raster: Raster, matrices: readonly Matrix[]) =>
    sheet.put(
      matrices.map((matrix) => placed(raster, multiply(sheet.state.matrix, matrix))),
      sheet.state.fillOpacity,
    );
  return {
    picture(given, matrices) {
      const picture = found(given);
      if (!picture) return;
      const name = nameOf(given);
      put(
        read(name, () => rasterOf(picture, `${page.id} ${name}`)),
        matrices,
      );
    },
    stencil(given, matrices) {
      const { fill } = sheet.state;
      const mask = found(typeof given.data === 'string' ? given.data : given);
      sheet.seen(fill);
      if (!mask || !fill) return;
      if (isShading(fill)) throw new BeyondMarks('stencils in several colors');
      const name = `${nameOf(given.data)} in ${'gray' in fill ? fill.gray : fill.rgb.join(' ')}`;
      put(
        read(name, () => stencilOf(mask, fill, `${page.id} ${name}`)),
        matrices,
      );
    },
  };
}
