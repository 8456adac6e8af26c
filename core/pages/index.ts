export * from './item-formats.ts';
export * from './kind.ts';
export { aroundWords } from './puzzle/page.ts';
export * from './registry.ts';
