import type { DesignId } from '../pages/composed/designs/index.ts';

/** The kinds of page a book can be started with, as they are called there. */
export const BRIEF_KINDS = {
  'word-search': 'Word search',
  composed: 'Journal or log pages',
  ruled: 'Ruled pages',
  'dot-grid': 'Dot grid',
  graph: 'Graph paper',
  isometric: 'Isometric grid',
  hexagonal: 'Hexagonal grid',
  cornell: 'Cornell notes',
  handwriting: 'Handwriting lines',
  calligraphy: 'Calligraphy guides',
  music: 'Music paper',
  comic: 'Comic panels',
  sketch: 'Sketch frames',
} as const;
export type BriefKind = keyof typeof BRIEF_KINDS;

/** Kinds by what phrases say, the first that fits. */
const KINDS: readonly (readonly [RegExp, BriefKind])[] = [
  [/word ?(search|hunt|find)|puzzle|brain/i, 'word-search'],
  [/dot(ted)? ?(grid|journal|notebook|paper)|bullet/i, 'dot-grid'],
  [/isometric/i, 'isometric'],
  [/hex(agon|agonal)?\b/i, 'hexagonal'],
  [/graph|quad ruled|engineering (paper|pad)/i, 'graph'],
  [/cornell/i, 'cornell'],
  [/handwriting|penmanship/i, 'handwriting'],
  [/calligraphy|lettering/i, 'calligraphy'],
  [/music|manuscript|staff paper|songwrit|tablature|\btabs?\b/i, 'music'],
  [/comic|manga/i, 'comic'],
  [/sketch|drawing (book|pad|journal)/i, 'sketch'],
];

/** Designs by what phrases say of topic and purpose, the first that fits. */
const DESIGNS_FOR: readonly (readonly [RegExp, DesignId])[] = [
  [/\b(bees?|beekeep\w*|hive|apiary)\b/i, 'hive-inspection'],
  [/gratitude|grateful|thankful/i, 'gratitude-three'],
  [/prayer|bible|verse|scripture|devotion/i, 'scripture'],
  [/dream/i, 'dreams'],
  [/running|runner|marathon/i, 'training-running'],
  [/swim/i, 'training-swimming'],
  [/yoga|pilates/i, 'training-yoga'],
  [/workout|gym|fitness|training|exercise|lifting/i, 'training-strength'],
  [/blood pressure/i, 'blood-pressure'],
  [/blood sugar|diabet|glucose/i, 'blood-sugar'],
  [/weight/i, 'weight'],
  [/symptom|pain|migraine/i, 'symptoms'],
  [/medic(ation|ine)|pill/i, 'medication'],
  [/sleep/i, 'sleep'],
  [/period|cycle|menstru/i, 'cycle'],
  [/mood|anxiety|mental health/i, 'mood-day'],
  [/water|hydration/i, 'water'],
  [/body measure/i, 'body-measurements'],
  [/meal|menu/i, 'meals-week'],
  [/recipe|cook/i, 'recipe'],
  [/wine|coffee|tea\b|whisk|beer|tasting/i, 'tasting'],
  [/read(ing|er)|book (log|journal|review)/i, 'reading'],
  [/film|movie|cinema/i, 'films'],
  [/garden|plant/i, 'garden-log'],
  [/bird/i, 'bird-list'],
  [/astronom|stargaz|night sky|star log|telescope/i, 'sky-observation'],
  [/tide pool|seashore|beachcomb/i, 'tide-pool'],
  [/fish/i, 'fishing'],
  [/camp|\brv\b|caravan/i, 'camping'],
  [/travel|trip|road/i, 'travel-day'],
  [/bill/i, 'bills'],
  [/debt/i, 'debt'],
  [/saving/i, 'savings'],
  [/budget|money|expense|finance/i, 'money-month'],
  [/mileage/i, 'mileage'],
  [/guest book|visitor/i, 'visitors'],
  [/guest|wedding/i, 'guests'],
  [/party|event/i, 'event'],
  [/address/i, 'addresses'],
  [/\b(pet|dog|cat|puppy|kitten|horse)s?\b/i, 'pets'],
  [/baby|newborn|infant/i, 'baby'],
  [/lesson|teacher/i, 'lesson-plan'],
  [/meeting/i, 'meeting'],
  [/project/i, 'project'],
  [/maintenance|service log|upkeep|vehicle|\bcar\b/i, 'upkeep'],
  [/habit/i, 'habits-month'],
  [/goal/i, 'goals-quarter'],
  [/reflection|self.?care|prompt/i, 'reflection'],
];

/** Books that a page of blocks is made for: what is written in them has a form. */
const FORMED = /\b(journal|log|log ?book|tracker|diary|record|notebook|book|planner|organizer)\b/i;

/** The design that suits a phrase, or null. */
export const designFor = (phrase: string): DesignId | null =>
  DESIGNS_FOR.find(([said]) => said.test(phrase))?.[1] ?? null;

/** The kind of page for the kind of book a phrase asks for. What none is made for begins with ruled pages. */
export const pagesFor = (phrase: string): BriefKind =>
  KINDS.find(([said]) => said.test(phrase))?.[1] ??
  (FORMED.test(phrase) && designFor(phrase) ? 'composed' : 'ruled');

/** What a section of a kind begins with, of what the phrase says. */
export function optionsFor(kind: BriefKind, phrase: string): Record<string, unknown> {
  if (kind === 'composed') return { design: designFor(phrase) ?? ('reflection' satisfies DesignId) };
  if (kind === 'music') {
    if (/ukulele/i.test(phrase)) return { clef: 'ukulele-tab', staves: 8 };
    if (/guitar|\btabs?\b|tablature/i.test(phrase)) return { clef: 'guitar-tab', staves: 8 };
    if (/piano/i.test(phrase)) return { clef: 'grand' };
  }
  return {};
}
