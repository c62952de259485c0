import { DataTypes, type CreationOptional } from 'sequelize';
import type { OwnColumn, SavedView, TagOfList } from '$api/shortlist-settings';
import type { FirmLists } from '$core/shortlist';
import { define, type Row } from './define';

export interface ShortlistRow extends Row<ShortlistRow> {
  id: string;
  briefId: string;
  name: string;
  purpose: CreationOptional<string>;
  /** The list's own columns. */
  columns: CreationOptional<OwnColumn[]>;
  views: CreationOptional<SavedView[]>;
  tags: CreationOptional<TagOfList[]>;
  firms: CreationOptional<FirmLists>;
  /** Whether people in countries that ask prior consent are left out. */
  consent: CreationOptional<boolean>;
  /** Whether anybody who was exported counts as contacted. */
  takenCounts: CreationOptional<boolean>;
  exclusionsMark: CreationOptional<string>;
  nextNumber: CreationOptional<number>;
  revision: CreationOptional<number>;
  createdAt: CreationOptional<Date>;
  updatedAt: CreationOptional<Date>;
}
export interface MailRunRow extends Row<MailRunRow> {
  id: string;
  shortlistId: string;
  state: 'waiting' | 'running' | 'paused' | 'done' | 'failed';
  problem: CreationOptional<string>;
  addresses: number;
  checked: CreationOptional<number>;
  good: CreationOptional<number>;
  spent: CreationOptional<number>;
  goesOnAt: CreationOptional<Date | null>;
  createdAt: CreationOptional<Date>;
}
export interface ShortlistExportRow extends Row<ShortlistExportRow> {
  id: string;
  shortlistId: string;
  at: CreationOptional<Date>;
  form: string;
  people: number;
  what: CreationOptional<string>;
}
export interface ColumnProfileRow extends Row<ColumnProfileRow> {
  name: string;
  body: unknown;
  revision: CreationOptional<number>;
}

const { UUID, TEXT, INTEGER, JSONB, DATE, DOUBLE, BOOLEAN } = DataTypes;
const id = { type: UUID, primaryKey: true };

export const defineShortlists = () => ({
  Shortlist: define<ShortlistRow>(
    'Shortlist',
    'shortlists',
    {
      id,
      briefId: UUID,
      name: TEXT,
      purpose: { type: TEXT, defaultValue: '' },
      columns: { type: JSONB, defaultValue: [] },
      views: { type: JSONB, defaultValue: [] },
      tags: { type: JSONB, defaultValue: [] },
      firms: { type: JSONB, defaultValue: { customers: [], competitors: [], own: [] } },
      consent: { type: BOOLEAN, defaultValue: true },
      takenCounts: { type: BOOLEAN, defaultValue: true },
      exclusionsMark: { type: TEXT, defaultValue: '' },
      nextNumber: { type: INTEGER, defaultValue: 0 },
      revision: { type: INTEGER, defaultValue: 1 }
    },
    'both'
  ),
  MailRun: define<MailRunRow>(
    'MailRun',
    'mail_runs',
    {
      id,
      shortlistId: UUID,
      state: TEXT,
      problem: { type: TEXT, defaultValue: '' },
      addresses: INTEGER,
      checked: { type: INTEGER, defaultValue: 0 },
      good: { type: INTEGER, defaultValue: 0 },
      spent: { type: DOUBLE, defaultValue: 0 },
      goesOnAt: DATE
    },
    'both'
  ),
  ShortlistExport: define<ShortlistExportRow>(
    'ShortlistExport',
    'exports',
    {
      id,
      shortlistId: UUID,
      at: { type: DATE, defaultValue: DataTypes.NOW },
      form: TEXT,
      people: INTEGER,
      what: { type: TEXT, defaultValue: '' }
    },
    'none'
  ),
  ColumnProfile: define<ColumnProfileRow>(
    'ColumnProfile',
    'column_profiles',
    { name: { type: TEXT, primaryKey: true }, body: JSONB, revision: { type: INTEGER, defaultValue: 1 } },
    'both'
  )
});
