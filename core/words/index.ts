export * from './graphemes.ts';
export * from './letters.ts';
export * from './read-list.ts';
export * from './unwanted.ts';
