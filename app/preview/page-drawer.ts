import type { Recipe } from '#core/book/recipe.ts';
import type { DrawnPage, Picture } from './on-canvas.ts';

/** Drawings kept, those ahead of need included. */
export const PAGES_KEPT = 240;
/** Pages drawn ahead in one go: so few that a change need not wait long for its turn. */
const AHEAD_AT_ONCE = 8;
/** As long as nothing is in view nobody waits for a turn: a screenful is drawn while the screen is put together. */
const FIRST_AT_ONCE = 32;

/** What is wanted of the drawer until it is told otherwise. */
export interface Wanted {
  recipe: Recipe;
  /** In device pixels. */
  width: number;
  inView: readonly number[];
  /** Drawn when all in view is there, in this order, so that scrolling finds them. */
  ahead: readonly number[];
}

/** How far the drawing of what is in view has come. */
export interface Progress {
  done: number;
  of: number;
}

interface Kept {
  recipe: Recipe;
  width: number;
  /** Null for a page that the book does not have. */
  picture: Picture | null;
}

/**
 * Keeps the drawings of a book's pages up to date: what is in view first and all at once, then what lies around it.
 * An older drawing stays until the new one is there, so that nothing flickers; while one question is out only the
 * newest waits.
 */
export class PageDrawer {
  readonly #kept = new Map<number, Kept>();
  readonly #watchers = new Map<number, Set<() => void>>();
  readonly #draw: (wanted: Wanted, pages: number[]) => Promise<DrawnPage[]>;
  readonly #onProgress = new Set<() => void>();
  #wanted: Wanted | null = null;
  #busy = false;
  #progress: Progress | null = null;
  /** All in view was there when it was last looked at. */
  #whole = false;
  readonly #beginInView: () => () => void;
  readonly #allInViewDrawn: () => Promise<void> | undefined;
  /** Ends a wait for others. */
  #wake = () => {};
  /** Says that nothing in view is being drawn any more; null while nothing is. */
  #endInView: (() => void) | null = null;

  /**
   * @param draw draws pages as wanted; those missing from its answer are asked for again
   * @param beginInView called when something in view has to be drawn; what it answers, when nothing has to any more
   * @param allInViewDrawn resolves when nothing in view is being drawn any more, by any drawer, and is nothing while nothing is: what is ahead waits for it
   */
  constructor(
    draw: (wanted: Wanted, pages: number[]) => Promise<DrawnPage[]>,
    beginInView: () => () => void = () => () => {},
    allInViewDrawn: () => Promise<void> | undefined = () => undefined,
  ) {
    this.#draw = draw;
    this.#beginInView = beginInView;
    this.#allInViewDrawn = allInViewDrawn;
  }

  picture(page: number): Picture | undefined {
    return this.#kept.get(page)?.picture ?? undefined;
  }

  /** Calls `show` whenever the page has been drawn anew. @returns the way to end that */
  watch(page: number, show: () => void): () => void {
    const watchers = this.#watchers.get(page) ?? new Set();
    this.#watchers.set(page, watchers.add(show));
    return () => {
      watchers.delete(show);
      if (watchers.size === 0 && this.#watchers.get(page) === watchers) this.#watchers.delete(page);
    };
  }

  /** How far it has come; null when all in view is there. The same object until that changes. */
  progress = (): Progress | null => this.#progress;

  /** Calls `show` whenever progress changes. @returns the way to end that */
  watchProgress = (show: () => void): (() => void) => {
    this.#onProgress.add(show);
    return () => this.#onProgress.delete(show);
  };

  #tellProgress(): void {
    const of = this.#wanted?.width ? this.#wanted.inView.length : 0;
    const done = of - this.#missing(this.#wanted?.inView ?? []).length;
    const whole = of > 0 && done === of && !this.#whole;
    // For whoever measures: everything in view is there, drawn just now or ahead of need.
    if (whole) performance.mark('quill-drawn', { detail: { pages: of } });
    if (of > 0) this.#whole = done === of;
    // What was drawn ahead of need has come into view drawn, which somebody may wait for as well.
    if (done < of || whole) this.#endInView ??= this.#beginInView();
    if (done === of) this.#restInView();
    const before = this.#progress;
    this.#progress = done === of ? null : { done, of };
    if (before?.done !== this.#progress?.done || before?.of !== this.#progress?.of)
      for (const show of this.#onProgress) show();
  }

  #restInView(): void {
    this.#endInView?.();
    this.#endInView = null;
  }

  /** Says what is wanted from now on; null ends the drawing. */
  want(wanted: Wanted | null): void {
    // What would be drawn only to be dropped again is left out.
    this.#wanted = wanted && {
      ...wanted,
      ahead: wanted.ahead.slice(0, Math.max(0, PAGES_KEPT - wanted.inView.length)),
    };
    this.#tellProgress();
    this.#wake();
    void this.#work();
  }

  async #work(): Promise<void> {
    if (this.#busy) return;
    this.#busy = true;
    try {
      for (let next = this.#next(); next; next = this.#next()) {
        const others = next.ahead && this.#allInViewDrawn();
        if (others) {
          await this.#untilWantedOr(others);
          continue;
        }
        this.#keep(next.wanted, await this.#draw(next.wanted, next.pages));
      }
      const { length: pages } = this.#wanted?.ahead ?? [];
      if (pages) performance.mark('quill-drawn-ahead', { detail: { pages } });
    } finally {
      this.#busy = false;
      // What cannot be drawn holds up nothing.
      this.#restInView();
    }
  }

  /** Resolves with a promise, or when something else is wanted: that may be in view, and nobody would draw it. */
  #untilWantedOr(promise: Promise<void>): Promise<void> {
    return new Promise((resolve) => {
      this.#wake = resolve;
      void promise.then(resolve);
    });
  }

  #next(): { wanted: Wanted; pages: number[]; ahead: boolean } | null {
    const wanted = this.#wanted;
    if (!wanted || wanted.width < 1) return null;
    const inView = this.#missing(wanted.inView);
    if (inView.length) return { wanted, pages: inView, ahead: false };
    const ahead = this.#missing(wanted.ahead);
    const atOnce = wanted.inView.length ? AHEAD_AT_ONCE : FIRST_AT_ONCE;
    return ahead.length ? { wanted, pages: ahead.slice(0, atOnce), ahead: true } : null;
  }

  /** Of the pages, those that are not there as they are wanted. */
  #missing(pages: readonly number[]): number[] {
    const wanted = this.#wanted;
    return pages.filter((page) => {
      const known = this.#kept.get(page);
      return known?.recipe !== wanted?.recipe || known?.width !== wanted?.width;
    });
  }

  #keep({ recipe, width }: Wanted, drawn: DrawnPage[]): void {
    for (const { page, picture } of drawn) {
      // Taken out and put back: the map's order is that of the last drawing.
      this.#kept.delete(page);
      this.#kept.set(page, { recipe, width, picture });
      for (const show of this.#watchers.get(page) ?? []) show();
    }
    const needed = new Set([...(this.#wanted?.inView ?? []), ...(this.#wanted?.ahead ?? [])]);
    for (const page of this.#kept.keys()) {
      if (this.#kept.size <= PAGES_KEPT) break;
      if (!needed.has(page)) this.#kept.delete(page);
    }
    this.#tellProgress();
  }
}
