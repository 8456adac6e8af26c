/** Whether clues of a section stand in cells of its grids, where a few words have room. */
export const hasCluesInGrid = ({ options }: { options: Record<string, unknown> }): boolean =>
  options.clueSide === 'grid';
