import type { Font } from 'fontkit';

/** The bits of fsType that say more than “anything is allowed” (OpenType 1.9, OS/2 table). */
interface EmbeddingBits {
  noEmbedding: boolean;
  /** “Preview & Print embedding”. */
  viewOnly: boolean;
  editable: boolean;
  noSubsetting: boolean;
  bitmapOnly: boolean;
}

/**
 * Why a font may not go into a PDF by what its own file says, as the end of a sentence; null where it may. Files carry
 * the outlines of the letters that they use, so a font needs to allow a part of it to be embedded, as outlines. Where
 * an old font sets several permissions, the least strict holds (OpenType 1.9, OS/2 table, fsType).
 */
export function embeddingTrouble(font: Font): string | null {
  const os2 = font['OS/2'] as { fsType: EmbeddingBits } | undefined;
  if (!os2)
    return 'does not say whether it may be embedded (it has no OS/2 table). Ask its maker for another file.';
  const { noEmbedding, viewOnly, editable, noSubsetting, bitmapOnly } = os2.fsType;
  if (noEmbedding && !viewOnly && !editable)
    return 'may not be embedded: its license does not allow it (fsType 2). Choose another, or ask its maker.';
  if (noSubsetting)
    return 'may be embedded only as a whole (fsType 256), and files carry only the letters that they use. Choose another, or ask its maker.';
  if (bitmapOnly)
    return 'may be embedded only as pixels (fsType 512), which do not print well. Choose another, or ask its maker.';
  return null;
}
