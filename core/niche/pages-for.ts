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
  tracing: 'Tracing pages',
  calligraphy: 'Calligraphy guides',
  music: 'Music paper',
  comic: 'Comic panels',
  sketch: 'Sketch frames',
  planner: 'Planner pages',
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
  [/\btrac(e|ing)\b|alphabet|learn(ing)? (to write|letters)/i, 'tracing'],
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

/** Planners by the day: those that say for when they are, or for what span. */
const PLANNED = /\b(planner|calendar|agenda|datebook|diary|organizer)\b/i;
const SPAN = /\b(20\d\d|daily|weekly|monthly|yearly|undated|dated|academic|school year|\d+ month)\b/i;

/** Whether a phrase asks for dated pages, or undated ones of the same sorts. */
const isPlanned = (phrase: string): boolean =>
  PLANNED.test(phrase) && (SPAN.test(phrase) || (!/diary/i.test(phrase) && designFor(phrase) === null));

/** The design that suits a phrase, or null. */
export const designFor = (phrase: string): DesignId | null =>
  DESIGNS_FOR.find(([said]) => said.test(phrase))?.[1] ?? null;

/** The kind of page for the kind of book a phrase asks for. What none is made for begins with ruled pages. */
export const pagesFor = (phrase: string): BriefKind =>
  KINDS.find(([said]) => said.test(phrase))?.[1] ??
  (isPlanned(phrase) ? 'planner' : null) ??
  (FORMED.test(phrase) && designFor(phrase) ? 'composed' : 'ruled');

/** What a section of a kind begins with, of what the phrase says. */
export function optionsFor(kind: BriefKind, phrase: string): Record<string, unknown> {
  if (kind === 'composed') return { design: designFor(phrase) ?? ('reflection' satisfies DesignId) };
  if (kind === 'music') {
    if (/ukulele/i.test(phrase)) return { clef: 'ukulele-tab', staves: 8 };
    if (/guitar|\btabs?\b|tablature/i.test(phrase)) return { clef: 'guitar-tab', staves: 8 };
    if (/piano/i.test(phrase)) return { clef: 'grand' };
  }
  if (kind === 'tracing')
    return {
      ...(/number/i.test(phrase) ? { what: 'numbers' } : /word/i.test(phrase) ? { what: 'first-words' } : {}),
      ...(/cursive|joined/i.test(phrase) ? { alphabet: 'joined' } : {}),
    };
  if (kind === 'planner') return plannerFor(phrase);
  return {};
}

/** A planner as a phrase has it: by weeks unless it says otherwise, for the year that it names. */
function plannerFor(phrase: string): Record<string, unknown> {
  const view = /daily/i.test(phrase) ? 'day' : /monthly|\d+ month|calendar/i.test(phrase) ? 'month' : 'week';
  const year = /\b(20\d\d)\b/.exec(phrase)?.[1];
  const undated = /undated/i.test(phrase);
  const school = /academic|school year/i.test(phrase);
  const span = year
    ? school
      ? { from: `${year}-08-01`, to: `${Number(year) + 1}-07-31` }
      : { from: `${year}-01-01`, to: `${year}-12-31` }
    : {};
  return {
    view,
    ...(view === 'week' && !undated ? { months: true } : {}),
    ...span,
    ...(undated ? { dated: false } : {}),
  };
}

/** Kinds whose pages follow from their options: a book has all of them, however many the brief says. */
export const WHOLE_KINDS: readonly BriefKind[] = ['planner', 'tracing'];
