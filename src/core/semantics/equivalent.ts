import type { Person } from '../people/person';
import { Atoms } from './atoms';
import { DecisionDiagram, TooMuchWork, type Node } from './decision-diagram';
import { matcher } from './matches';
import type { Query } from '../language/query';

/** Steps that a question may take: about a tenth of a second. */
const work = 300_000;

/**
 * Whether two queries find the same people, anybody who these are: decided, not sampled. Words in a field, and bounds on a
 * number, are atoms; what one implies of another is known. `undecided` where it takes more steps than are allowed.
 */
export function equivalent(a: Query, b: Query): boolean | 'undecided' {
  const found = tellApart(a, b);
  return found === 'undecided' ? found : found === null;
}

/** A person one of the two finds and the other does not; null when there can be none. */
export function tellApart(a: Query, b: Query): Person | null | 'undecided' {
  return someone([a, b], (diagram, [left, right]) => diagram.xor(left!, right!));
}

/** Whether a query finds nobody (`never`) or everybody (`always`), anybody who there is; null when it depends. */
export function constantOf(query: Query): 'never' | 'always' | 'undecided' | null {
  const likely = bounded(() => {
    const atoms = new Atoms(new DecisionDiagram(0), [query]);
    return [atoms.likelyPerson(query), atoms.person(() => false)];
  });
  if (likely === 'undecided') return likely;
  const finds = likely.map(matcher(query));
  if (finds.includes(true) && finds.includes(false)) return null;
  const other = finds[0] ? 'always' : 'never';
  const found = someone([query], (diagram, [node]) => (finds[0] ? diagram.not(node!) : node!));
  return found === 'undecided' ? found : found === null ? other : null;
}

function someone(
  queries: Query[],
  ask: (diagram: DecisionDiagram, nodes: Node[]) => Node
): Person | null | 'undecided' {
  return bounded(() => {
    const diagram = new DecisionDiagram(work);
    const atoms = new Atoms(diagram, queries);
    let node = ask(
      diagram,
      queries.map((query) => atoms.node(query))
    );
    if (node === 0) return null;
    for (const [first, second] of atoms.links()) {
      node = diagram.and(node, diagram.or(diagram.not(diagram.variable(first)), diagram.variable(second)));
      if (node === 0) return null;
    }
    for (const [first, second] of atoms.exclusions()) {
      node = diagram.and(node, diagram.or(diagram.not(diagram.variable(first)), diagram.not(diagram.variable(second))));
      if (node === 0) return null;
    }
    const values = diagram.solution(node);
    return values && atoms.person((atom) => values.get(atom) === true);
  });
}

function bounded<T>(ask: () => T): T | 'undecided' {
  try {
    return ask();
  } catch (error) {
    if (error instanceof TooMuchWork) return 'undecided';
    throw error;
  }
}
