import * as z from 'zod';

export const name = z.string().trim().min(1).max(200);
export const short = z.string().max(500);
const lines = z.array(z.string().max(200)).max(5000);

const ownColumn = z.object({
  name,
  type: z.enum(['text', 'number', 'date', 'choice', 'yes/no']),
  choices: z.array(z.string().trim().min(1).max(100)).max(100).default([])
});
export type OwnColumn = z.output<typeof ownColumn>;
const tag = z.object({
  name: z.string().trim().min(1).max(60),
  colour: z.enum(['red', 'green', 'blue', 'purple', 'teal', 'gray'])
});
export type TagOfList = z.output<typeof tag>;
/** Chosen columns, sorting, grouping and filter, as the address of the page has them */
const view = z.object({ name, query: z.string().max(2000) });
export type SavedView = z.output<typeof view>;

/** What a list is called, and has beside its people. */
export const settings = z.object({
  name,
  /** What the people are kept for */
  purpose: z.string().trim().max(500),
  columns: z.array(ownColumn).max(50),
  views: z.array(view).max(50),
  tags: z.array(tag).max(100),
  firms: z.object({ customers: lines, competitors: lines, own: lines }),
  /** Leave out people in countries that ask prior consent */
  consent: z.boolean(),
  /** Exported people count as contacted */
  takenCounts: z.boolean()
});
