export * from './columns.ts';
export * from './hyphenation.ts';
export * from './paragraph.ts';
