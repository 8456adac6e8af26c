import { ResourceTrouble } from './resource.ts';

/** Lines of UTF-8 text, trimmed, without the empty ones. @throws ResourceTrouble for other bytes, or too many or too long lines */
export function readLines(bytes: Uint8Array, limits: { lines: number; letters: number }): string[] {
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new ResourceTrouble('is not text in UTF-8. Save it as a plain text file in UTF-8.');
  }
  const lines = text
    .normalize('NFC')
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter(Boolean);
  if (lines.length === 0) throw new ResourceTrouble('is empty.');
  if (lines.length > limits.lines)
    throw new ResourceTrouble(
      `has ${lines.length.toLocaleString('en-US')} lines; ${limits.lines.toLocaleString('en-US')} are allowed. Split it.`,
    );
  const long = lines.findIndex((line) => line.length > limits.letters);
  if (long >= 0)
    throw new ResourceTrouble(
      `has a line ${long + 1} of ${lines[long]!.length} characters; ${limits.letters} are allowed.`,
    );
  const strange = lines.findIndex((line) => /\p{Cc}/u.test(line.replaceAll('\t', '')));
  if (strange >= 0) throw new ResourceTrouble(`has control characters in line ${strange + 1}. Remove them.`);
  return lines;
}
