import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { rankCorrelation, trustOf, tryJudgment } from '../trial/judgment.ts';

// Spearman 1904; the worked example of two rankings of ten (sum of squared differences 194) is on the page of the
// coefficient in the NIST/SEMATECH e-Handbook's references, from memory: 1 − 6·194 ÷ (10·99).
it('rank correlation, by a worked example', () => {
  const iq = [86, 97, 99, 100, 101, 103, 106, 110, 112, 113];
  const hours = [2, 20, 28, 27, 50, 29, 7, 17, 6, 12];
  expect(rankCorrelation(iq, hours)).toBeCloseTo(1 - (6 * 194) / (10 * 99), 9);
});

it('the judgment ranks niches by what a new book there really earns, and calls the good ones open', async () => {
  const trust = trustOf(await tryJudgment(mkdtempSync(join(tmpdir(), 'quill-trial-')), 120, 11));
  expect(trust.correlation).toBeGreaterThan(0.6);
  expect(trust.open).toBeGreaterThanOrEqual(4);
  expect(trust.openInBestThird / trust.open).toBeGreaterThanOrEqual(0.7);
});
