import { briefs } from './briefs';
import { comparing } from './comparing';
import { exchange } from './exchange';
import { harvests } from './harvests';
import { imports } from './imports';
import { library } from './library';
import { persona } from './persona';
import { running } from './running';
import { shortlists } from './shortlists';
import { objections } from './objections';
import { shortlistExports } from './exports';
import { sources } from './sources';
import { strings } from './strings';
import { trials } from './trials';
import { byHand } from './by-hand';
import { verdicts } from './verdicts';
import { watches } from './watches';
import { wording } from './wording';
import type { AnyOperation } from './operation';
import type { OperationName } from './paths';
import type * as z from 'zod';

/** Every operation of the API, by name: one file a resource. The OpenAPI document is made from this. */
export const contract = {
  ...briefs,
  ...persona,
  ...wording,
  ...strings,
  ...trials,
  ...byHand,
  ...verdicts,
  ...comparing,
  ...harvests,
  ...shortlists,
  ...shortlistExports,
  ...objections,
  ...watches,
  ...sources,
  ...imports,
  ...library,
  ...exchange,
  ...running
} satisfies Record<OperationName, AnyOperation>;

export type Contract = typeof contract;
type Answers = { [K in keyof Contract]: z.output<Contract[K]['response']> };
type Bodies = { [K in keyof Contract]: z.input<Contract[K]['body']> };
/** What an operation answers. */
export type Answer<K extends keyof Contract> = Answers[K];
/** What an operation is sent. */
export type Body<K extends keyof Contract> = Bodies[K];
export type { BehindKind } from './behind-kinds';
export type { AnyOperation, Operation } from './operation';
