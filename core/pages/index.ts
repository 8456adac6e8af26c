export * from './item-formats.ts';
export * from './kind.ts';
export * from './registry.ts';
