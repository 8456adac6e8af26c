export * from './compositions/index.ts';
export * from './names.ts';
export * from './wrap.ts';
