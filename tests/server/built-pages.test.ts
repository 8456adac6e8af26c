import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const ASSETS = 'build/client/assets';
/** The built file that has this name before its hash. */
const built = (name: string): string => {
  const found = readdirSync(ASSETS).filter((file) => file.replace(/-[\w-]{8}\.js$/, '') === name);
  expect(found).toHaveLength(1);
  return readFileSync(join(ASSETS, found[0]!), 'utf8');
};

describe('the built program of the pages', () => {
  it.each(['entry.client', 'ground'])('%s is compiled with its file', (name) => {
    // The words of https://v8.dev/blog/explicit-compile-hints, and their place: before all else.
    expect(built(name).startsWith('//# allFunctionsCalledOnLoad\n')).toBe(true);
  });

  it('has nothing large among the small parts that views share', () => {
    expect(built('small-parts').length).toBeLessThan(60_000);
  });
});
