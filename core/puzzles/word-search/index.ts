export * from './filling.ts';
export * from './find.ts';
export * from './grid.ts';
export * from './hide.ts';
export * from './make.ts';
export * from './rate.ts';
