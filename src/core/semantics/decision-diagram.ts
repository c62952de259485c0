/** Thrown when a question needs more work than it was given. */
export class TooMuchWork extends Error {}

/** A node of a diagram: 0 is false, 1 is true. */
export type Node = number;
const most = 1 << 17;

/**
 * Boolean functions as reduced ordered binary decision diagrams (Bryant, IEEE Trans. Computers C-35, 1986): two functions
 * are the same exactly when they are the same node. Variables are numbers, lower ones tested first. `work` bounds the
 * steps that may be taken over the diagram's life.
 */
export class DecisionDiagram {
  private readonly variables: number[] = [Infinity, Infinity];
  private readonly lows: Node[] = [0, 1];
  private readonly highs: Node[] = [0, 1];
  private readonly unique = new Map<number, Node>();
  private readonly done = new Map<number, Map<number, Node>>();
  private work: number;

  constructor(work: number) {
    this.work = work;
  }

  variable(index: number): Node {
    return this.node(index, 0, 1);
  }
  not(a: Node): Node {
    return this.choose(a, 0, 1);
  }
  and(a: Node, b: Node): Node {
    return this.choose(a, b, 0);
  }
  or(a: Node, b: Node): Node {
    return this.choose(a, 1, b);
  }
  xor(a: Node, b: Node): Node {
    return this.choose(a, this.not(b), b);
  }

  /** If `a` then `b` else `c`. */
  choose(a: Node, b: Node, c: Node): Node {
    if (a === 1) return b;
    if (a === 0) return c;
    if (b === c) return b;
    if (b === 1 && c === 0) return a;
    const key = b * most + c;
    let known = this.done.get(a);
    if (!known) this.done.set(a, (known = new Map()));
    const before = known.get(key);
    if (before !== undefined) return before;
    if (this.work-- <= 0) throw new TooMuchWork();
    const top = Math.min(this.variables[a]!, this.variables[b]!, this.variables[c]!);
    const node = this.node(
      top,
      this.choose(this.low(a, top), this.low(b, top), this.low(c, top)),
      this.choose(this.high(a, top), this.high(b, top), this.high(c, top))
    );
    known.set(key, node);
    return node;
  }

  /** Some values of variables under which the function is true, others being free; null when it never is. */
  solution(node: Node): Map<number, boolean> | null {
    if (node === 0) return null;
    const values = new Map<number, boolean>();
    let at = node;
    while (at > 1) {
      const high = this.lows[at] === 0;
      values.set(this.variables[at]!, high);
      at = high ? this.highs[at]! : this.lows[at]!;
    }
    return values;
  }

  private node(variable: number, low: Node, high: Node): Node {
    if (low === high) return low;
    const key = (variable * most + low) * most + high;
    let node = this.unique.get(key);
    if (node === undefined) {
      if (this.variables.length >= most || variable >= most) throw new TooMuchWork();
      node = this.variables.length;
      this.variables.push(variable);
      this.lows.push(low);
      this.highs.push(high);
      this.unique.set(key, node);
    }
    return node;
  }
  private low(node: Node, variable: number): Node {
    return this.variables[node] === variable ? this.lows[node]! : node;
  }
  private high(node: Node, variable: number): Node {
    return this.variables[node] === variable ? this.highs[node]! : node;
  }
}
