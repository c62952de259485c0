import { DataTypes, type CreationOptional, type Sequelize } from 'sequelize';
import type { Person } from '$core/people';
import type { Rendering, Sheet } from '$core/dialect';
import type { Verdict } from '$core/measure';
import type { PageRow } from '$core/formats';
import type { NamedSet } from '$core/language';
import type { Faults } from '$core/dialect';
import type { Outcome } from '$sources/try-string';
import type { SourceKind } from '$api/source-kinds';
import type { ImportOutcome, ImportSettings, Reading } from '$api/import-shapes';
import { database } from './connection';
import { define, type Row } from './define';
import { defineHarvests } from './harvest-models';
import { defineShortlists } from './shortlist-models';
import { defineWatches } from './watch-models';

export interface BriefRow extends Row<BriefRow> {
  id: string;
  personaId: string;
  name: string;
  archivedAt: CreationOptional<Date | null>;
  /** Belongs to the demo, which can be reset. */
  demo: CreationOptional<boolean>;
  revision: CreationOptional<number>;
  createdAt: CreationOptional<Date>;
  updatedAt: CreationOptional<Date>;
}
export type DocumentKind = 'persona' | 'wording' | 'draft' | 'known' | 'contacted' | 'choice';
export interface DocumentRow extends Row<DocumentRow> {
  briefId: string;
  kind: DocumentKind;
  body: unknown;
  revision: CreationOptional<number>;
  updatedAt: CreationOptional<Date>;
}
export interface VersionRow extends Row<VersionRow> {
  id: string;
  briefId: string;
  number: number;
  text: string;
  name: CreationOptional<string>;
  note: CreationOptional<string>;
  /** The version it was made from. */
  parent: number | null;
  /** The named word sets that its text uses, as they were when it was kept. */
  sets: VersionSet[];
  createdAt: CreationOptional<Date>;
}
export type VersionSet = Pick<NamedSet, 'name' | 'wordings'>;
export interface WordSetRow extends Row<WordSetRow> {
  name: string;
  kind: NamedSet['kind'];
  wordings: string[];
  note: string;
  revision: CreationOptional<number>;
  createdAt: CreationOptional<Date>;
  updatedAt: CreationOptional<Date>;
}
export interface HouseWordingRow extends Row<HouseWordingRow> {
  title: string;
  wording: string;
  taken: boolean;
}
export interface HouseListRow extends Row<HouseListRow> {
  name: HouseListName;
  body: unknown;
  revision: CreationOptional<number>;
}
export type HouseListName = 'regions' | 'consent' | 'lexicon';
export interface SourceRow extends Row<SourceRow> {
  id: string;
  kind: SourceKind;
  name: string;
  sheet: Sheet;
  people: number | null;
  /** Goes up when other people take their place. */
  peopleRevision: CreationOptional<number>;
  /** The day at which the world of a stand-in is. */
  worldDay: CreationOptional<number>;
  /** Which faults a stand-in has; null for those it has when nobody has switched any. */
  faults: CreationOptional<Faults | null>;
  /** Where among the sources it stands; null for one that nobody has put anywhere, which come last. */
  position: CreationOptional<number | null>;
  /** Not offered to any brief any more. */
  hidden: CreationOptional<boolean>;
  revision: CreationOptional<number>;
  createdAt: CreationOptional<Date>;
}
/** How a connected service is reached. */
export interface ConnectionRow extends Row<ConnectionRow> {
  sourceId: string;
  address: string;
  /** Encrypted with the key of the installation; null where it needs none. */
  sealedKey: string | null;
  checkedAt: CreationOptional<Date>;
}
export interface SourcePersonRow extends Row<SourcePersonRow> {
  sourceId: string;
  ordinal: number;
  person: Person;
}
export interface ImportRow extends Row<ImportRow> {
  id: string;
  fileName: string;
  bytes: number;
  reading: Reading;
  state: 'ready' | 'waiting' | 'running' | 'done' | 'refused' | 'stopped';
  /** What it is to be imported as; null until it is started. */
  settings: CreationOptional<ImportSettings | null>;
  /** Somebody wants it stopped. */
  stop: CreationOptional<boolean>;
  outcome: CreationOptional<ImportOutcome | null>;
  sourceId: CreationOptional<string | null>;
  /** The server that works on it, and until when it has said so. */
  server: CreationOptional<string | null>;
  leasedUntil: CreationOptional<Date | null>;
  createdAt: CreationOptional<Date>;
}
export interface TrialRow extends Row<TrialRow> {
  id: string;
  versionId: string;
  sourceId: string;
  seed: string;
  rendering: Rendering;
  answers: Outcome['answers'];
  filtered: number;
  /** Seen people who were contacted already, and so left out. */
  contacted: CreationOptional<number>;
  state: CreationOptional<TrialState>;
  sampleSize: CreationOptional<number>;
  /** Ids of all people found, in the order shown. */
  found: CreationOptional<string[]>;
  /** Ids of those among them who are possible and not certain. */
  open: CreationOptional<string[]>;
  /** The page that each of `found` stood on, as a number that tells searches apart too; null where Eave read the pages. */
  foundOn: CreationOptional<number[] | null>;
  /** People found who look like one found before under another id. */
  duplicates: CreationOptional<number>;
  /** How often people were erased from it. */
  erased: CreationOptional<number>;
  requests: CreationOptional<number>;
  /** What a connected service says that it cost; null where it says nothing. */
  spent: CreationOptional<number | null>;
  events: CreationOptional<TrialEvent[]>;
  /** Why it failed, in a sentence. */
  problem: CreationOptional<string>;
  createdAt: CreationOptional<Date>;
}
/** What somebody saw of one search at a place run by hand: a count, rows, or both. */
export interface HandEntryRow extends Row<HandEntryRow> {
  id: string;
  versionId: string;
  sourceId: string;
  search: number;
  seenAt: CreationOptional<Date>;
  /** The count as it was typed, and as it was understood. */
  said: CreationOptional<string>;
  count: CreationOptional<HandCount | null>;
  /** The page of the result, from 1; null where nobody said. */
  page: CreationOptional<number | null>;
  rows: CreationOptional<HandRow[]>;
  takenBack: CreationOptional<boolean>;
  revision: CreationOptional<number>;
  /** The slice of a harvest that was run; null where it was the whole search. */
  sliceId: CreationOptional<string | null>;
  createdAt: CreationOptional<Date>;
}
export interface HandCount {
  said: number;
  interval: { low: number; high: number };
  open: boolean;
}
/** One row of a page: who it is, what it says, and the fields that are in doubt. */
export type HandRow = PageRow & { id: string };
export type TrialState = 'waiting' | 'running' | 'done' | 'stopped' | 'failed';
/** Something that went wrong on the way and what was done about it. */
export interface TrialEvent {
  at: string;
  search: number;
  page: number;
  what: string;
}
export interface TrialPageRow extends Row<TrialPageRow> {
  trialId: string;
  search: number;
  page: number;
  said: number;
  last: boolean;
  people: Person[];
  /** What a connected service gave to be handed back with the next page. */
  cursor: CreationOptional<string | null>;
  /** Number of people, counted by the database. */
  readonly rows: CreationOptional<number>;
}
export interface TrialPersonRow extends Row<TrialPersonRow> {
  trialId: string;
  rank: number;
  personId: string;
  person: Person;
}
export interface VerdictRow extends Row<VerdictRow> {
  personaId: string;
  sourceId: string;
  personId: string;
  verdict: Verdict;
  reason: string;
  /** A rule's verdict is always overruled by a person's. */
  by: CreationOptional<'person' | 'rule'>;
  revision: CreationOptional<number>;
  updatedAt: CreationOptional<Date>;
}

