import { QueryTypes, type Transaction } from 'sequelize';
import type { FieldChoice, JoinedField } from '$core/shortlist';
import { database } from '$server/platform/database/connection';
import type { ShortlistRow } from '$server/platform/database/shortlist-models';
import { refuse } from '$server/platform/refusals';
import { findBrief } from '$server/features/briefs/briefs';
import { findShortlist } from './find-shortlist';
import { rewrite } from './keep-people';
import type { Written } from './kept-row';
import { everybody, judgedTable, keptConditions, type KeptFilter } from './list-kept';
import { wholeRows } from './whole-rows';
import { computeLeftOut } from './compute-left-out';
import { lockList, maxRowsAtOnce, remember } from './steps';

export interface Change {
  addTags?: string[] | undefined;
  removeTags?: string[] | undefined;
  priority?: number | null | undefined;
  nextStep?: string | undefined;
  nextOn?: string | null | undefined;
  note?: string | undefined;
  own?: Record<string, string | number | boolean | null> | undefined;
  leaveOut?: string | null | undefined;
  drop?: true | undefined;
  choice?: Partial<Record<JoinedField, FieldChoice | null | undefined>> | undefined;
  written?: Partial<Record<keyof Written, string | null | undefined>> | undefined;
}
/** What stood there when somebody began to change it. */
export type Seen = Partial<Pick<Required<Change>, 'nextStep' | 'nextOn' | 'note' | 'own'>>;
type Which = { numbers: number[] } | { filter: KeptFilter };

async function numbersOf(list: ShortlistRow, which: Which, transaction: Transaction): Promise<number[]> {
  const { personaId } = await findBrief(list.briefId);
  const { where, bind } = keptConditions('numbers' in which ? { numbers: which.numbers } : which.filter);
  const rows = await database().query<{ number: number }>(`WITH ${judgedTable} SELECT p.number ${everybody}${where}`, {
    bind: { list: list.id, personaId, ...bind },
    type: QueryTypes.SELECT,
    transaction
  });
  return rows.map(({ number }) => number);
}

/**
 * Changes many people of a list at once, as one step that can be undone. Says how many there were. Of a single person it is
 * refused where something else stands by now than what was seen (`was`).
 */
export async function changeKept(briefId: string, id: string, which: Which, change: Change, was: Seen = {}) {
  const list = await findShortlist(briefId, id);
  checkOwn(list, change.own ?? {});
  await computeLeftOut(list);
  return database().transaction(async (transaction) => {
    await lockList(id, transaction);
    const numbers = await numbersOf(list, which, transaction);
    if (!numbers.length) return { people: 0 };
    if (numbers.length === 1) await checkUnchanged(id, numbers[0]!, change, was, transaction);
    const many = `${numbers.length.toLocaleString('en')} ${numbers.length === 1 ? 'person' : 'people'}`;
    if (change.drop) {
      await remember(id, `${many} taken off`, { numbers }, transaction);
      await database().query(
        'DELETE FROM shortlist_people WHERE shortlist_id = $id AND number = ANY ($numbers::int[])',
        {
          bind: { id, numbers },
          transaction
        }
      );
    } else if (change.choice || change.written) await changeJoined(id, numbers, change, many, transaction);
    else await changeLight(id, numbers, change, many, transaction);
    return { people: numbers.length };
  });
}

/** Refuses a change to a cell that somebody else changed meanwhile; the refusal has both texts, so that neither is lost. */
async function checkUnchanged(id: string, number: number, change: Change, was: Seen, transaction: Transaction) {
  const [now] = await database().query<Required<Seen>>(
    `SELECT next_step AS "nextStep", next_on::text AS "nextOn", note, own FROM shortlist_people WHERE shortlist_id = $id AND number = $number`,
    { bind: { id, number }, type: QueryTypes.SELECT, transaction }
  );
  if (!now) return;
  const check = (what: string, seen: unknown, stands: unknown, typed: unknown) => {
    if (seen === undefined || typed === undefined || (seen ?? '') === (stands ?? '') || typed === stands) return;
    const words = (value: unknown) =>
      value === null || value === '' || value === undefined ? 'nothing' : `“${String(value as string)}”`;
    throw refuse('cell-changed-elsewhere', what, words(stands), words(typed));
  };
  check('The next step', was.nextStep, now.nextStep, change.nextStep);
  check('The day of the next step', was.nextOn, now.nextOn, change.nextOn);
  check('The note', was.note, now.note, change.note);
  for (const [name, seen] of Object.entries(was.own ?? {}))
    check(name, seen, now.own[name] ?? null, change.own?.[name]);
}

