export * from './names.ts';
export * from './wrap.ts';
