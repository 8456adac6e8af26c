import { drawScene } from '#app/preview/canvas.ts';
import { createTypesetter } from '#core/scene/create-typesetter.ts';
import { curvesScene } from './curves.ts';

// Runs in a browser: the renderer of the previews, on pages of dense line art.

const type = createTypesetter(() => {
  throw new Error('There are no words on these pages.');
});
const canvases = new Map<number, OffscreenCanvasRenderingContext2D>();

Object.assign(globalThis, {
  /** Makes and draws such a page. @returns ms from nothing to its pixels */
  drawCurvesPage(which: string, width: number): number {
    const started = performance.now();
    const scene = curvesScene(which);
    const size = { width, height: Math.round((width * scene.height) / scene.width) };
    let context = canvases.get(width);
    if (!context) {
      context = new OffscreenCanvas(size.width, size.height).getContext('2d', { willReadFrequently: true })!;
      canvases.set(width, context);
    }
    drawScene(context, scene, type, width / scene.width, size);
    return performance.now() - started;
  },
});
