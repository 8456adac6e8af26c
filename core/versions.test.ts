import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { exactObject, integerBetween } from './schema.ts';
import {
  type Earlier,
  incompleteVersions,
  newestOf,
  ofAny,
  ofVersion,
  type Versioned,
  versionSchema,
} from './versions.ts';

interface Thing extends Versioned<Thing> {
  options: v.GenericSchema<unknown, unknown>;
}

const counted = (key: string) => exactObject({ [key]: v.optional(integerBetween(0, 99), 5) });
const second: Thing = { id: 'thing', version: 2, options: counted('lines') };
/** Version 2 only renamed an option; version 3 draws it twice as thick; version 4 renamed again. */
const thing: Thing = {
  id: 'thing',
  version: 4,
  options: counted('rules'),
  earlier: [
    {
      version: 1,
      migrate: ({ rows, ...rest }) => ({ ...rest, ...(rows === undefined ? {} : { lines: rows }) }),
    },
    { version: 2, migrate: (options) => options, changes: 'Lines are twice as thick.', kept: second },
    {
      version: 3,
      migrate: ({ lines, ...rest }) => ({ ...rest, ...(lines === undefined ? {} : { rules: lines }) }),
    },
  ],
};
const schema = ofAny(
  'kind',
  [thing],
  (one) =>
    exactObject({
      kind: v.literal(one.id),
      version: versionSchema(one),
      options: v.optional(one.options, {}),
    }),
  { called: 'Things', fallback: 'thing' },
);
const read = (value: unknown) => v.safeParse(schema, value);

describe('versions', () => {
  it('where nothing changes, options move on by themselves; where something does, they wait', () => {
    expect(read({ kind: 'thing', version: 1, options: { rows: 7 } }).output).toEqual({
      kind: 'thing',
      version: 2,
      options: { lines: 7 },
    });
    expect(read({ kind: 'thing', version: 3, options: { lines: 7 } }).output).toMatchObject({
      version: 4,
      options: { rules: 7 },
    });
    expect(read({ kind: 'thing', version: 2 }).output).toMatchObject({ version: 2, options: { lines: 5 } });
    expect(read({ kind: 'thing' }).output).toMatchObject({ version: 4, options: { rules: 5 } });
    expect(read({}).output).toMatchObject({ kind: 'thing', version: 4 });
  });

  it('the publisher is told what the newest would change, and may take it', () => {
    expect(newestOf(thing, { version: 2, options: { lines: 7 } })).toEqual({
      version: 4,
      options: { rules: 7 },
      changes: ['Lines are twice as thick.'],
    });
    expect(newestOf(thing, { version: 4, options: {} })).toBeNull();
    expect(ofVersion(thing, 2)).toBe(second);
    expect(ofVersion(thing, undefined)).toBe(thing);
    expect(() => ofVersion(thing, 1)).toThrow(/no version 1/);
  });

  it.each([
    [{ kind: 'thing', version: 5 }, 'version', /is 5, but this program knows thing up to version 4/],
    [{ kind: 'thing', version: 0 }, 'version', /is 0/],
    [{ kind: 'thing', version: '2' }, 'version', /is "2"/],
    [{ kind: 'other' }, 'kind', /Things known here: thing/],
    [{ kind: 'thing', version: 2, options: { rules: 1 } }, 'options.rules', /Allowed: lines/],
    [{ kind: 'thing', version: 1, options: 7 }, 'options', /should be an object/],
    [7, null, /is 7, but should be an object/],
  ])('%j is refused where it is wrong', (value, path, message) => {
    const [issue] = read(value).issues!;
    expect(v.getDotPath(issue)).toBe(path);
    expect(issue.message).toMatch(message);
  });

  it('what was read reads the same again, whatever version it began as', () => {
    fc.assert(
      fc.property(
        fc.record(
          {
            version: fc.integer({ min: 1, max: 4 }),
            options: fc.dictionary(
              fc.constantFrom('rows', 'lines', 'rules'),
              fc.integer({ min: 0, max: 99 }),
            ),
          },
          { requiredKeys: [] },
        ),
        (some) => {
          const first = read({ kind: 'thing', ...some });
          if (first.success) expect(read(first.output).output).toEqual(first.output);
        },
      ),
    );
  });

  it('versions that lack something are refused at the door', () => {
    const of = (version: number, earlier: Earlier<Thing>[]) =>
      incompleteVersions<Thing>({ id: 'thing', version, earlier });
    const step = { version: 1, migrate: (options: Record<string, unknown>) => options };
    expect(of(1, [])).toBeNull();
    expect(of(2, [step])).toBeNull();
    expect(of(0, [])).toBe('has no version');
    expect(of(2, [])).toMatch(/what became of its version 1/);
    expect(of(2, [{ ...step, changes: 'More.' }])).toMatch(/does not keep its version 1/);
    expect(of(2, [{ ...step, changes: 'More.', kept: second }])).toMatch(/does not keep/);
    expect(of(1, [step])).toMatch(/which is not earlier/);
  });
});
