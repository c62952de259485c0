import * as z from 'zod';

/** Problems of what a string means, which `meaningProblems` finds; parsing alone finds those of how it is written. */
export const meaningCodes = [
  'repeated-term',
  'covered-wording',
  'wanted-and-excluded',
  'exclusion-hits-wanted',
  'never-matches',
  'always-true',
  'several-meanings',
  'spelling-pair',
  'unknown-value'
] as const;

/** Every problem a string can have; each is described with an example in docs/notation.md. */
export const problemCodes = [
  'too-long',
  'too-many-terms',
  'too-deep',
  'hidden-character',
  'stray-sign',
  'unclosed-quote',
  'unclosed-bracket',
  'unopened-bracket',
  'empty-group',
  'empty-phrase',
  'empty-scope',
  'unknown-scope',
  'doubled-scope',
  'misplaced-operator',
  'lower-case-operator',
  'foreign-operator',
  'curly-quotes',
  'long-dash',
  'unquoted-title',
  'unquoted-exclusion',
  'mixed-operators',
  'bad-range',
  'bad-number',
  'range-on-words',
  'short-wildcard',
  'wildcard-in-phrase',
  'misplaced-wildcard',
  'only-exclusions',
  'unclosed-muted',
  'unknown-set',
  ...meaningCodes,
  'stop-words',
  'over-limit',
  'read-otherwise',
  'unlisted-fact',
  'value-not-offered'
] as const;

const edit = z.object({ from: z.int(), to: z.int(), insert: z.string() });

/** Something worth saying about a place in a string, with the edits that would fix it where there are any. */
export const problemSchema = z.object({
  code: z.enum(problemCodes),
  severity: z.enum(['error', 'warning', 'hint']),
  from: z.int(),
  to: z.int(),
  message: z.string(),
  fix: z.object({ label: z.string(), edits: z.array(edit) }).optional()
});

export type Problem = z.infer<typeof problemSchema>;
export type ProblemCode = Problem['code'];
export type Edit = z.infer<typeof edit>;

/**
 * Takes a piece out of a text, with one of the spaces around it where there is one on both sides. Where there is none on either,
 * a space takes its place, so that `a""b` does not become one word.
 */
export function cutOut(text: string, { from, to }: { from: number; to: number }): Edit {
  const [before, after] = [text[from - 1] ?? ' ', text[to] ?? ' '];
  const apart = /\s/.test(after) && from > 0 && /\s/.test(before);
  const joined = !/[\s()]/.test(before) && !/[\s()]/.test(after);
  return { from: apart ? from - 1 : from, to, insert: joined ? ' ' : '' };
}

/** The text after a fix's edits, which never overlap. */
export function applyEdits(text: string, edits: readonly Edit[]): string {
  return [...edits]
    .sort((a, b) => b.from - a.from || b.to - a.to)
    .reduce((done, e) => done.slice(0, e.from) + e.insert + done.slice(e.to), text);
}
