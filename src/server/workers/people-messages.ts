import type { Person, Value } from '$core/people';
import type { Rendering, Search, Sheet } from '$core/dialect';
import type { SearchResult, Page } from '$sources/source';
import type {
  BoardCell,
  Both,
  Estimate,
  fitsThereAre,
  Found,
  Interval,
  CountedPart,
  JudgedPart,
  overlapOf,
  TriedCell
} from '$core/measure';
import type { PackedVerdicts } from './packed-verdicts';
import type { KeptBack } from '$sources/reading';
import type { Problem, Query, Scope } from '$core/language';
import type { Cut, NeutralWord } from '$core/harvest';
import type { Highlight, MatchingRules, Truth } from '$core/semantics';
import type { Persona, WordSet } from '$core/persona';
import type { Candidate, Change, Effect, Proposal, Explanation, LackingReason } from '$core/suggest';
import type { VersionSet } from '$server/platform/database/models';
import type { Outcome } from '$sources/try-string';

/** What the left-over part makes of a row. */
export interface CheckedRow {
  reading: Truth;
  unlisted: string[];
}

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

/** The inputs of a board except the verdicts; `order`: the sources as listed. */
export interface BoardMade {
  cells: SharedCell[];
  people: number;
  known: [string, readonly number[]][];
  order: string[];
}

/** Those judged fit and those judged miss at a source, by id. */
export interface JudgedIds {
  fits: string[];
  misses: string[];
}

/** `order`: the outermost parts in the order in which they narrow. */
export type LedgerAsk = StringText & { sourceId: string; judged: JudgedIds; order?: number[] };

export interface LedgerAnswer {
  rendering: Rendering;
  found: Found;
  /** People the source itself drops for want of a fact it was asked. */
  keptBack: KeptBack | null;
  /** What every part is worth, for those who are certain and for all possible; null when the string cannot be asked there. */
  rows: Both<PartWorth[]> | null;
  /** Null where the first parts alone cannot be asked there. */
  narrowing: { part: number; estimated: Both<Estimate> | null }[];
  /** Only the whole string was counted: there was no time for its parts. */
  unfinished: boolean;
}
/** Estimates are null where the part, or the string without it, cannot be asked there or nothing would be left. */
export type PartWorth = Omit<CountedPart, 'alone' | 'without'> &
  JudgedPart & { alone: Estimate | null; without: Estimate | null };

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

/** A cell of the board whose lists lie in memory that threads share. */
export type SharedCell = Omit<TriedCell, 'found' | 'open'> & { found: Uint32Array; open: Uint32Array };

/** One version at several sources: who is found where, and how many fits there are by each pair. */
export interface OverlapAnswer {
  version: number;
  sourceIds: string[];
  parts: ReturnType<typeof overlapOf>;
  people: number;
  population: {
    first: string;
    second: string;
    judgedFits: number;
    both: number;
    fits: ReturnType<typeof fitsThereAre>;
  }[];
}

