import { DataTypes, type CreationOptional } from 'sequelize';
import { usualThresholds, type Thresholds } from '$core/changes';
import type { HarvestBudget } from './harvest-models';
import { define, type Row } from './define';

export interface WatchRow extends Row<WatchRow> {
  id: string;
  briefId: string;
  name: string;
  /** A rule of RFC 5545. */
  rule: string;
  firstDay: string;
  hour: number;
  zone: string;
  budget: HarvestBudget;
  active: CreationOptional<boolean>;
  nextAt: CreationOptional<Date | null>;
  /** The secret part of the address of its feed. */
  feed: string;
  /** The people who are watched, where it is they and not a search. */
  shortlistId: CreationOptional<string | null>;
  /** When one of them is news. */
  rules: CreationOptional<{ name: string; rule: string }[]>;
  /** What counts as a change, by field. */
  thresholds: CreationOptional<Thresholds>;
  createdAt: CreationOptional<Date>;
}
export interface WatchRunRow extends Row<WatchRunRow> {
  id: string;
  watchId: string;
  harvestId: string | null;
  /** `due`: somebody is to look at a place run by hand. */
  state: 'due' | 'running' | 'done' | 'failed';
  problem: CreationOptional<string>;
  dueAt: Date;
  endedAt: CreationOptional<Date | null>;
  people: CreationOptional<number>;
  counts: CreationOptional<Partial<Record<'new' | 'back' | 'changed' | 'left', number>>>;
  breaks: CreationOptional<string[]>;
  /** What each source and version was like, by source. */
  marks: CreationOptional<Record<string, { name: string; sheet: string; version: number }>>;
  createdAt: CreationOptional<Date>;
}

const { UUID, TEXT, INTEGER, JSONB, DATE, DATEONLY, BOOLEAN } = DataTypes;
const id = { type: UUID, primaryKey: true };

export const defineWatches = () => ({
  Watch: define<WatchRow>(
    'Watch',
    'watches',
    {
      id,
      briefId: UUID,
      name: TEXT,
      rule: TEXT,
      firstDay: DATEONLY,
      hour: INTEGER,
      zone: TEXT,
      budget: JSONB,
      active: { type: BOOLEAN, defaultValue: true },
      nextAt: DATE,
      feed: TEXT,
      shortlistId: UUID,
      rules: { type: JSONB, defaultValue: [] },
      thresholds: { type: JSONB, defaultValue: usualThresholds }
    },
    'both'
  ),
  WatchRun: define<WatchRunRow>(
    'WatchRun',
    'watch_runs',
    {
      id,
      watchId: UUID,
      harvestId: UUID,
      state: TEXT,
      problem: { type: TEXT, defaultValue: '' },
      dueAt: DATE,
      endedAt: DATE,
      people: { type: INTEGER, defaultValue: 0 },
      counts: { type: JSONB, defaultValue: {} },
      breaks: { type: JSONB, defaultValue: [] },
      marks: { type: JSONB, defaultValue: {} }
    },
    'created'
  )
});
