import { randomStream } from '#core/random.ts';
import { buildPath, type Mark, type Scene } from '#core/scene/index.ts';

/** Figures of a page of dense line art, each of a hundred curves. */
export const FIGURES = 200;

/** A page of 20,000 curves in 200 closed figures: dense line art. @param which one of many such pages */
export function drawCurves(which = 'curves'): Mark[] {
  const random = randomStream('bench', which);
  return Array.from({ length: FIGURES }, (): Mark => {
    let x = 60 + random.unit() * 480;
    let y = 60 + random.unit() * 680;
    const near = (n: number) => n + (random.unit() - 0.5) * 20;
    const path = buildPath(102).move(x, y);
    for (let i = 0; i < 100; i++) {
      const toX = Math.min(560, Math.max(50, near(x)));
      const toY = Math.min(760, Math.max(50, near(y)));
      path.curve(near(x), near(y), near(toX), near(toY), toX, toY);
      x = toX;
      y = toY;
    }
    return {
      type: 'path',
      path: path.close().done(),
      stroke: { width: 1.5, paint: { gray: 0 }, join: 'round' },
    };
  });
}

export const curvesScene = (which?: string): Scene => ({
  width: 612,
  height: 810,
  gray: true,
  layers: [{ marks: drawCurves(which) }],
});
