export * from './kind.ts';
export * from './registry.ts';
export * from './settings.ts';
