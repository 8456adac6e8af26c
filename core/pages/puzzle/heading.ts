import * as v from 'valibot';
import type { PrintedLanguage } from '../../printed-words/index.ts';
import type { Level } from '../../puzzles/level.ts';
import { text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { levelKey, levelWords } from './level.ts';

/** What a title may have in it, in braces. */
const FIELDS = ['n', 'total', 'title', 'topic', 'level'] as const;
type Fields = Record<(typeof FIELDS)[number], string>;

const FIELD = /\{([^{}]*)\}/g;
const isKnown = (name: string): name is keyof Fields => (FIELDS as readonly string[]).includes(name);
const named = FIELDS.map((name) => `{${name}}`).join(', ');

export const headingSetting = () =>
  setting(
    v.pipe(
      text(0, 80),
      v.check(
        (pattern) => [...pattern.matchAll(FIELD)].every(([, name]) => isKnown(name!)),
        `has something else in braces than ${named}.`,
      ),
    ),
    '',
    {
      label: 'Title',
      help: `Of each page, such as “Puzzle {n}” or “{topic}, {level}”: ${named}. As usual where it is empty.`,
    },
  );

/** What is known of the puzzles of a page. */
export interface Titled {
  /** What they are, in print: “Sudoku”. */
  title: string;
  /** Their numbers: “3” or “3–6”. */
  numbers: string;
  total: number;
  /** Of the list that they come from. */
  topic?: string | undefined;
  /** Of all of them, where it is the same. */
  level?: Level | null | undefined;
}

/** The title of a page of puzzles, by the pattern of its section. A field that says nothing leaves no gap behind. */
export function headingOf(
  pattern: string | undefined,
  { title, numbers, total, topic, level }: Titled,
  language: PrintedLanguage,
): string {
  const usual = [`${title} ${numbers}`, topic].filter(Boolean).join(': ');
  if (!pattern?.trim()) return usual;
  const fields: Fields = {
    n: numbers,
    total: String(total),
    title,
    topic: topic || title,
    level: level ? levelWords(language, levelKey(level)) : '',
  };
  const filled = pattern
    .replace(FIELD, (whole, name: string) => (isKnown(name) ? fields[name] : whole))
    .replace(/\s+/g, ' ')
    .replace(/^[\s,:·–—-]+|[\s,:·–—-]+$/g, '');
  return filled.charAt(0).toLocaleUpperCase(language) + filled.slice(1) || usual;
}
