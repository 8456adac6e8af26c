export * from './frozen.ts';
export * from './geometry.ts';
export * from './money.ts';
export * from './page-grid.ts';
export * from './service.ts';
