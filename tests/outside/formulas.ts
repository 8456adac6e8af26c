import Logic from 'logic-solver';

/** Answers of a formula, two at most; the second is what is left when the first is forbidden. */
export function solutions(solver: Logic.Solver): string[][] {
  const first = solver.solve();
  if (!first) return [];
  const formula = first.getFormula();
  solver.forbid(formula);
  const second = solver.solve();
  return [first.getTrueVars(), ...(second ? [second.getTrueVars()] : [])];
}

/** A square of numbers, each once in every row and column. */
export function latin(size: number) {
  const solver = new Logic.Solver();
  const numbers = Array.from({ length: size }, (_, i) => i + 1);
  const name = (cell: number, number: number) => `n${cell}_${number}`;
  const sides = [...numbers.keys()];
  for (let cell = 0; cell < size * size; cell++)
    solver.require(Logic.exactlyOne(numbers.map((number) => name(cell, number))));
  for (const number of numbers)
    for (const i of sides) {
      solver.require(Logic.exactlyOne(sides.map((j) => name(i * size + j, number))));
      solver.require(Logic.exactlyOne(sides.map((j) => name(j * size + i, number))));
    }
  return { solver, numbers, name };
}
