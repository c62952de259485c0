import { parse, type Parsed, type SetQueries } from '../language/parse';
import { applyEdits, meaningCodes, type Edit, type Problem, type ProblemCode } from '../language/problem';
import { terms, type Query } from '../language/query';
import { meaningProblems } from './meaning-problems';

/** Reads a string as `parse` does, and also reports what is worth saying of its meaning: several times slower on a long string. */
export function readString(text: string, sets?: SetQueries): Parsed {
  const read = parse(text, sets);
  return { ...read, problems: onlySafeFixes(text, read, sets) };
}

const allProblems = (text: string, { problems, query }: Parsed): Problem[] =>
  (query ? [...problems, ...meaningProblems(text, query)] : problems).sort((a, b) => a.from - b.from || a.to - b.to);

/** Problems that `meaningProblems` finds. The others are found by parsing alone, which is several times faster. */
const ofMeaning: ReadonlySet<ProblemCode> = new Set(meaningCodes);

/** UTF-16 units read again to check fixes, at most, and the fixes that are checked however long the text is. */
const maxReread = { units: 16_000, fixes: 3 };

/**
 * The same problems, keeping only fixes that are safe: each is applied and the text read again. The problem must then be reported
 * less often, no error more, and every term that the fix does not touch must be wanted or excluded as before. Beyond a budget fixes
 * are left out rather than left unchecked; they come when those before them are made.
 */
function onlySafeFixes(text: string, read: Parsed, sets?: SetQueries): Problem[] {
  const problems = allProblems(text, read);
  const before = polarities(read.query);
  const errorsBefore = errors(problems);
  const sameBefore = new Map<string, number>();
  for (const problem of problems) sameBefore.set(keyOf(problem), (sameBefore.get(keyOf(problem)) ?? 0) + 1);
  let reread = 0;
  let checked = 0;
  return problems.map((problem) => {
    const { fix, ...withoutFix } = problem;
    if (!fix) return problem;
    reread += text.length * (ofMeaning.has(problem.code) ? 3 : 1);
    if (checked++ >= maxReread.fixes && reread > maxReread.units) return withoutFix;
    const fixed = applyEdits(text, fix.edits);
    const after = parse(fixed, sets);
    const now = ofMeaning.has(problem.code) ? allProblems(fixed, after) : after.problems;
    const isSafe =
      now.filter((one) => keyOf(one) === keyOf(problem)).length < sameBefore.get(keyOf(problem))! &&
      errors(after.problems) <= errorsBefore &&
      (flips(problem, text) || keepsPolarity(before, polarities(after.query), fix.edits));
    return isSafe ? problem : withoutFix;
  });
}

const keyOf = ({ code, message }: Problem): string => `${code} ${message}`;
const errors = (problems: readonly Problem[]): number =>
  problems.reduce((sum, { severity }) => sum + Number(severity === 'error'), 0);

/** Whether a fix is meant to turn what follows into an exclusion: a lower-case `not` written as NOT. */
const flips = ({ code, from, to }: Problem, text: string): boolean =>
  code === 'lower-case-operator' && text.slice(from, to).toLowerCase() === 'not';

interface Polarity {
  from: number;
  to: number;
  wanted: boolean;
}

/** Where terms stand and whether they are wanted, by their place in the text. */
function polarities(query: Query | null): Polarity[] {
  if (!query) return [];
  return [...terms(query)]
    .flatMap(({ term, wanted }) => (term.at ? [{ from: term.at.from, to: term.at.to, wanted }] : []))
    .sort((a, b) => a.from - b.from);
}

/** Whether each term that no edit touches is there after the edits, wanted or excluded as it was. Linear in terms and edits. */
function keepsPolarity(before: readonly Polarity[], after: readonly Polarity[], edits: readonly Edit[]): boolean {
  const inOrder = [...edits].sort((a, b) => a.from - b.from || a.to - b.to);
  const now = new Map(after.map(({ from, wanted }) => [from, wanted]));
  let next = 0;
  let shift = 0;
  return before.every(({ from, to, wanted }) => {
    for (; next < inOrder.length && inOrder[next]!.to <= from; next++) {
      const edit = inOrder[next]!;
      shift += edit.insert.length - (edit.to - edit.from);
    }
    // One that an edit reaches into is what the fix changes.
    if (next < inOrder.length && inOrder[next]!.from < to) return true;
    return now.get(from + shift) === wanted;
  });
}
