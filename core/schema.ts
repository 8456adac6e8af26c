import * as v from 'valibot';

/** An object with exactly these keys; a wrong or missing key is answered with the ones that are allowed. */
export function exactObject<const Entries extends v.ObjectEntries>(entries: Entries) {
  const schema = v.strictObject(entries, (issue) => {
    const allowed = Object.keys(entries).join(', ');
    if (issue.expected === 'never') return `is not a known key. Allowed: ${allowed}.`;
    if (issue.received === 'undefined') return `is missing.`;
    return `is ${issue.received}, but should be an object with the keys ${allowed}.`;
  });
  const run = schema['~run'].bind(schema);
  // A list is an object to JavaScript, but not to JSON.
  return {
    ...schema,
    '~run': ((dataset, config) =>
      run(Array.isArray(dataset.value) ? { value: 'a list' } : dataset, config)) as typeof run,
  };
}

export const enumOf = <const Options extends readonly string[]>(options: Options) =>
  v.picklist(options, (issue) => `is ${issue.received}. Allowed: ${options.join(', ')}.`);

export const integerBetween = (least: number, most: number) =>
  v.pipe(
    v.number((issue) => `is ${issue.received}, but should be a number.`),
    v.integer((issue) => `is ${issue.received}, but should be a whole number.`),
    v.minValue(least, (issue) => `is ${issue.received}. Allowed: ${least} to ${most}.`),
    v.maxValue(most, (issue) => `is ${issue.received}. Allowed: ${least} to ${most}.`),
  );

export const numberBetween = (least: number, most: number) =>
  v.pipe(
    v.number((issue) => `is ${issue.received}, but should be a number.`),
    v.minValue(least, (issue) => `is ${issue.received}. Allowed: ${least} to ${most}.`),
    v.maxValue(most, (issue) => `is ${issue.received}. Allowed: ${least} to ${most}.`),
  );

/** Letters as a form counts them, and JSON Schema too: an emoji or an accented letter is one (Unicode code points). */
export const countLetters = (text: string): number => [...text].length;

/** As Valibot's own, which counts UTF-16 units, where every emoji is two. */
function maxLetters(most: number) {
  const maxLength = v.maxLength<string, number, (issue: v.MaxLengthIssue<string, number>) => string>(
    most,
    ({ input }) =>
      `has ${countLetters(input)} characters; ${most} are allowed. Shorten it by ${countLetters(input) - most}.`,
  );
  const run = maxLength['~run'].bind(maxLength);
  return {
    ...maxLength,
    '~run': ((dataset, config) =>
      dataset.typed && countLetters(dataset.value) <= most ? dataset : run(dataset, config)) as typeof run,
  };
}

/** Text of a limited length, without control characters other than line ends and tabs. */
export const text = (least: number, most: number) =>
  v.pipe(
    v.string((issue) => `is ${issue.received}, but should be text.`),
    v.minLength(least, 'is empty. Write something here.'),
    maxLetters(most),
    v.regex(/^[\t\n\r\P{Cc}]*$/u, 'has control characters in it. Type it again instead of pasting it.'),
  );

/** What a recipe calls a thing: 1 to 64 letters, digits, hyphens or underscores. */
export const identifier = v.pipe(
  v.string(),
  v.regex(/^[A-Za-z0-9_-]{1,64}$/, 'should be 1 to 64 letters, digits, hyphens or underscores.'),
);
