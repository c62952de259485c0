declare module 'logic-solver' {
  namespace Logic {
    type Formula = object;
    function and(parts: (Formula | string)[]): Formula;
    function or(parts: (Formula | string)[]): Formula;
    function not(part: Formula | string): Formula;
    function xor(a: Formula | string, b: Formula | string): Formula;
    class Solver {
      require(formula: Formula | string): void;
      solve(): object | null;
    }
  }
  export default Logic;
}
