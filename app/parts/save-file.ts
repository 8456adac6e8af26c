/** Gives the browser a file to keep. @param type with its encoding */
export function saveFile(name: string, text: string, type: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

/** A name in words as one that every system takes for a file. */
export const fileName = (name: string): string => name.replaceAll(/[^\p{L}\p{N}]+/gu, '-');
