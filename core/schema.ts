import * as v from 'valibot';

type AnySchema = v.GenericSchema<unknown, unknown>;

/**
 * A schema that is chosen by what is read.
 * @param described stands for it wherever nothing is read: in JSON Schema, in the documentation, in settings
 */
export const chosenBy = <Schema extends v.GenericSchema>(
  described: Schema,
  choose: (input: unknown) => v.GenericSchema,
): v.LazySchema<Schema> => v.lazy((input) => (input === undefined ? described : (choose(input) as Schema)));

/** What describes a schema that is chosen by what is read; any other describes itself. */
export const describedBy = (schema: AnySchema): AnySchema =>
  'getter' in schema ? (schema as v.LazySchema<AnySchema>).getter(undefined) : schema;

export const isObject = (value: unknown): value is Record<string, unknown> =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

/** One of two objects, told apart by a key that only the first has. */
export const byKey = <Having extends v.GenericSchema, Lacking extends v.GenericSchema>(
  key: string,
  having: Having,
  lacking: Lacking,
) => chosenBy(v.union([lacking, having]), (input) => (isObject(input) && key in input ? having : lacking));

/** Takes nothing, and says which kinds of object there are. @param called what they are called: “Kinds of page” */
export function ofNoKind(key: string, ids: readonly string[], called: string): v.GenericSchema {
  const known = `${called} known here: ${ids.join(', ')}.`;
  return v.looseObject({ [key]: v.picklist(ids, (issue) => `is ${issue.received}. ${known}`) }, (issue) =>
    issue.expected === 'Object' ? `is ${issue.received}, but should be an object.` : `is missing. ${known}`,
  );
}

/** An object of one of several kinds, which a key tells apart. @param kinds by their value of the key */
export const objectOfKind = (key: string, kinds: ReadonlyMap<unknown, v.GenericSchema>, called: string) =>
  chosenBy(
    v.union([...kinds.values()]),
    (value) =>
      (isObject(value) && kinds.get(value[key])) || ofNoKind(key, [...kinds.keys()] as string[], called),
  );

/** An object with exactly these keys; a wrong or missing key is answered with the ones that are allowed. */
export function exactObject<const Entries extends v.ObjectEntries>(entries: Entries) {
  const allowed = Object.keys(entries).join(', ');
  const schema = v.strictObject(entries, (issue) => {
    if (issue.expected === 'never') return `is not a known key. Allowed: ${allowed}.`;
    if (issue.received === 'undefined') return `is missing.`;
    return `is ${issue.received}, but should be an object with the keys ${allowed}.`;
  });
  // A list is an object to JavaScript, but not to JSON.
  const noList = v.custom(
    (input) => !Array.isArray(input),
    `is a list, but should be an object with the keys ${allowed}.`,
  );
  return chosenBy(schema, (input) => (Array.isArray(input) ? noList : schema));
}

export const enumOf = <const Options extends readonly (string | number)[]>(options: Options) =>
  v.picklist(options, (issue) => `is ${issue.received}. Allowed: ${options.join(', ')}.`);

/** Some of several options, each once; `least` of them at the least. */
export const someOf = <const Options extends readonly (string | number)[]>(options: Options, least: number) =>
  v.pipe(
    v.array(enumOf(options)),
    v.minLength(least, `should name at least ${least}.`),
    v.maxLength(options.length, `should name no more than ${options.length}.`),
    v.check((chosen) => new Set(chosen).size === chosen.length, 'names one of them twice.'),
  );

export const integerBetween = (min: number, max: number) =>
  v.pipe(
    v.number((issue) => `is ${issue.received}, but should be a number.`),
    v.integer((issue) => `is ${issue.received}, but should be a whole number.`),
    v.minValue(min, (issue) => `is ${issue.received}. Allowed: ${min} to ${max}.`),
    v.maxValue(max, (issue) => `is ${issue.received}. Allowed: ${min} to ${max}.`),
  );

export const numberBetween = (min: number, max: number) =>
  v.pipe(
    v.number((issue) => `is ${issue.received}, but should be a number.`),
    v.minValue(min, (issue) => `is ${issue.received}. Allowed: ${min} to ${max}.`),
    v.maxValue(max, (issue) => `is ${issue.received}. Allowed: ${min} to ${max}.`),
  );

/** Letters as a form counts them, and JSON Schema too: an emoji or an accented letter is one (Unicode code points). */
export const countLetters = (text: string): number => [...text].length;

const limits = new WeakMap<object, number>();

/** The most letters that an action of a schema allows; undefined for any other action. */
export const lettersAllowed = (action: unknown): number | undefined =>
  limits.get((action as { requirement?: object }).requirement ?? {});

/** As Valibot's maxLength, which counts UTF-16 units, where every emoji is two. */
function maxLetters(max: number) {
  const fits = (text: string): boolean => countLetters(text) <= max;
  limits.set(fits, max);
  return v.check(
    fits,
    ({ input }) =>
      `has ${countLetters(input)} characters; ${max} are allowed. Shorten it by ${countLetters(input) - max}.`,
  );
}

/** Text of a limited length, without control characters other than line ends and tabs. */
export const text = (min: number, max: number) =>
  v.pipe(
    v.string((issue) => `is ${issue.received}, but should be text.`),
    v.minLength(min, 'is empty. Write something here.'),
    maxLetters(max),
    v.regex(/^[\t\n\r\P{Cc}]*$/u, 'has control characters in it. Type it again instead of pasting it.'),
  );

/** What a recipe calls a thing: 1 to 64 letters, digits, hyphens or underscores. */
export const identifier = v.pipe(
  v.string(),
  v.regex(/^[A-Za-z0-9_-]{1,64}$/, 'should be 1 to 64 letters, digits, hyphens or underscores.'),
);
