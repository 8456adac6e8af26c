import { type Remote, wrap } from 'comlink';
import type { Recipe } from '#core/book/recipe.ts';
import { EARLY_RENDERER, type EarlyWork } from './early-work.ts';
import type { Renderer } from './first-drawing.ts';
import rendererUrl from './renderer.worker.ts?worker&url';

interface Running {
  remote: Remote<Renderer>;
  /** The recipe that it was given last. */
  holds?: Recipe;
  /** It has loaded its whole program and typefaces: work that is given to one that has not would wait for that. */
  ready: boolean;
}

/** The worker that the page began before its program was there, once; then new ones. */
function newWorker(recipe?: Recipe): Worker {
  const page = globalThis as { [EARLY_RENDERER]?: Worker };
  const early = page[EARLY_RENDERER];
  delete page[EARLY_RENDERER];
  if (early) return early;
  const work: EarlyWork | null = recipe ? { begin: recipe } : null;
  return new Worker(rendererUrl, { type: 'module', name: work ? JSON.stringify(work) : '' });
}

/** @param recipe to be prepared for, where the worker is not given work at once */
const start = (recipe?: Recipe): Running => ({ remote: wrap<Renderer>(newWorker(recipe)), ready: false });

/** Has a worker fetch its whole program and prepare what it was begun with. */
async function makeReady(running: Running): Promise<void> {
  // A worker that cannot have it is given nothing that others can do; the first asks for it again with its next work.
  running.ready = await running.remote.ready().then(
    () => true,
    () => false,
  );
}

/** A worker beside the first: it is given work when it is ready for any. */
function startReady(recipe?: Recipe): Running {
  const running = start(recipe);
  void makeReady(running);
  return running;
}

/** Workers that draw, beside the page itself and the proof; more would only take memory. */
const MOST_DRAWING = 4;
const wantedDrawing = (): number =>
  Math.max(1, Math.min(MOST_DRAWING, (globalThis.navigator?.hardwareConcurrency ?? 2) - 1));

/** The first is started with the page, the others when it has drawn what is in view. */
const drawing: Running[] = [];
let proofing: Running | undefined;

/** Sent one behind the other without waiting: a worker keeps the order of what it is told. */
function given(renderer: Running, recipe: Recipe): Remote<Renderer> {
  // A recipe is never changed, only replaced: the same object is the same state of the book.
  if (renderer.holds !== recipe) void renderer.remote.take(recipe);
  renderer.holds = recipe;
  return renderer.remote;
}

/** The worker that draws covers, and pages first, with a recipe at hand if one is given. */
export function drawingRenderer(recipe?: Recipe): Remote<Renderer> {
  if (drawing.length === 0) {
    const running = start();
    drawing.push(running);
    void drawnOnce().then(() => makeReady(running));
  }
  const [first] = drawing;
  return recipe ? given(first!, recipe) : first!.remote;
}

/**
 * The worker that looks every page over, apart from the first, so that a proof never holds up a drawing. It is
 * started when somebody asks for a proof, and lends a hand with drawing from then on.
 */
export function proofingRenderer(): Remote<Renderer> {
  proofing ??= startReady();
  return proofing.remote;
}

/** The first worker, and every other that is ready to draw at once. */
export function renderers(recipe: Recipe): Remote<Renderer>[] {
  drawingRenderer(recipe);
  const [first, ...others] = [...drawing, ...(proofing ? [proofing] : [])];
  return [first!, ...others.filter(({ ready }) => ready)].map((renderer) => given(renderer, recipe));
}

let underWay = 0;
let atRest: (() => void)[] = [];
let hasDrawn = false;

/** Counts a drawing of what is in view as under way. @returns called once, when it has ended */
export function beginInView(): () => void {
  underWay++;
  return () => {
    underWay--;
    if (underWay > 0) return;
    hasDrawn = true;
    for (const go of atRest) go();
    atRest = [];
    if (drawing.length < wantedDrawing()) drawing.push(startReady(drawing[0]?.holds));
  };
}

/** Resolves as soon as everything in view is drawn, and is nothing where it is: work that can wait leaves the processor to it. */
export const viewDrawn = (): Promise<void> | undefined =>
  underWay === 0 ? undefined : new Promise((resolve) => atRest.push(resolve));

/** A first drawing that takes longer than this holds up nothing more. In ms. */
const LONGEST_WAIT = 3000;

/** Whether something in view has been drawn since the program was loaded. */
export const hasDrawnOnce = (): boolean => hasDrawn;

/** Resolves when something in view has been drawn since the program was loaded, or could not be for long. */
export const drawnOnce = (): Promise<void> =>
  hasDrawn
    ? Promise.resolve()
    : new Promise((resolve) => {
        atRest.push(resolve);
        setTimeout(resolve, LONGEST_WAIT);
      });
