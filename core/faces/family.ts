/** What a family is good for; it is listed there. */
export const MOODS = {
  'text-serif': 'Text, with serifs',
  'text-sans': 'Text, without serifs',
  slab: 'Slab serif',
  rounded: 'Rounded',
  display: 'Display',
  script: 'Script',
  hand: 'Handwriting',
  stencil: 'Stencil',
  typewriter: 'Typewriter',
  ornament: 'Ornaments and signs',
} as const;

export type Mood = keyof typeof MOODS;

/** Scripts that a family has all usual letters of. `extended`: Latin of Central Europe, Turkey and the Baltic. */
export const SCRIPTS = {
  latin: 'Latin',
  extended: 'Latin Extended',
  vietnamese: 'Vietnamese',
  cyrillic: 'Cyrillic',
  greek: 'Greek',
  hebrew: 'Hebrew',
  music: 'Musical notation',
} as const;

export type Script = keyof typeof SCRIPTS;

/** Folders of the packages, by the style they hold. */
export const STYLES = {
  regular: '400Regular',
  italic: '400Regular_Italic',
  medium: '500Medium',
  semibold: '600SemiBold',
  bold: '700Bold',
  'bold-italic': '700Bold_Italic',
  extrabold: '800ExtraBold',
  black: '900Black',
} as const;

export type Style = keyof typeof STYLES;

/** A typeface of print that ships with the program, as static TrueType with its license in its package. */
export interface Family {
  /** Of its package, and the beginning of the names of its faces. */
  id: string;
  name: string;
  /** The beginning of its files' names. */
  file: string;
  /** Where its files lie side by side, its license with them; left out, in its package, a folder for each style. */
  folder?: string;
  mood: Mood;
  /** The last is the one for titles. */
  styles: readonly [Style, ...Style[]];
  scripts: readonly Script[];
  license: 'OFL-1.1' | 'Apache-2.0';
  /** Good for something that its mood does not say. */
  good?: 'clear digits' | 'easy to read';
}
