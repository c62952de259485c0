import { firstDayOf, monthOf } from './calendar';
import { chance } from './chance';

/** What may happen to a person in a month: to another firm, up in the same, another wording of the title, another town, or out of sight. */
export type LifeChange = 'moves' | 'promoted' | 'retitled' | 'town' | 'leaves';
export interface LifeEvent {
  kind: LifeChange;
  month: number;
  day: number;
}

/** Shares a month. About 15 in 100 change firms in a year: common practice, no published source. */
const shares: readonly (readonly [LifeChange, number])[] = [
  ['moves', 0.013],
  ['promoted', 0.004],
  ['retitled', 0.005],
  ['town', 0.003],
  ['leaves', 0.003]
];
const anyShare = shares.reduce((sum, [, share]) => sum + share, 0);

const dayIn = (number: number, what: string, month: number): number =>
  firstDayOf(month) + 1 + Math.floor(chance(number, what, month) * (firstDayOf(month + 1) - firstDayOf(month) - 1));

/** What happens to a person after one day and until another, in order. Nothing happens before the world's start. */
export function lifeBetween(number: number, from: number, to: number): LifeEvent[] {
  const events: LifeEvent[] = [];
  if (to <= 0) return events;
  for (let month = monthOf(from), last = monthOf(to); month <= last; month++) {
    let luck = chance(number, 'life', month);
    if (luck >= anyShare) continue;
    const day = dayIn(number, 'life day', month);
    if (day <= from || day > to) continue;
    const [kind] = shares.find(([, share]) => (luck -= share) < 0) ?? shares.at(-1)!;
    events.push({ kind, month, day });
  }
  return events;
}

/** The day of a person's last post after one day and until another; null where there is none. About 2 in 100 post in a month: common practice, no published source. */
export function lastPost(number: number, from: number, to: number): number | null {
  if (to <= 0) return null;
  for (let month = monthOf(to), first = monthOf(from); month >= first; month--) {
    if (chance(number, 'posts', month) >= 0.02) continue;
    const day = dayIn(number, 'post day', month);
    if (day > from && day <= to) return day;
  }
  return null;
}

/** How many join in a month, of those a world begins with. */
const joinShare = 0.004;

/** Those who join after the world's start, by their numbers. */
export class Joiners {
  private readonly each: number;
  constructor(private readonly size: number) {
    this.each = Math.max(1, Math.round(size * joinShare));
  }

  /** How many people there are, or have been, until a day. */
  until(day: number): number {
    return day > 0 ? this.size + this.each * (monthOf(day) + 1) : this.size;
  }

  /** The day on which a person joins; 0 for those there from the start. */
  day(number: number): number {
    return number < this.size ? 0 : dayIn(number, 'joins', Math.floor((number - this.size) / this.each));
  }
}
