export * from './cells.ts';
export * from './read.ts';
export * from './tables.ts';
export * from './typed.ts';
