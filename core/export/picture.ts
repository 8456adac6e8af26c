import { Resvg } from '@resvg/resvg-js';
import type { Scene, Typesetter } from '../scene/index.ts';
import { sceneToSvg } from './svg.ts';

/** An SVG that needs no typefaces as a PNG on white. */
export const svgPng = (svg: string): Uint8Array =>
  new Resvg(svg, { font: { loadSystemFonts: false }, background: '#ffffff' }).render().asPng();

/** Pixels of a scene that is to be `width` pixels wide. */
export const pixelsOf = (scene: Scene, width: number): { width: number; height: number } => ({
  width,
  height: Math.round((width * scene.height) / scene.width),
});

/** A scene as a PNG on white, `width` pixels wide. */
export const scenePng = (scene: Scene, type: Typesetter, width: number): Uint8Array =>
  svgPng(sceneToSvg(scene, type, pixelsOf(scene, width)));
