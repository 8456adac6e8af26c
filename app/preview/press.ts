import { type Remote, wrap } from 'comlink';
import type { Recipe } from '#core/book/recipe.ts';
import type { Press } from './press.worker.ts';
import pressUrl from './press.worker.ts?worker&url';

interface Running {
  remote: Remote<Press>;
  /** The recipe that it was given last. */
  holds?: Recipe;
}

const start = (): Running => ({
  remote: wrap<Press>(new Worker(pressUrl, { type: 'module', name: 'press' })),
});

let drawing: Running | undefined;
let proofing: Running | undefined;

/** Sent one behind the other without waiting: a worker keeps the order of what it is told. */
function given(press: Running, recipe: Recipe): Remote<Press> {
  // A recipe is never changed, only replaced: the same object is the same state of the book.
  if (press.holds !== recipe) void press.remote.take(recipe);
  press.holds = recipe;
  return press.remote;
}

/** The worker that draws what is in view, with a recipe at hand if one is given. */
export function drawingPress(recipe?: Recipe): Remote<Press> {
  drawing ??= start();
  return recipe ? given(drawing, recipe) : drawing.remote;
}

/**
 * The worker that looks every page over, apart from the first, so that a proof never holds up a drawing. It is
 * started when somebody asks for a proof, and lends a hand with drawing from then on.
 */
export function proofingPress(): Remote<Press> {
  proofing ??= start();
  return proofing.remote;
}

/** Every worker that can draw at once. */
export const presses = (recipe: Recipe): Remote<Press>[] => [
  drawingPress(recipe),
  ...(proofing ? [given(proofing, recipe)] : []),
];

let underWay = 0;
let atRest: (() => void)[] = [];

/** Counts a drawing of what is in view as under way until it ends. */
export async function drawingInView<T>(drawn: Promise<T>): Promise<T> {
  underWay++;
  try {
    return await drawn;
  } finally {
    underWay--;
    if (underWay === 0) {
      for (const go of atRest) go();
      atRest = [];
    }
  }
}

/** Resolves as soon as everything in view is drawn: work that can wait leaves the processor to it. */
export const viewDrawn = (): Promise<void> =>
  underWay === 0 ? Promise.resolve() : new Promise((resolve) => atRest.push(resolve));

// Begun when the module is read at the latest, while the page is still being put together: typefaces take a moment.
if (typeof Worker !== 'undefined') drawingPress();
