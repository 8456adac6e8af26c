import type { Weighted } from './hide.ts';

/** Languages whose letters a grid can be filled with. */
export const FILLING_LANGUAGES = ['en', 'es', 'de', 'fr', 'it'] as const;
export type FillingLanguage = (typeof FILLING_LANGUAGES)[number];

/** Letters of everyday texts, by thousands. Rounded, from memory. */
const BY_THOUSANDS: Readonly<Record<FillingLanguage, string>> = {
  en: 'E127 T91 A82 O75 I70 N67 S63 H61 R60 D43 L40 C28 U28 M24 W24 F22 G20 Y20 P19 B15 V10 K8 J2 X2 Q1 Z1',
  es: 'E137 A125 O87 S80 R69 N67 I62 D59 L50 C47 T46 U39 M32 P25 B14 G10 V9 Y9 Q9 H7 F7 Z5 J4 Ñ3 X2 W1 K1',
  de: 'E174 N98 I76 S73 R70 A65 T62 D51 H48 U44 L34 C31 G30 M25 O25 B19 W19 F17 K12 Z11 P8 V7 Ü7 Ä5 Ö3 J3 Y1 X1 Q1',
  fr: 'E147 S79 A76 I75 T72 N71 R66 U63 L55 O54 D37 C33 P30 M30 V16 Q14 F11 B9 G9 H7 J5 X4 Y3 Z1 K1 W1',
  it: 'E118 A117 I101 O98 N69 L65 R64 T56 S50 C45 D37 P31 U30 M25 V21 G16 H15 F12 B9 Q5 Z5',
};

/** The letters of a language, as often as it uses them. */
export const lettersOfLanguage = (language: FillingLanguage): Weighted[] =>
  BY_THOUSANDS[language].split(' ').map((part) => [part.slice(0, 1), Number(part.slice(1))] as const);

/** The letters of words, as often as they use them, so that no letter gives a word away. */
export function lettersOfWords(words: readonly { letters: readonly string[] }[]): Weighted[] {
  const counts = new Map<string, number>();
  for (const { letters } of words)
    for (const letter of letters) counts.set(letter, (counts.get(letter) ?? 0) + 1);
  return [...counts].sort(([a], [b]) => (a < b ? -1 : 1));
}