/** What a named judge said, apart from the verdicts that the brief goes by. */
export interface JudgementRow extends Row<JudgementRow> {
  personaId: string;
  sourceId: string;
  personId: string;
  /** Empty for what the first judge said of one a second saw otherwise, before the two settled it. */
  judge: string;
  verdict: Verdict;
  reason: string;
  revision: CreationOptional<number>;
  updatedAt: CreationOptional<Date>;
}
export interface NoteRow extends Row<NoteRow> {
  personaId: string;
  sourceId: string;
  personId: string;
  text: string;
  revision: CreationOptional<number>;
}
/** What someone said of two records: one person, or not. */
export interface SamePersonRow extends Row<SamePersonRow> {
  firstSource: string;
  firstPerson: string;
  secondSource: string;
  secondPerson: string;
  same: boolean;
  updatedAt: CreationOptional<Date>;
}

const { UUID, TEXT, INTEGER, BIGINT, JSONB, DATE } = DataTypes;
const id = { type: UUID, primaryKey: true };
const key = (type: typeof UUID | typeof TEXT | typeof INTEGER) => ({ type, primaryKey: true });

function defineAll() {
  return {
    ...defineHarvests(),
    ...defineShortlists(),
    ...defineWatches(),
    Brief: define<BriefRow>(
      'Brief',
      'briefs',
      {
        id,
        personaId: UUID,
        name: TEXT,
        archivedAt: DATE,
        demo: { type: DataTypes.BOOLEAN, defaultValue: false },
        revision: { type: INTEGER, defaultValue: 1 }
      },
      'both'
    ),
    Document: define<DocumentRow>(
      'Document',
      'documents',
      { briefId: key(UUID), kind: key(TEXT), body: JSONB, revision: { type: INTEGER, defaultValue: 1 } },
      'both'
    ),
    Version: define<VersionRow>(
      'Version',
      'versions',
      { id, briefId: UUID, number: INTEGER, text: TEXT, name: TEXT, note: TEXT, parent: INTEGER, sets: JSONB },
      'created'
    ),
    WordSet: define<WordSetRow>(
      'WordSet',
      'word_sets',
      { name: key(TEXT), kind: TEXT, wordings: JSONB, note: TEXT, revision: { type: INTEGER, defaultValue: 1 } },
      'both'
    ),
    HouseWording: define<HouseWordingRow>(
      'HouseWording',
      'house_wordings',
      { title: key(TEXT), wording: key(TEXT), taken: DataTypes.BOOLEAN },
      'both'
    ),
    HouseList: define<HouseListRow>(
      'HouseList',
      'house_lists',
      { name: key(TEXT), body: JSONB, revision: { type: INTEGER, defaultValue: 1 } },
      'both'
    ),
    Source: define<SourceRow>(
      'Source',
      'sources',
      {
        id: key(TEXT),
        kind: TEXT,
        name: TEXT,
        sheet: JSONB,
        people: INTEGER,
        peopleRevision: { type: INTEGER, defaultValue: 0 },
        worldDay: { type: INTEGER, defaultValue: 0 },
        faults: JSONB,
        position: INTEGER,
        hidden: { type: DataTypes.BOOLEAN, defaultValue: false },
        revision: { type: INTEGER, defaultValue: 1 }
      },
      'created'
    ),
    Connection: define<ConnectionRow>(
      'Connection',
      'connections',
      { sourceId: key(TEXT), address: TEXT, sealedKey: TEXT, checkedAt: DATE },
      'none'
    ),
    SourcePerson: define<SourcePersonRow>(
      'SourcePerson',
      'source_people',
      { sourceId: key(TEXT), ordinal: key(INTEGER), person: JSONB },
      'none'
    ),
    Import: define<ImportRow>(
      'Import',
      'imports',
      {
        id,
        fileName: TEXT,
        bytes: BIGINT,
        reading: JSONB,
        state: TEXT,
        settings: JSONB,
        stop: { type: DataTypes.BOOLEAN, defaultValue: false },
        outcome: JSONB,
        sourceId: TEXT,
        server: TEXT,
        leasedUntil: DATE
      },
      'both'
    ),
    Trial: define<TrialRow>(
      'Trial',
      'trials',
      {
        id,
        versionId: UUID,
        sourceId: TEXT,
        seed: TEXT,
        rendering: JSONB,
        answers: JSONB,
        filtered: INTEGER,
        contacted: { type: INTEGER, defaultValue: 0 },
        state: { type: TEXT, defaultValue: 'done' },
        erased: { type: INTEGER, defaultValue: 0 },
        sampleSize: { type: INTEGER, defaultValue: 40 },
        found: { type: JSONB, defaultValue: [] },
        open: { type: JSONB, defaultValue: [] },
        foundOn: JSONB,
        duplicates: { type: INTEGER, defaultValue: 0 },
        requests: { type: INTEGER, defaultValue: 0 },
        spent: DataTypes.DOUBLE,
        events: { type: JSONB, defaultValue: [] },
        problem: { type: TEXT, defaultValue: '' }
      },
      'created'
    ),
    HandEntry: define<HandEntryRow>(
      'HandEntry',
      'hand_entries',
      {
        id,
        versionId: UUID,
        sourceId: TEXT,
        search: INTEGER,
        seenAt: DATE,
        said: { type: TEXT, defaultValue: '' },
        count: JSONB,
        page: INTEGER,
        rows: { type: JSONB, defaultValue: [] },
        takenBack: { type: DataTypes.BOOLEAN, defaultValue: false },
        revision: { type: INTEGER, defaultValue: 1 },
        sliceId: UUID
      },
      'created'
    ),
    TrialPage: define<TrialPageRow>(
      'TrialPage',
      'trial_pages',
      {
        trialId: key(UUID),
        search: key(INTEGER),
        page: key(INTEGER),
        said: INTEGER,
        last: DataTypes.BOOLEAN,
        people: JSONB,
        cursor: TEXT,
        rows: INTEGER
      },
      'none'
    ),
    TrialPerson: define<TrialPersonRow>(
      'TrialPerson',
      'trial_people',
      { trialId: key(UUID), rank: key(INTEGER), personId: TEXT, person: JSONB },
      'none'
    ),
    Verdict: define<VerdictRow>(
      'Verdict',
      'verdicts',
      {
        personaId: key(UUID),
        sourceId: key(TEXT),
        personId: key(TEXT),
        verdict: TEXT,
        reason: TEXT,
        by: { type: TEXT, defaultValue: 'person' },
        revision: { type: INTEGER, defaultValue: 1 }
      },
      'both'
    ),
    Judgement: define<JudgementRow>(
      'Judgement',
      'judgements',
      {
        personaId: key(UUID),
        sourceId: key(TEXT),
        personId: key(TEXT),
        judge: key(TEXT),
        verdict: TEXT,
        reason: { type: TEXT, defaultValue: '' },
        revision: { type: INTEGER, defaultValue: 1 }
      },
      'both'
    ),
    Note: define<NoteRow>(
      'Note',
      'notes',
      {
        personaId: key(UUID),
        sourceId: key(TEXT),
        personId: key(TEXT),
        text: TEXT,
        revision: { type: INTEGER, defaultValue: 1 }
      },
      'both'
    ),
    SamePerson: define<SamePersonRow>(
      'SamePerson',
      'same_person',
      {
        firstSource: key(TEXT),
        firstPerson: key(TEXT),
        secondSource: key(TEXT),
        secondPerson: key(TEXT),
        same: DataTypes.BOOLEAN
      },
      'both'
    )
  };
}

const defined = new WeakMap<Sequelize, ReturnType<typeof defineAll>>();

/** The tables as Sequelize models, of the connection pool that is open. */
export function models(): ReturnType<typeof defineAll> {
  const all = defined.get(database()) ?? defineAll();
  defined.set(database(), all);
  return all;
}
