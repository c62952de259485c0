import { DataTypes, type CreationOptional } from 'sequelize';
import type { Cut, CutBy, Learnt } from '$core/harvest';
import type { Rendering, Search } from '$core/dialect';
import type { Interval } from '$core/measure';
import { define, type Row } from './define';

/** What a harvest may take at most; null where it may take what it needs. */
export interface HarvestBudget {
  requestsPerDay: number | null;
  records: number | null;
  spend: number | null;
  /** Neutral words are asked until a smaller share of the next rows should be new; without it none are. */
  newShare?: number | null;
}
export interface HarvestRow extends Row<HarvestRow> {
  id: string;
  briefId: string;
  name: string;
  state: 'waiting' | 'running' | 'paused' | 'done' | 'failed';
  /** Why it stands still, in a sentence. */
  problem: CreationOptional<string>;
  budget: HarvestBudget;
  events: CreationOptional<{ at: string; source: string; what: string }[]>;
  /** When it goes on on its own. */
  goesOnAt: CreationOptional<Date | null>;
  /** How many people it has, each once; 0 before it was worked out who is who. */
  people: CreationOptional<number>;
  /** What was learnt from verdicts about who fits; null while there are too few. */
  learnt: CreationOptional<Omit<Learnt, 'likelihoodOf'> | null>;
  /** The watch that it is a run of; null for one that somebody started. */
  watchId: CreationOptional<string | null>;
  createdAt: CreationOptional<Date>;
  updatedAt: CreationOptional<Date>;
}
export interface HarvestSourceRow extends Row<HarvestSourceRow> {
  harvestId: string;
  sourceId: string;
  versionId: string;
  position: number;
  rendering: Rendering;
  state: CreationOptional<'waiting' | 'done' | 'failed'>;
  problem: CreationOptional<string>;
  requests: CreationOptional<number>;
  spent: CreationOptional<number>;
  day: CreationOptional<string>;
  dayRequests: CreationOptional<number>;
}
export interface HarvestSliceRow extends Row<HarvestSliceRow> {
  id: string;
  harvestId: string;
  sourceId: string;
  parent: string | null;
  /** Where it stands among the slices: `0000.0001` is the second part of the first search. */
  place: string;
  search: Search;
  what: string;
  rest: CreationOptional<boolean>;
  expected: CreationOptional<number | null>;
  state: CreationOptional<'waiting' | 'read' | 'cut' | 'stuck' | 'left out'>;
  cutBy: CreationOptional<CutBy | null>;
  lost: CreationOptional<Cut['lost']>;
  said: CreationOptional<number | null>;
  /** The count as it was read at a place run by hand; elsewhere it follows from `said` by the source's way of counting. */
  count: CreationOptional<Interval | null>;
  pages: CreationOptional<number>;
  cursor: CreationOptional<string | null>;
  /** All that the source shows of it was read. */
  ended: CreationOptional<boolean>;
  rows: CreationOptional<number>;
  /** Rows of people no slice before had brought. */
  fresh: CreationOptional<number>;
}

const { UUID, TEXT, INTEGER, JSONB, DATE, DOUBLE, BOOLEAN } = DataTypes;
const key = (type: typeof UUID | typeof TEXT) => ({ type, primaryKey: true });

export const defineHarvests = () => ({
  Harvest: define<HarvestRow>(
    'Harvest',
    'harvests',
    {
      id: key(UUID),
      briefId: UUID,
      name: TEXT,
      state: TEXT,
      problem: { type: TEXT, defaultValue: '' },
      budget: JSONB,
      events: { type: JSONB, defaultValue: [] },
      goesOnAt: DATE,
      people: { type: INTEGER, defaultValue: 0 },
      learnt: JSONB,
      watchId: UUID
    },
    'both'
  ),
  HarvestSource: define<HarvestSourceRow>(
    'HarvestSource',
    'harvest_sources',
    {
      harvestId: key(UUID),
      sourceId: key(TEXT),
      versionId: UUID,
      position: INTEGER,
      rendering: JSONB,
      state: { type: TEXT, defaultValue: 'waiting' },
      problem: { type: TEXT, defaultValue: '' },
      requests: { type: INTEGER, defaultValue: 0 },
      spent: { type: DOUBLE, defaultValue: 0 },
      day: { type: DataTypes.DATEONLY, defaultValue: DataTypes.NOW },
      dayRequests: { type: INTEGER, defaultValue: 0 }
    },
    'none'
  ),
  HarvestSlice: define<HarvestSliceRow>(
    'HarvestSlice',
    'harvest_slices',
    {
      id: key(UUID),
      harvestId: UUID,
      sourceId: TEXT,
      parent: UUID,
      place: TEXT,
      search: JSONB,
      what: TEXT,
      rest: { type: BOOLEAN, defaultValue: false },
      expected: DOUBLE,
      state: { type: TEXT, defaultValue: 'waiting' },
      cutBy: JSONB,
      lost: JSONB,
      said: INTEGER,
      count: JSONB,
      pages: { type: INTEGER, defaultValue: 0 },
      cursor: TEXT,
      ended: { type: BOOLEAN, defaultValue: false },
      rows: { type: INTEGER, defaultValue: 0 },
      fresh: { type: INTEGER, defaultValue: 0 }
    },
    'none'
  )
});