/** Own columns are filled as they are typed. */
function checkOwn(list: ShortlistRow, own: Record<string, unknown>): void {
  for (const [name, value] of Object.entries(own)) {
    const column = list.columns.find((one) => one.name === name);
    if (!column) throw refuse('no-such-own-column', name.slice(0, 60));
    if (value === null || value === '') continue;
    const fits = {
      text: typeof value === 'string',
      number: typeof value === 'number' && Number.isFinite(value),
      date: typeof value === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(value),
      choice: typeof value === 'string' && column.choices.includes(value),
      'yes/no': typeof value === 'boolean'
    }[column.type];
    if (fits) continue;
    const given = String(value).slice(0, 60);
    throw column.type === 'choice'
      ? refuse('own-value-not-a-choice', given, name, column.choices)
      : refuse('own-value-misfit', given, column.type, name);
  }
}

async function changeLight(
  id: string,
  numbers: number[],
  change: Change,
  many: string,
  transaction: Transaction
): Promise<void> {
  const set: string[] = [];
  const bind: Record<string, unknown> = {};
  const put = (column: string, expression: string, name: string, value: unknown) => {
    set.push(`${column} = ${expression}`);
    bind[name] = value;
  };
  const { addTags, removeTags, priority, nextStep, nextOn, note, own, leaveOut } = change;
  if (addTags || removeTags)
    set.push(
      `tags = ARRAY(SELECT DISTINCT t FROM unnest(tags || $addTags::text[]) t WHERE t <> ALL ($removeTags::text[]) ORDER BY t)`
    );
  if (addTags || removeTags) Object.assign(bind, { addTags: addTags ?? [], removeTags: removeTags ?? [] });
  if (priority !== undefined) put('priority', '$priority', 'priority', priority);
  if (nextStep !== undefined) put('next_step', '$nextStep', 'nextStep', nextStep);
  if (nextOn !== undefined) put('next_on', '$nextOn::date', 'nextOn', nextOn);
  if (note !== undefined) put('note', '$note', 'note', note);
  if (own) put('own', 'jsonb_strip_nulls(own || $own::jsonb)', 'own', JSON.stringify(own));
  if (leaveOut !== undefined) {
    put('held_why', '$heldWhy', 'heldWhy', leaveOut ?? '');
    set.push(`held_out = ${leaveOut === null ? 'false' : 'true'}`);
  }
  if (!set.length) return;
  const what =
    leaveOut !== undefined
      ? leaveOut === null
        ? 'included again'
        : 'excluded by hand'
      : addTags || removeTags
        ? 'tagged'
        : 'changed';
  await remember(id, `${many} ${what}`, { numbers, light: true }, transaction);
  await database().query(
    `UPDATE shortlist_people SET ${set.join(', ')} WHERE shortlist_id = $id AND number = ANY ($numbers::int[])`,
    { bind: { id, numbers, ...bind }, transaction }
  );
}

/** Earlier values with the new ones merged in; null removes a value. */
function changed<T extends object>(before: T, now: object | undefined): T {
  return Object.fromEntries(
    Object.entries({ ...before, ...now }).filter(([, value]) => value !== null && value !== undefined)
  ) as T;
}

async function changeJoined(
  id: string,
  numbers: number[],
  change: Change,
  many: string,
  transaction: Transaction
): Promise<void> {
  if (numbers.length > maxRowsAtOnce) throw refuse('too-many-rows', maxRowsAtOnce);
  const rows = await wholeRows(id, numbers, transaction);
  for (const { records } of rows)
    for (const chosen of Object.values(change.choice ?? {}))
      if (chosen && 'record' in chosen && !records[chosen.record]) throw refuse('record-gone');
  await remember(id, `${many} corrected`, { numbers }, transaction);
  await rewrite(
    id,
    rows.map(({ number, records, own, ...row }) => ({
      number,
      records,
      there: { own, choice: changed(row.choice, change.choice), written: changed(row.written, change.written) }
    })),
    transaction
  );
}
