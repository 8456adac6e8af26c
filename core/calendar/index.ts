export * from './days.ts';
export * from './holidays.ts';
export * from './moon.ts';
export * from './names.ts';
export * from './own-dates.ts';
