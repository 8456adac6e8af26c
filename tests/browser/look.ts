import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect } from './quill.ts';

/** Serious and critical findings of axe (WCAG 2.x A and AA rules). */
export async function noSeriousFindings(page: Page, where: string) {
  // In the page itself, which has no frames, and without a list of all that is right: so it takes half as long.
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(
    serious.map(({ id, nodes }) => `${where}: ${id} at ${nodes.map(({ target }) => target).join(', ')}`),
  ).toEqual([]);
}

/** Waits until nothing on a page moves any more: typefaces, pictures, covers and charts are there, and no animation runs. */
async function still(page: Page) {
  await page.waitForFunction(() => {
    const seen = (selector: string) =>
      [...document.querySelectorAll(selector)].filter((element) => {
        const { top, bottom } = element.getBoundingClientRect();
        return bottom > 0 && top < window.innerHeight;
      });
    return (
      document.fonts.status === 'loaded' &&
      [...document.images].every((image) => image.complete) &&
      document.getAnimations().every((animation) => animation.playState !== 'running') &&
      // A canvas that nothing was drawn on has the size of all new ones, 300 by 150.
      seen('canvas').every((canvas) => (canvas as HTMLCanvasElement).height !== 150) &&
      seen('[role=figure], figure').every((chart) => chart.querySelector('svg'))
    );
  });
}

/** A picture for the README, when the pictures are asked to be made anew. */
export async function picture(page: Page, name: string) {
  if (!process.env.QUILL_PICTURES) return;
  await still(page);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
}

/** Sets how the stand-in behaves. */
export async function behave(change: Record<string, number>) {
  const response = await fetch(`${process.env.WRENFAIR_URL}/behavior`, {
    method: 'PUT',
    body: JSON.stringify(change),
  });
  expect(response.ok).toBe(true);
}

/** Moves the stand-in's calendar. @returns its day */
export async function passDays(advance: number): Promise<string> {
  const response = await fetch(`${process.env.WRENFAIR_URL}/clock`, {
    method: 'PUT',
    body: JSON.stringify({ advance }),
  });
  return ((await response.json()) as { day: string }).day;
}

/** A table of rows by its name. */
export const grid = (page: Page, name: string | RegExp) => page.getByRole('grid', { name });
/** Goes to a view of the open niche, and waits until it is there: two views have a table of the same name. */
export async function view(page: Page, name: string) {
  const link = page
    .getByRole('navigation', { name: 'Views of the niche' })
    .getByRole('link', { name, exact: true });
  await link.click();
  await expect(link).toHaveAttribute('aria-current', 'page');
}
