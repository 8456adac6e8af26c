export * from './bounds.ts';
export * from './faces.ts';
export * from './marks.ts';
export * from './placed-glyphs.ts';
export * from './text.ts';
export * from './typesetter.ts';
