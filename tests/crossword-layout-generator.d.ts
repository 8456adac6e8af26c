/** It has no types of its own; those that the bench uses. */
declare module 'crossword-layout-generator' {
  const layout: {
    generateLayout(words: { clue: string; answer: string }[]): { rows: number; cols: number };
  };
  export default layout;
}