/** A word of several meanings in a string: how many of those shown have each, and what telling it apart would do. */
export interface WordSenses {
  word: string;
  people: number;
  senses: {
    name: string;
    people: number;
    interval: Interval;
    changes: {
      how: 'asking' | 'excluding';
      text: string;
      estimated: Both<Estimate>;
      kept: number;
      othersLeft: number;
    }[];
  }[];
}
export interface SensesAnswer {
  estimated: Both<Estimate>;
  words: WordSenses[];
  /** Changes that there was no time to measure. */
  unmeasured: number;
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

/** A string as it is written, with the named word sets that it uses. */
export interface StringText {
  text: string;
  sets: readonly VersionSet[];
}

/** What of a sampled person answers a string, and what their record leaves open. */
export interface ReadPerson {
  values: Value[];
  marks: Highlight[];
  unlisted: string[];
}

/** A result that came from elsewhere as the ids of people. */
export interface RunOfPeople {
  rendering: Rendering;
  /** Ids of those who are known, in the order of the run. */
  found: string[];
  open: string[];
  /** The known people as a JSON list. */
  people: string;
  sample: SampledPerson[];
}

/** What the page server asks of the worker threads, by kind, and what it gets. */
export interface PeopleWork {
  /** Nothing: a sign of life. */
  ping: { ask: null; answer: null };
  /** Refuses a string that cannot be read whole. */
  'check-string': { ask: StringText; answer: null };
  'read-string': { ask: StringText; answer: { query: Query | null; problems: Problem[]; printed: string | null } };
  /** A string translated for a source; and with what is worth saying about it there. */
  render: { ask: StringText & { sheet: Sheet }; answer: Rendering };
  'render-with-problems': { ask: StringText & { sheet: Sheet }; answer: Rendering & { problems: Problem[] } };
  /** Reads a text copied from a source by that source's rules. */
  'read-copied': {
    ask: { text: string; sheet: Sheet };
    answer: { query: Query | null; problems: Problem[]; printed: string | null };
  };
  'build-string': { ask: { persona: Persona; wording: WordSet[] }; answer: { text: string } };
  'print-each': { ask: { queries: Query[] }; answer: string[] };
  'read-sample': {
    ask: StringText & { sheet: Sheet; leftover: Query | null; people: { person: Person; open: boolean }[] };
    answer: ReadPerson[];
  };
  /** The board: `verdicts` by the number of the person. */
  board: {
    ask: {
      /** Names `made`: the same name, the same cells. */
      name: string;
      /** The board's other inputs; null where the thread may have them already. */
      made: BoardMade | null;
      verdicts: PackedVerdicts;
      certain: boolean;
    };
    /** Null where the thread needs the inputs first. */
    answer: { board: (BoardCell & { people: number })[]; people: number; overlaps: OverlapAnswer[] } | null;
  };
  /** Titles of people that none of some wordings covers, the most frequent first. */
  'found-titles': {
    ask: { wordings: string[]; people: Person[] };
    answer: { title: string; people: { name: string; company: string }[] }[];
  };
  /** Each run with the ids of its people, the first of them first. */
  'read-runs': {
    ask: { body: Uint8Array };
    answer: { runs: { version: number; sourceId: string; ids: string[] }[]; unread: { line: number; why: string }[] };
  };
  /** What a run becomes at a source, of which `people` holds the records where they are not in memory. */
  'run-of-people': {
    ask: StringText & { sheet: Sheet; ids: string[]; people: Person[] | null; size: number; seed: string };
    answer: RunOfPeople;
  };
  page: { ask: { sourceId: string; search: Search; page: number }; answer: Page };
  /** Ways of cutting a search, best first, planned from those of some people it brings. */
  cut: { ask: { search: Search; sheet: Sheet; people: Person[]; count: number; most: number }; answer: Cut[] };
  /** Words that nobody cares about which should bring most new people beside a search, best first. */
  'neutral-words': {
    ask: PeopleWork['cut']['ask'] & { used: string[] };
    answer: NeutralWord[];
  };
  /** Whether rows meet what Eave checks itself, and the terms that each leaves open. */
  'check-rows': { ask: { sheet: Sheet; leftover: Query | null; people: Person[] }; answer: CheckedRow[] };
  /** Joins the pages that a rendering brought, and draws a sample; `contacted` are people who are left out, `drawn` those drawn before. */
  gather: {
    ask: {
      sheet: Sheet;
      rendering: Rendering;
      answers: SearchResult[];
      size: number;
      seed: string;
      contacted: readonly Person[];
      drawn: string[];
    };
    answer: TryAnswer;
  };
  ledger: { ask: LedgerAsk; answer: LedgerAnswer };
  /** The same with more time, for somebody who asked to go on. */
  'ledger-at-length': { ask: LedgerAsk; answer: LedgerAnswer };
  /** Changes that verdicts at a source speak for. */
  candidates: { ask: StringText & { sourceId: string; judged: JudgedIds }; answer: Candidate[] };
  /** What each of some changes does at a source; null for one that cannot be measured. */
  'effects-at': {
    ask: StringText & { list: Candidate[]; sourceId: string; judged: JudgedIds };
    answer: (Effect | null)[];
  };
  /** The changes that gain most, by what they do at each source. */
  'rank-changes': { ask: StringText & { list: Candidate[]; effects: (Effect | null)[][] }; answer: Proposal[] };
  /** What a source says of a string, and of others that it may become. */
  'count-changed': {
    ask: StringText & { sourceId: string; texts: string[] };
    answer: { before: Both<Estimate>; after: Both<Estimate>[] };
  };
  /** The text with changes made, and what they do together. */
  effect: {
    ask: StringText & { changes: readonly Change[]; sources: { sourceId: string; judged: JudgedIds }[] };
    answer: { text: string; effects: EffectAnswer[] };
  };
  /** The record of a source for each of some people known from elsewhere; null where it has none. */
  /** Why facts alone make each a miss, in words; null where they decide nothing. */
  'ruled-out': { ask: { persona: Persona; wordSets: WordSet[]; people: Person[] }; answer: (string | null)[] };
  /** For each firm, days since somebody who leads it came there, as a source tells; null where it does not. */
  leaders: { ask: { sourceId: string; firms: string[] }; answer: (number | null)[] };
  locate: { ask: { sourceId: string; people: Person[] }; answer: (Person | null)[] };
  known: {
    ask: StringText & { sourceId: string; known: Person[] };
    answer: KnownAnswer[];
  };
  /** Which records are of one person, among records of sources, by id or (of places run by hand) given whole. */
  identify: { ask: IdentifyAsk; answer: IdentifyAnswer };
  /** Why a source does not show people another finds by the same string. */
  lacking: {
    ask: StringText & { at: string; people: Person[]; matching: MatchingRules };
    answer: { reason: LackingReason; there: Person | null }[];
  };
  /** Of people of a stand-in, why each is not wanted by the hidden truth of the demo's scenario; null for those who are. */
  'true-verdicts': { ask: { sourceId: string; ids: string[] }; answer: (string | null)[] };
  /** The records of a source by id; those it does not have are left out. */
  'people-by-id': { ask: { sourceId: string; ids: string[] }; answer: Person[] };
  /** Who goes, comes and stays when a string is changed, each asked for on its own and sampled through as much depth as the source shows. */
  sample: {
    ask: { sourceId: string; from: StringText; to: StringText; size: number; seed: string; certain: boolean };
    answer: Record<'goes' | 'comes' | 'stays', { ids: string[]; shown: number; sample: SampledPerson[] }>;
  };
  /** What the ambiguous words of a string mean among the people it finds, and what telling them apart would do. */
  senses: { ask: StringText & { sourceId: string }; answer: SensesAnswer };
  /** Values of a scope that most people of a source have, those of which a word begins so. */
  'values-at': {
    ask: { sourceId: string; scope: Scope; begins: string; limit: number };
    answer: { text: string; people: number }[];
  };
  /** How many people each of some strings finds; null where one cannot be read or asked. */
  'count-each': { ask: { sourceId: string; texts: readonly string[] }; answer: (Both<Estimate> | null)[] };
}
export type PeopleKind = keyof PeopleWork;
