export * from './draw.ts';
export * from './edit.ts';
export * from './first-pages.ts';
export * from './items.ts';
export * from './plan.ts';
export * from './recipe.ts';
export * from './schema.ts';
export * from './ticket.ts';
