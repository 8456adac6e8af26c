import type { Color } from './color.ts';

/** Relative luminance, 0 to 1, of an sRGB color (WCAG 2.2, “relative luminance”). */
function luminance(color: Color): number {
  const [r, g, b] = ('gray' in color ? [color.gray, color.gray, color.gray] : color.rgb).map((part) =>
    part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4,
  ) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** Contrast ratio of two colors, 1 to 21 (WCAG 2.2, “contrast ratio”). */
export function contrast(a: Color, b: Color): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}
