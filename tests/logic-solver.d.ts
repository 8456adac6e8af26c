/** It has no types of its own; those that the tests use. */
declare module 'logic-solver' {
  namespace Logic {
    type Term = string | object;
    class Solver {
      require(...terms: (Term | Term[])[]): void;
      forbid(...terms: (Term | Term[])[]): void;
      solve(): Solution | null;
    }
    interface Solution {
      getFormula(): Term;
      getTrueVars(): string[];
    }
    function and(terms: Term[]): Term;
    function or(terms: Term[]): Term;
    function not(term: Term): Term;
    function exactlyOne(terms: Term[]): Term;
    function atMostOne(terms: Term[]): Term;
    function weightedSum(terms: Term[], weights: number[]): Term;
    function equalBits(one: Term, other: Term): Term;
    function constantBits(value: number): Term;
  }
  export default Logic;
}
