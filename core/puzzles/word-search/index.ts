export * from './find.ts';
export * from './grid.ts';
export * from './make.ts';
