import type { Person } from '$core/corpus/person';
import type { Rendering } from '$core/dialect/render';
import type { Sheet } from '$core/dialect/sheet';
import type { Interval } from '$core/measure/wilson';
import type { Query } from '$core/query/query';
import type { SenseCount } from '$core/titles/senses';
import type { Outcome } from '$sources/try-string';

export interface SampledPerson {
  /** Place in the list of results, from 1. */
  rank: number;
  person: Person;
}

export interface TryAnswer extends Omit<Outcome, 'people'> {
  shown: number;
  contacted: number;
  sample: SampledPerson[];
}

export interface WorthAnswer {
  rendering: Rendering;
  count: Interval;
  /** Per top-level part: how many it finds alone, and how many the string finds without it; null where it cannot be asked. */
  parts: { alone: Interval | null; without: Interval | null }[];
}

/** People on one side of a difference: how many, the first of them, and which of the judged are among them. */
export interface DifferenceSide {
  count: number;
  people: Person[];
  judged: string[];
}

export interface DifferenceAnswer {
  kept: number;
  added: DifferenceSide;
  removed: DifferenceSide;
  /** True when one of the two finds more than the source shows, so that only what is shown is compared. */
  capped: boolean;
}

/** What the page server asks of the people worker, by kind, and what it gets. */
export interface PeopleWork {
  'load-stand-ins': { ask: { size?: number }; answer: { sheet: Sheet; people: number }[] };
  'begin-file': { ask: { sheet: Sheet }; answer: null };
  'add-people': { ask: { sourceId: string; people: Person[] }; answer: null };
  'finish-file': { ask: { sourceId: string }; answer: { people: number } };
  forget: { ask: { sourceId: string }; answer: null };
  try: {
    /** `contacted` are the keys (`contactKeys`) of people who are left out. */
    ask: { sourceId: string; query: Query; size: number; seed: string; contacted: string[] };
    answer: TryAnswer;
  };
  worth: { ask: { sourceId: string; query: Query }; answer: WorthAnswer };
  /** What some words mean among the people that strings find: for each string, words counted among those shown. */
  senses: {
    ask: { sourceId: string; queries: Query[]; words: string[] };
    answer: { count: Interval; shown: number; words: SenseCount[] }[];
  };
  'count-each': { ask: { sourceId: string; queries: Query[] }; answer: (Interval | null)[] };
  difference: {
    ask: { sourceId: string; from: Query; to: Query; most: number; judged: string[] };
    answer: DifferenceAnswer;
  };
}
export type PeopleKind = keyof PeopleWork;

export interface PeopleRequest<K extends PeopleKind = PeopleKind> {
  id: number;
  kind: K;
  ask: PeopleWork[K]['ask'];
}
export type PeopleReply = { id: number; answer: unknown } | { id: number; error: string };
