import type { Person } from '$core/corpus';
import type { Rendering, Search, Sheet } from '$core/dialect';
import type { Answer, Page } from '$sources/source';
import type { Estimate, Both, Found, LedgerRow } from '$core/measure';
import type { KeptBack } from '$sources/reading';
import type { Query, MatchingRules } from '$core/query';
import type { Effect, Proposal, Explanation, LackingReason } from '$core/suggest';
import type { VersionSet } from '../database/models';
import type { SenseCount } from '$core/titles';
import type { Outcome } from '$sources/try-string';

export interface SampledPerson {
  /** Place in the list of results, from 1. */
  rank: number;
  person: Person;
}

export interface TryAnswer extends Pick<Outcome, 'answers' | 'filtered'> {
  contacted: number;
  /** Ids of all that are left, in the order shown. */
  found: string[];
  /** Ids of those among them who are possible and not certain. */
  open: string[];
  /** How many of these look like one before them under another id. */
  duplicates: number;
  sample: SampledPerson[];
}

/** A verdict as the worker needs it. */
export interface FitOrMiss {
  id: string;
  fit: boolean;
}

export interface LedgerAnswer {
  rendering: Rendering;
  found: Found;
  /** People whom the source itself drops for want of a fact it was asked. */
  keptBack: KeptBack | null;
  /** What every part is worth, for those who are certain and for all possible; null when the string cannot be asked there. */
  rows: Both<PartWorth[]> | null;
  /** Null where the first parts alone cannot be asked there. */
  narrowing: { part: number; estimated: Both<Estimate> | null }[];
}
/** Estimates are null where the part, or the string without it, cannot be asked there or nothing would be left. */
export type PartWorth = Omit<LedgerRow, 'alone' | 'without'> & { alone: Estimate | null; without: Estimate | null };

export interface ProposalAnswer extends Omit<Proposal, 'effects'> {
  effects: EffectAnswer[];
}
export interface EffectAnswer extends Omit<Effect, 'before' | 'after'> {
  sourceId: string;
  before: Both<Estimate>;
  after: Both<Estimate>;
}

/** What a string makes of one known-good at a source. */
export interface KnownAnswer {
  id: string;
  /** The person of the source with the same mail, or name and firm; null where there is none. */
  person: Person | null;
  explanation: Explanation | null;
}

export interface RecordName {
  sourceId: string;
  personId: string;
}
export interface IdentifyAsk {
  /** `people` holds the records where the source is not here to make them. */
  records: { sourceId: string; ids: string[]; people?: Person[] }[];
  decisions: { first: RecordName; second: RecordName; same: boolean }[];
}
export interface IdentifyAnswer {
  /** The number of each record's person, in the order asked. */
  personOf: number[][];
  people: number;
  doubtful: { first: RecordName; second: RecordName; people: [Person, Person]; why: string }[];
}

/** What the page server asks of the people worker, by kind, and what it gets. */
export interface PeopleWork {
  'load-stand-ins': { ask: { size?: number; folder: string }; answer: { sheet: Sheet; people: number }[] };
  /** The index of a large file is built in a thread of its own, as its people arrive. */
  'begin-file': { ask: { sheet: Sheet; large: boolean }; answer: null };
  /** Each as JSON. */
  'add-people': { ask: { sourceId: string; people: string[] }; answer: null };
  'finish-file': { ask: { sourceId: string }; answer: { people: number } };
  forget: { ask: { sourceId: string }; answer: null };
  page: { ask: { sourceId: string; search: Search; page: number }; answer: Page };
  /** Joins the pages that a rendering brought, and draws a sample; `contacted` are the keys of people who are left out, `drawn` those drawn before. */
  gather: {
    ask: {
      sheet: Sheet;
      rendering: Rendering;
      answers: Answer[];
      size: number;
      seed: string;
      contacted: string[];
      drawn: string[];
    };
    answer: TryAnswer;
  };
  ledger: {
    /** `order`: the outermost parts in the order in which they narrow. */
    ask: { sourceId: string; query: Query; verdicts: FitOrMiss[]; order?: number[] };
    answer: LedgerAnswer;
  };
  propose: {
    ask: { text: string; sets: VersionSet[]; sources: { sourceId: string; verdicts: FitOrMiss[] }[] };
    answer: ProposalAnswer[];
  };
  effect: {
    ask: { from: Query; to: Query; sources: { sourceId: string; verdicts: FitOrMiss[] }[] };
    answer: EffectAnswer[];
  };
  /** The record of a source for each of some people known from elsewhere; null where it has none. */
  locate: { ask: { sourceId: string; people: Person[] }; answer: (Person | null)[] };
  known: {
    ask: { sourceId: string; text: string; sets: VersionSet[]; known: Person[] };
    answer: KnownAnswer[];
  };
  /** Which records are of one person, among records of sources, by id or (of places run by hand) given whole. */
  identify: { ask: IdentifyAsk; answer: IdentifyAnswer };
  /** Why a source does not show people whom another finds by the same string. */
  lacking: {
    ask: { query: Query; at: string; people: Person[]; matching: MatchingRules };
    answer: { reason: LackingReason; there: Person | null }[];
  };
  /** The records of a source by id; those it does not have are left out. */
  'people-by-id': { ask: { sourceId: string; ids: string[] }; answer: Person[] };
  /** Who goes, comes and stays when a string is changed, each asked for by itself and sampled through as much depth as the source shows. */
  sample: {
    ask: { sourceId: string; from: Query; to: Query; size: number; seed: string; certain: boolean };
    answer: Record<'goes' | 'comes' | 'stays', { ids: string[]; shown: number; sample: SampledPerson[] }>;
  };
  /** What some words mean among the people that strings find: for each string, words counted among those shown. */
  senses: {
    ask: { sourceId: string; queries: Query[]; words: string[] };
    answer: { estimated: Both<Estimate>; shown: number; words: SenseCount[] }[];
  };
  'count-each': { ask: { sourceId: string; queries: Query[] }; answer: (Both<Estimate> | null)[] };
}
export type PeopleKind = keyof PeopleWork;

export interface PeopleRequest<K extends PeopleKind = PeopleKind> {
  id: number;
  kind: K;
  ask: PeopleWork[K]['ask'];
}
export type PeopleReply =
  { id: number; answer: unknown } | { id: number; error: string } | { progress: { done: number; of: number } };
