import * as v from 'valibot';
import { MOST_LABEL, MOST_LABELS } from '#core/labels.ts';

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

/** Labels in one field of a form, as a list in JSON. */
export const labelsField = v.pipe(
  v.string(),
  v.maxLength(10_000),
  v.parseJson(),
  v.array(v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(MOST_LABEL))),
  v.maxLength(MOST_LABELS, `At most ${MOST_LABELS} labels. Use fewer.`),
);

/** An id of our own, as rows have it. */
export const idField = v.pipe(v.string(), v.regex(/^[A-Za-z0-9_-]{1,64}$/));
