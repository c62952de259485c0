import { print } from '../language/print';
import { isTerm, terms, type Query, type Term } from '../language/query';
import { tokenKeys } from '../language/tokens';
import { industryCode } from '../people/industries';
import { firmKey } from '../people/contact-keys';
import type { Person } from '../people/person';
import { presentJob } from '../people/present-job';
import { seededRandom } from '../measure/random';
import { matcher } from '../semantics/matches';
import type { Matching } from '../semantics/exact-matching';
import { readTitle } from '../titles/read-title';
import { learnLogistic, likelihood, logOdds, type Features, type LogisticModel } from './logistic';
import { plattScaling } from './platt-scaling';
import { isotonic } from './isotonic';

/** Terms of a string that are looked at one by one at most. */
const maxTerms = 300;

/** What a row shows that may speak for or against a fit: the terms it meets, its facts, how its title reads, and its words. */
export function signReader(query: Query, matching: Matching): (person: Person) => string[] {
  const parts = query.kind === 'and' ? query.parts : [query];
  const some = [...new Map([...terms(query)].map(({ term }) => [print(term), term] as const))].slice(0, maxTerms);
  const meets = [
    ...some.map(([name, term]) => [`meets ${name}`, matcher(term as Term, matching)] as const),
    ...parts.filter((part) => !isTerm(part)).map((part, i) => [`part ${i}`, matcher(part, matching)] as const)
  ];
  return (person) => {
    const signs: string[] = meets.flatMap(([name, met]) => (met(person) ? [name] : []));
    const job = presentJob(person);
    const add = (kind: string, value: string | undefined) => value && signs.push(`${kind} ${value}`);
    add('country', person.country);
    add('industry', person.industry && (industryCode(person.industry) ?? person.industry));
    add('rank', person.rank);
    add('function', person.function);
    if (person.headcount !== undefined) add('size', String(Math.floor(Math.log2(person.headcount + 1))));
    if (job) {
      const read = readTitle(job.title);
      add('title function', read.function ?? undefined);
      add('title rank', read.rank ?? undefined);
      const words = tokenKeys(job.title);
      for (const [i, word] of words.entries()) {
        add('title word', word);
        if (i) add('title words', `${words[i - 1]} ${word}`);
      }
      for (const word of tokenKeys(firmKey(job.company))) add('firm word', word);
    } else signs.push('no current job');
    return [...new Set(signs)];
  };
}

/** A judged row: what it shows, and whether it fits. */
export interface JudgedRow {
  signs: readonly string[];
  fit: boolean;
}

/** What was learnt from verdicts, and how far it can be trusted. */
export interface Learnt {
  likelihoodOf(signs: readonly string[]): number;
  judged: number;
  fits: number;
  /** How often a fit comes before a miss, by cross-validation: 0.5 is chance, 1 is always. Null where there are too few of either. */
  area: number | null;
  /** What speaks most for and against a fit. */
  strongest: { sign: string; weight: number }[];
}

/** Signs that fewer judged rows show say nothing. */
const fewest = 2;
const folds = 5;
/** Signs kept to explain single rows with, the strongest of all. */
const maxKept = 60;
/** What of a likelihood comes from the smooth curve; the rest comes from the steps. */
const curveShare = 0.25;

/** Learns from judged rows who is likely to fit. Null while there are none of both kinds. The same verdicts give the same order. */
export function learn(rows: readonly JudgedRow[], seed: string): Learnt | null {
  const fits = rows.filter(({ fit }) => fit).length;
  if (!fits || fits === rows.length) return null;
  const counts = new Map<string, number>();
  for (const { signs } of rows) for (const sign of signs) counts.set(sign, (counts.get(sign) ?? 0) + 1);
  const names = [...counts].flatMap(([sign, n]) => (n >= fewest && n < rows.length ? [sign] : [])).sort();
  const at = new Map(names.map((name, i) => [name, i]));
  const numbered = (signs: readonly string[]): Features => signs.flatMap((sign) => at.get(sign) ?? []);
  const all = rows.map(({ signs }) => numbered(signs));
  const truth = rows.map(({ fit }) => fit);
  const model = learnLogistic(all, truth, names.length);
  const apart = crossValidated(all, truth, names.length, seed);
  // What was learnt by heart is surer of itself than it may be: rows kept apart say how sure.
  const scaled = apart && calibrated(apart, truth);
  return {
    likelihoodOf: (signs) => (scaled ? scaled(logOdds(model, numbered(signs))) : likelihood(model, numbered(signs))),
    judged: rows.length,
    fits,
    area: apart && areaUnder(apart, truth),
    strongest: names
      .map((sign, i) => ({ sign, weight: model.weights[i]! }))
      .sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight))
      .slice(0, maxKept)
  };
}

/**
 * Log odds of rows kept apart as probabilities. Platt's curve keeps the order where the steps are level, and is too
 * flat where a string parts fits from misses well; the mean of both is within five points of the truth in each tenth of a list.
 */
function calibrated(apart: readonly number[], truth: readonly boolean[]): ((score: number) => number) | null {
  const curve = plattScaling(apart, truth);
  const steps = isotonic(apart, truth);
  return curve && steps && ((score) => curveShare * curve(score) + (1 - curveShare) * steps(score));
}

/** The log odds of rows that were kept apart while learning; null where there are too few of either kind. */
function crossValidated(
  rows: readonly Features[],
  truth: readonly boolean[],
  size: number,
  seed: string
): number[] | null {
  const random = seededRandom(`folds/${seed}`);
  const fold = rows.map(() => Math.floor(random() * folds));
  const scores = new Array<number>(rows.length);
  for (let part = 0; part < folds; part++) {
    const train = rows.flatMap((_, i) => (fold[i] === part ? [] : [i]));
    const trained = train.filter((i) => truth[i]).length;
    if (!trained || trained === train.length) return null;
    const model: LogisticModel = learnLogistic(
      train.map((i) => rows[i]!),
      train.map((i) => truth[i]!),
      size
    );
    rows.forEach((row, i) => fold[i] === part && (scores[i] = logOdds(model, row)));
  }
  return scores;
}

/** The share of pairs of a fit and a miss of which the fit has the higher score; ties count half. Hanley and McNeil, Radiology 143 (1982) 29–36. */
export function areaUnder(scores: readonly number[], truth: readonly boolean[]): number | null {
  const order = scores.map((score, i) => ({ score, fit: truth[i]! })).sort((a, b) => a.score - b.score);
  const fits = truth.filter(Boolean).length;
  const misses = truth.length - fits;
  if (!fits || !misses) return null;
  let [below, sum] = [0, 0];
  for (let from = 0; from < order.length;) {
    let to = from;
    while (to < order.length && order[to]!.score === order[from]!.score) to++;
    const tied = order.slice(from, to);
    const tiedMisses = tied.filter(({ fit }) => !fit).length;
    sum += (tied.length - tiedMisses) * (below + tiedMisses / 2);
    below += tiedMisses;
    from = to;
  }
  return sum / (fits * misses);
}
