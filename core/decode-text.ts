/** @throws RangeError when a file of so many bytes is over the limit */
export function refuseLarge(size: number, max: number): void {
  const megabytes = (bytes: number) => `${(bytes / 1048576).toFixed(1)} MB`;
  if (size > max)
    throw new RangeError(`The file has ${megabytes(size)}; ${megabytes(max)} are allowed. Split it.`);
}

/**
 * Bytes of a text file to text: UTF-8, or UTF-16 by its byte order mark or by the zero bytes of Latin letters,
 * otherwise Windows-1252.
 * @param max bytes that are taken
 * @throws RangeError when the file is over the limit or is no text
 */
export function decodeText(bytes: Uint8Array, max: number): string {
  refuseLarge(bytes.length, max);
  const zerosAt = (offset: number) => {
    let zeros = 0;
    for (let i = offset; i < Math.min(bytes.length, 400); i += 2) if (bytes[i] === 0) zeros++;
    return zeros;
  };
  const sample = Math.min(bytes.length, 400) / 2;
  if ((bytes[0] === 0xff && bytes[1] === 0xfe) || zerosAt(1) > sample * 0.4)
    return new TextDecoder('utf-16le').decode(bytes);
  if ((bytes[0] === 0xfe && bytes[1] === 0xff) || zerosAt(0) > sample * 0.4)
    return new TextDecoder('utf-16be').decode(bytes);
  if (bytes.subarray(0, 4096).includes(0)) {
    throw new RangeError('This is not a text file. Export it as CSV or plain text and try again.');
  }
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/**
 * The value of a JSON file in any encoding that editors save it in.
 * @param max bytes that are taken
 * @throws RangeError when the file is over the limit or is no text, SyntaxError when it is no JSON
 */
export const decodeJson = (bytes: Uint8Array, max: number): unknown => JSON.parse(decodeText(bytes, max));
