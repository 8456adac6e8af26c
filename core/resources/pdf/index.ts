import { exactObject, integerBetween } from '../../schema.ts';
import { defineType, MOST_BYTES, ResourceTrouble } from '../resource.ts';

/** No service prints more pages. */
const MOST_PAGES = 828;

/** Pages that were made elsewhere (PDF, ISO 32000). */
export const pdf = defineType({
  id: 'pdf',
  name: 'PDF',
  extension: 'pdf',
  mostBytes: MOST_BYTES,
  facts: exactObject({ pages: integerBetween(1, MOST_PAGES) }),
  read: async (bytes) => {
    // Loaded when it is wanted: few books have such pages.
    const { EncryptedPDFError, PDFDocument } = await import('@cantoo/pdf-lib');
    try {
      const file = await PDFDocument.load(bytes, { updateMetadata: false, throwOnInvalidObject: true });
      const pages = file.getPageCount();
      if (pages < 1 || pages > MOST_PAGES)
        throw new ResourceTrouble(`has ${pages} pages; 1 to ${MOST_PAGES} are allowed. Split it.`);
      return { value: bytes, facts: { pages }, bytes: bytes.length };
    } catch (error) {
      if (error instanceof ResourceTrouble) throw error;
      if (error instanceof EncryptedPDFError)
        throw new ResourceTrouble('is locked with a password. Save it without one.');
      throw new ResourceTrouble('is not a readable PDF, or is cut off. Save it again.');
    }
  },
});
