/** Does all of a piece of work that gives way now and then, without giving way. */
export function atOnce<Made>(steps: Generator<void, Made>): Made {
  for (let step = steps.next(); ; step = steps.next()) if (step.done) return step.value;
}
