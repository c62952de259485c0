import type { Completion, CompletionContext, CompletionResult } from '@codemirror/autocomplete';
import { countries, countryName, industries } from '$core/people';
import { quoted, isOwnScope, isScope, namedFacts, scopes, type Scope } from '$core/language';
import { count } from '$lib/marks/format';
import { editor as say } from '../words';

/** Completions other than scopes and operators. */
export interface Offers {
  sets: readonly { name: string; kind: string; wordings: readonly string[] }[];
  titles: readonly string[];
  /** The fields that only the chosen sources have. */
  own: readonly Scope[];
  /** Values of a scope that most people of the chosen sources have. */
  valuesOf: (scope: Scope, begins: string) => Promise<readonly { text: string; people: number }[]>;
}

const ranks = ['owner', 'chief', 'director', 'head', 'manager', 'specialist', 'coordinator', 'assistant', 'intern'];
const functions = [
  'quality',
  'compliance',
  'logistics',
  'warehouse',
  'purchasing',
  'sales',
  'finance',
  'software',
  'general management'
];

/** Values of the facts that have few or well-known ones. */
const values: Partial<Record<Scope, readonly Completion[]>> = {
  get country() {
    return countries().map(({ name, code }) => ({ label: name, detail: code }));
  },
  industry: industries.map(({ code, name }) => ({ label: code, detail: name })),
  rank: ranks.map((label) => ({ label })),
  function: functions.map((label) => ({ label })),
  mail: ['good', 'uncertain', 'none'].map((label) => ({ label })),
  hiring: ['yes', 'no'].map((label) => ({ label })),
  funded: ['yes', 'no'].map((label) => ({ label })),
  headcount: ['[1 TO 50]', '[51 TO 1000]', '[1001 TO *]'].map((label) => ({ label })),
  growth: ['[10 TO *]', '[* TO 0]'].map((label) => ({ label, detail: say.overOneYear })),
  tenure: ['[0 TO 6]', '[24 TO *]'].map((label) => ({ label, detail: say.months })),
  moved: ['[0 TO 90]'].map((label) => ({ label, detail: say.days })),
  active: ['[0 TO 30]'].map((label) => ({ label, detail: say.days }))
};

const written = (text: string) => (/^[\p{L}\p{N}]+$/u.test(text) || text.startsWith('[') ? text : quoted(text));

/** The scope that holds at the end of a text: of a bracket not yet closed, or of the word being written. */
function scopeAt(before: string): Scope | null {
  const open: number[] = [];
  let quoted = false;
  for (let at = 0; at < before.length; at++) {
    const sign = before[at];
    if (sign === '"') quoted = !quoted;
    else if (!quoted && sign === '(') open.push(at);
    else if (!quoted && sign === ')') open.pop();
  }
  // The innermost bracket that has a scope, or the end itself.
  for (const at of [...open, before.length].reverse()) {
    const name = /(own\.[\p{L}\p{M}\p{N}_]{1,60}|[A-Za-z]{1,40}):$/u
      .exec(before.slice(Math.max(0, at - 80), at))?.[1]
      ?.toLowerCase();
    if (name && isScope(name)) return name;
  }
  return null;
}

/** Whether a scope holds names or values, which can be chosen among, and no running text. */
const holdsNames = (scope: Scope): boolean =>
  isOwnScope(scope) ||
  ['title', 'pasttitle', 'company', 'pastcompany', 'skill', 'school', 'group', ...namedFacts].some(
    (one) => one === scope
  );

/** What can be written behind a scope: the values that sources hold, and then those that are well known. */
async function valuesFor(scope: Scope, begins: string, offers: Offers): Promise<Completion[]> {
  const held = holdsNames(scope) ? await offers.valuesOf(scope, begins).catch(() => []) : [];
  const known = values[scope] ?? [];
  const names = new Map(known.map((option) => [option.label.toLowerCase(), option]));
  const shown = held.map(({ text, people }): Completion => {
    const label = scope === 'country' ? countryName(text) : text;
    const detail = `${names.get(label.toLowerCase())?.detail ?? ''} ${count(people)} people`.trim();
    return { label, detail, boost: 1 };
  });
  // The titles of the brief are what is looked for: they come first where a title is written.
  const titles = scope === 'title' || scope === 'pasttitle' ? offers.titles : [];
  const own = titles.map((label): Completion => ({ label, detail: 'wording', boost: 2 }));
  // The first of several equal names represents them.
  const once = new Map<string, Completion>();
  for (const option of [...own, ...shown, ...known])
    if (!once.has(option.label.toLowerCase())) once.set(option.label.toLowerCase(), option);
  return [...once.values()].map((option) => ({ ...option, type: 'value', apply: written(option.label) }));
}

/** Completes scopes, operators, values of facts, word sets and the titles of the brief. */
export function complete(
  context: CompletionContext,
  offers: Offers
): CompletionResult | Promise<CompletionResult | null> | null {
  const set = context.matchBefore(/@[\p{L}\p{N}_-]*/u);
  if (set)
    return {
      from: set.from,
      options: offers.sets.map(({ name, kind, wordings }) => ({
        label: `@${name}`,
        type: 'set',
        detail: kind === 'unwanted' ? say.toExclude : say.wordings(wordings.length),
        info: wordings.slice(0, 12).join(', ')
      })),
      validFor: /^@[\p{L}\p{N}_-]*$/u
    };
  const word = context.matchBefore(/(?:own\.[\p{L}\p{M}\p{N}_]*|[\p{L}\p{N}]+)/u);
  if (!word && !context.explicit) return null;
  const from = word?.from ?? context.pos;
  const before = context.state.sliceDoc(Math.max(0, from - 4000), from);
  const scope = scopeAt(before);
  if (scope && (values[scope] || holdsNames(scope)))
    return valuesFor(scope, word?.text ?? '', offers).then((options) =>
      options.length ? { from, options, validFor: /^[\p{L}\p{N} ]*$/u } : null
    );
  if (word && word.text.length < 2 && !context.explicit) return null;
  if (/"[^"]*$/.test(before.replaceAll(/"[^"]*"/g, ''))) return null;
  return {
    from,
    options: [
      ...[...scopes, ...offers.own].map((label) => ({ label: `${label}:`, type: 'scope', detail: 'scope' })),
      ...['AND', 'OR', 'NOT'].map((label) => ({ label, type: 'operator', detail: 'operator' })),
      ...offers.titles.map((label) => ({ label, type: 'wording', detail: 'wording', apply: written(label) }))
    ],
    validFor: /^[\p{L}\p{N}._]*$/u
  };
}
