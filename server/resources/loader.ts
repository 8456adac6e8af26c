import { type ResourceLoader, ResourceTrouble } from '#core/resources/index.ts';
import { NODE_TOOLS } from '#core/resources/node-tools.ts';
import { fileStore, whenStoreIsThere } from '../store/index.ts';

/** The hash of a content as the store names it. */
export const storeName = (hash: string): string => hash.slice('sha256-'.length);

/**
 * Reads contents from the file store.
 * @param own hashes of the workspace's own contents: no other is given out, whoever knows its hash
 */
export const storeLoader = (own: Iterable<string>): ResourceLoader => ({
  own: new Set(own),
  // The store names contents by their hash itself.
  trusted: true,
  ...NODE_TOOLS,
  async load(hash, max) {
    const file = await whenStoreIsThere(() => fileStore().open(storeName(hash)));
    if (!file) return null;
    if (file.size > max) {
      file.stream.destroy();
      throw new ResourceTrouble('is larger than is allowed. Make it smaller.');
    }
    const chunks: Uint8Array[] = [];
    for await (const chunk of file.stream) chunks.push(chunk as Uint8Array);
    const bytes = Buffer.concat(chunks);
    if (bytes.length !== file.size)
      throw new ResourceTrouble('is cut off in the file store. Upload it again.');
    return bytes;
  },
});
