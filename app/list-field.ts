import * as v from 'valibot';

/**
 * Several ids in one field of a form, separated by spaces.
 * @param max at a time
 * @param tooMany what to say of more
 */
export const listField = <Item extends v.GenericSchema<string, string>>(
  item: Item,
  max: number,
  tooMany = `has more than ${max} ids.`,
) =>
  v.pipe(
    v.string(),
    v.transform((text) => text.split(' ').filter(Boolean)),
    v.array(item),
    v.maxLength(max, tooMany),
  );

/** An id of our own, as rows have it. */
export const idField = v.pipe(v.string(), v.regex(/^[A-Za-z0-9_-]{1,64}$/));
