import { exactObject, integerBetween } from '../../schema.ts';
import { defineType, MOST_BYTES, type ReadingTools, ResourceTrouble } from '../resource.ts';
import { type PdfFile, pdfFile } from './pdf-file.ts';

export type { PdfSheet } from './pdf-file.ts';

/** No service prints more pages. */
const MOST_PAGES = 828;

/** Pages that were made elsewhere (PDF, ISO 32000). */
export const pdf = defineType({
  id: 'pdf',
  name: 'PDF',
  extension: 'pdf',
  mostBytes: MOST_BYTES,
  facts: exactObject({ pages: integerBetween(1, MOST_PAGES) }),
  read: async (bytes, tools, hash) => {
    try {
      // Loaded when it is wanted: few books have such pages.
      const { structureOf } = await import('./structure.ts');
      const structure = await structureOf(bytes, MOST_PAGES, tools.thorough ?? false);
      const reader = await tools.pdfReader();
      const file = pdfFile(await reader.open(bytes), reader, hash, structure);
      if (tools.thorough) await readAll(file, tools.onPage);
      return { value: file, facts: { pages: file.pages }, bytes: bytes.length };
    } catch (error) {
      if (error instanceof ResourceTrouble) throw error;
      if ((error as Error).name === 'PasswordException')
        throw new ResourceTrouble('is locked with a password. Save it without one.');
      throw new ResourceTrouble('is not a readable PDF, or is cut off. Save it again.');
    }
  },
});

/** Reads every page once. @throws ResourceTrouble that names the first that cannot be used */
async function readAll(file: PdfFile, onPage: ReadingTools['onPage']): Promise<void> {
  for (let page = 1; page <= file.pages; page++) {
    await file.open(page);
    const sheet = file.sheet(page);
    if ('trouble' in sheet) throw new ResourceTrouble(`has a page ${page} that ${sheet.trouble}`);
    onPage?.(page, file.pages);
  }
}
