export * from './expand.ts';
export * from './lists.ts';
export * from './parts.ts';
export * from './stems.ts';
