import sharp from 'sharp';
import { MOST_PIXELS, ResourceTrouble } from '#core/resources/index.ts';
import type { Prepared } from './prepare.ts';

/** Pictures that one file may hold, as a TIFF of a scanner does. */
const MOST_PAGES = 828;
/** What books take as it is. */
const AS_IT_IS = new Set(['png', 'jpeg']);
const TAKEN = new Set([...AS_IT_IS, 'webp', 'tiff']);

const unreadable = (): ResourceTrouble =>
  new ResourceTrouble('is not a readable picture, or is cut off. Save it again as PNG, JPEG, WebP or TIFF.');

/** Makes PNG of what books do not take as it is, losing nothing; a picture for each page of a TIFF. */
export async function preparePicture(bytes: Buffer, name: string): Promise<Prepared[]> {
  const open = (page: number) => sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'truncated', page });
  try {
    const { format, width, height, pages = 1 } = await sharp(bytes, { limitInputPixels: false }).metadata();
    if (!TAKEN.has(format))
      throw new ResourceTrouble(`is a ${format} file. Save it as PNG, JPEG, WebP or TIFF.`);
    if (AS_IT_IS.has(format)) return [{ name, bytes }];
    if (width * height > MOST_PIXELS)
      throw new ResourceTrouble(
        `has ${width.toLocaleString('en-US')} × ${height.toLocaleString('en-US')} pixels; ${MOST_PIXELS / 1e6} million are allowed. Make it smaller.`,
      );
    if (format === 'webp') return [{ name, bytes: await open(0).autoOrient().png().toBuffer() }];
    if (pages > MOST_PAGES)
      throw new ResourceTrouble(`has ${pages} pages; ${MOST_PAGES} are allowed. Split it.`);
    const prepared: Prepared[] = [];
    for (let page = 0; page < pages; page++)
      prepared.push({
        name: pages > 1 ? `${name.slice(0, 90)} ${page + 1}` : name,
        bytes: await open(page).autoOrient().toColourspace('srgb').png().toBuffer(),
      });
    return prepared;
  } catch (error) {
    throw error instanceof ResourceTrouble ? error : unreadable();
  }
}
