import type { PeopleKind, PeopleWork } from '../people-messages';

/** How some kinds of question are answered. */
export type Answers<K extends PeopleKind> = {
  [Kind in K]: (ask: PeopleWork[Kind]['ask']) => PeopleWork[Kind]['answer'];
};
