import { transfer } from 'comlink';
import type { Scene } from '#core/scene/index.ts';
import { drawScene } from './canvas.ts';
import { type } from './faces.ts';

/** A picture on its way to the page: its pixels are handed over, not copied. */
export interface Picture {
  width: number;
  height: number;
  pixels: Uint8ClampedArray<ArrayBuffer>;
}

export interface DrawnPage {
  page: number;
  /** Null for a page that the book does not have. */
  picture: Picture | null;
}

let canvas: OffscreenCanvasRenderingContext2D;

/** Gives the canvas for every drawing, before anything is asked for. */
export function drawOn(context: OffscreenCanvasRenderingContext2D): void {
  canvas = context;
}

/** Draws a scene, in a worker. @param width of the picture, in pixels */
export function pictureOf(scene: Scene, width: number): Picture {
  const scale = width / scene.width;
  const size = {
    width: Math.max(1, Math.round(width)),
    height: Math.max(1, Math.round(scene.height * scale)),
  };
  const { data } = drawScene(canvas, scene, type, scale, size);
  return { ...size, pixels: data as Uint8ClampedArray<ArrayBuffer> };
}

/** Hands pages over to who asked for them. */
export const handedOver = (pages: DrawnPage[]): DrawnPage[] =>
  transfer(
    pages,
    pages.flatMap(({ picture }) => (picture ? [picture.pixels.buffer] : [])),
  );
