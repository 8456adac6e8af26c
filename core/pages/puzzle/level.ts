import type * as v from 'valibot';
import { type PrintedLanguage, printedWords } from '../../printed-words/index.ts';
import { LEVELS, type Level } from '../../puzzles/level.ts';
import type { RandomStream } from '../../random.ts';
import { BLACK, ellipsePath, type Mark } from '../../scene/index.ts';
import { enumOf } from '../../schema.ts';
import { setting } from '../../settings.ts';

/** The level of each puzzle of a section: one for all, from the first to the last, or in no order. */
export const levels = enumOf([...LEVELS, 'rising', 'mixed']);
export type Levels = v.InferOutput<typeof levels>;

/** @param when it is asked for; always if left out */
export const levelSetting = (when?: Record<string, readonly unknown[]>) =>
  setting(levels, 'rising', {
    ...(when ? { when } : {}),
    label: 'Level',
    values: { ...LEVEL_NAMES, rising: 'Rising', mixed: 'Mixed' },
    help: 'Measured on the finished puzzle. Rising: from very easy to very hard over the section.',
  });

/**
 * The level that a puzzle is to have.
 * @param item from 1, of `total`
 * @param random of the item
 */
export function levelOf(levels: Levels, item: number, total: number, random: RandomStream): Level {
  if (levels === 'rising')
    return LEVELS[Math.min(4, Math.floor(((item - 1) * LEVELS.length) / Math.max(1, total)))]!;
  return levels === 'mixed' ? random.pick(LEVELS) : levels;
}

/** What a level is called in print. */
export const levelWords = printedWords({
  en: { level1: 'very easy', level2: 'easy', level3: 'medium', level4: 'hard', level5: 'very hard' },
  es: { level1: 'muy fácil', level2: 'fácil', level3: 'medio', level4: 'difícil', level5: 'muy difícil' },
  de: { level1: 'sehr leicht', level2: 'leicht', level3: 'mittel', level4: 'schwer', level5: 'sehr schwer' },
  fr: {
    level1: 'très facile',
    level2: 'facile',
    level3: 'moyen',
    level4: 'difficile',
    level5: 'très difficile',
  },
});

export const levelKey = (level: Level) => `level${level}` as const;

/** What a level is called in print where it stands alone. */
export function levelTitle(language: PrintedLanguage, level: Level): string {
  const name = levelWords(language, levelKey(level));
  return name.charAt(0).toLocaleUpperCase(language) + name.slice(1);
}

/** A level as the interface names it. */
export const LEVEL_NAMES = {
  1: 'Very easy',
  2: 'Easy',
  3: 'Medium',
  4: 'Hard',
  5: 'Very hard',
} as const satisfies Record<Level, string>;

/** The level as five dots, as many of them full. @param x of the right end @param y of the middle */
export function levelDots(level: Level, x: number, y: number, size: number): Mark[] {
  const step = size * 1.35;
  return LEVELS.map((one, i): Mark => {
    const path = ellipsePath(x - size / 2 - (LEVELS.length - 1 - i) * step, y, size / 2 - DOT_LINE / 2);
    const stroke = { width: DOT_LINE, paint: BLACK };
    return { type: 'path', path, stroke, ...(one <= level ? { fill: BLACK } : {}) };
  });
}
const DOT_LINE = 0.75;
export const dotsWidth = (size: number): number => size * (1 + 1.35 * (LEVELS.length - 1));
