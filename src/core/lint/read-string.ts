import { parse, type Parsed, type SetQueries } from '../language/parse';
import { applyEdits, type Problem } from '../language/problem';
import { meaningProblems } from './meaning-problems';

/** Reads a string as `parse` does, and tells besides what is worth saying of its meaning: several times slower on a long string. */
export function readString(text: string, sets?: SetQueries): Parsed {
  const read = parse(text, sets);
  return { ...read, problems: onlyFixesThatMend(text, allProblems(text, read), sets) };
}

const allProblems = (text: string, { problems, query }: Parsed): Problem[] =>
  (query ? [...problems, ...meaningProblems(text, query)] : problems).sort((a, b) => a.from - b.from || a.to - b.to);

/** Letters read again, at most, to see what fixes do: a long text with many mistakes keeps them as they are thought. */
const maxTried = 400_000;

/**
 * The same problems, without the fixes that would not do what they say where several mistakes stand together: each is
 * made, and the text read again. What is told must then be told less often, and no error more.
 */
function onlyFixesThatMend(text: string, problems: Problem[], sets?: SetQueries): Problem[] {
  let tried = 0;
  const told = (list: readonly Problem[], { code, message }: Problem) =>
    list.filter((other) => other.code === code && other.message === message).length;
  const errors = (list: readonly Problem[]) => list.filter(({ severity }) => severity === 'error').length;
  return problems.map((problem) => {
    if (!problem.fix || (tried += text.length) > maxTried) return problem;
    const mended = applyEdits(text, problem.fix.edits);
    const after = allProblems(mended, parse(mended, sets));
    if (told(after, problem) < told(problems, problem) && errors(after) <= errors(problems)) return problem;
    const withoutFix = { ...problem };
    delete withoutFix.fix;
    return withoutFix;
  });
}
