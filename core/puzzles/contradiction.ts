/**
 * Of things that cannot all be, some that cannot be together, none of which could be left out: what is not needed is taken away one
 * after the other (the deletion filter of Chinneck and Dravnieks 1991, Locating minimal infeasible constraint sets in linear programs).
 * @param canBe asked once for each; whatever can be together can be with less
 * @returns all of them, if they can be
 */
export function contradiction<One>(all: readonly One[], canBe: (some: readonly One[]) => boolean): One[] {
  let left = [...all];
  for (const one of all) {
    const rest = left.filter((other) => other !== one);
    if (!canBe(rest)) left = rest;
  }
  return left;
}
