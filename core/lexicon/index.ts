export * from './definitions.ts';
export * from './lexicon.ts';
export * from './look-up.ts';
export * from './spelling.ts';
export * from './topic.ts';
