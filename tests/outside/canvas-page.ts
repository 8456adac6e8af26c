import { drawScene } from '#app/preview/canvas.ts';
import type { ShippedFace } from '#core/faces/index.ts';
import { createTypesetter } from '#core/scene/create-typesetter.ts';
import { MARK_SAMPLES, SAMPLE_SIDE } from '#core/scene/marks.sample.ts';

// Runs in a browser: the renderer of the previews, on the samples of every mark.

const faces = new Map<string, Uint8Array>();
const type = createTypesetter((face: ShippedFace) => faces.get(face)!);

const bytesOf = (base64: string) => Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));

Object.assign(globalThis, {
  giveFace: (face: string, base64: string) => void faces.set(face, bytesOf(base64)),
  /** A sample as a PNG in base64. */
  drawSample: async (name: string, pixels: number, gray: boolean): Promise<string> => {
    const context = new OffscreenCanvas(1, 1).getContext('2d', { willReadFrequently: true })!;
    const scene = { width: SAMPLE_SIDE, height: SAMPLE_SIDE, gray, layers: [{ marks: MARK_SAMPLES[name]! }] };
    const image = drawScene(context, scene, type, pixels / SAMPLE_SIDE, { width: pixels, height: pixels });
    const canvas = new OffscreenCanvas(pixels, pixels);
    canvas.getContext('2d', { alpha: false })!.putImageData(image, 0, 0);
    const png = new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer());
    let binary = '';
    for (let i = 0; i < png.length; i += 0x8000)
      binary += String.fromCharCode(...png.subarray(i, i + 0x8000));
    return btoa(binary);
  },
});
