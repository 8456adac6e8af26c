export * from './gather.ts';
export * from './name.ts';
export * from './pdf/index.ts';
export * from './picture/index.ts';
export * from './resource.ts';
export * from './schema.ts';
export * from './texts/index.ts';
export * from './words/index.ts';
