export * from './kind.ts';
export * from './registry.ts';
