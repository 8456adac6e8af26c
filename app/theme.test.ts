import { describe, expect, it } from 'vitest';
import { colorOfHex, contrast } from '#core/scene/index.ts';
import { theme } from './theme.ts';

const ratio = (a: string, b: string) => contrast(colorOfHex(a), colorOfHex(b));

describe('the theme', () => {
  const { text, background, primary, error, warning } = theme.palette;

  // WCAG 2.2, success criterion 1.4.3: 4.5 to 1 for text.
  it.each([
    ['text', text.primary],
    ['second text', text.secondary],
    ['actions', primary.main],
    ['what to fix', error.main],
    ['warnings', warning.main],
  ])('%s can be read on the ground of pages and on paper', (_, color) => {
    for (const ground of [background.default, background.paper])
      expect(ratio(color, ground)).toBeGreaterThanOrEqual(4.5);
  });

  it('words on buttons can be read', () => {
    expect(ratio(primary.contrastText, primary.main)).toBeGreaterThanOrEqual(4.5);
  });
});
