import { firstDayOf, monthOf, worldStart } from './calendar';
import { chance, plainLetters, weighted } from './chance';
import { firmNames, trades, worldCountries, type Trade, type WorldCountry } from './world-data';

export interface Firm {
  number: number;
  name: string;
  domain: string;
  trade: Trade;
  country: WorldCountry;
  town: string;
  headcount: number;
  growth: number;
  founded: number;
  hiring: boolean;
  /** Whether somebody put money into it within the last year. */
  funded: boolean;
  /** What it works with. */
  tech: readonly string[];
  /** Towns in which it has opened another place, with the day. */
  opened: readonly { town: string; day: number }[];
}

/** The firms of a world as they are at its start. */
export function makeFirms(count: number, random: () => number): Firm[] {
  const pick = <T>(items: readonly T[]): T => items[Math.floor(random() * items.length)]!;
  const pickCountry = weighted(worldCountries, (country) => country.share, random);
  const pickTrade = weighted(trades, (trade) => trade.share, random);
  const taken = new Map<string, number>();
  return Array.from({ length: count }, (_, number) => {
    const country = pickCountry();
    const trade = pickTrade();
    const town = pick(country.towns);
    let base = `${pick(firmNames)} ${pick(trade.names)}`;
    const times = (taken.get(base) ?? 0) + 1;
    taken.set(base, times);
    if (times > 1) base += ` ${town}`;
    return {
      number,
      name: `${base} ${pick(country.legal)}`,
      domain: `${plainLetters(base).replace(/[^a-z0-9]+/g, '-')}${times > 2 ? `-${times}` : ''}.example`,
      trade,
      country,
      town,
      // Sizes spread evenly over orders of magnitude, from a handful to some thousands.
      headcount: Math.round(3 * 10 ** (random() * 3.2)),
      growth: Math.round((random() + random() + random() - 1.35) * 40),
      founded: worldStart.year - Math.floor(2 + random() * random() * 110),
      hiring: random() < 0.3,
      funded: chance(number, 'funded') < 0.05,
      tech: technologies.filter((_, i) => chance(number, 'tech', i) < 0.12),
      opened: []
    };
  });
}

const technologies = [
  'temperature sensors',
  'warehouse software',
  'electronic batch records',
  'route planning',
  'audit software',
  'robot picking',
  'web shop',
  'cloud accounting'
];

/** People a firm had some months before the world's start, if it grew or shrank as it did in the year before, but for no more than three years; never nobody. */
export const headcountAt = ({ headcount, growth }: Firm, monthsAgo: number): number =>
  Math.max(1, Math.round(headcount / (1 + growth / 100) ** (Math.min(36, monthsAgo) / 12)));

/** How firms fare from the world's start on: each month some grow, shrink, hire, open places, take on technology or are funded. */
export class FirmHistory {
  private readonly past = new Map<number, { months: number; states: { day: number; firm: Firm }[] }>();

  constructor(private readonly firms: readonly Firm[]) {}

  /** A firm as it is on a day. */
  on(number: number, day: number): Firm {
    if (day <= 0) return this.firms[number]!;
    const states = this.statesUntil(number, monthOf(day));
    for (let i = states.length - 1; i >= 0; i--) if (states[i]!.day <= day) return states[i]!.firm;
    return this.firms[number]!;
  }

  /** Whether anything about it changed after one day and until another. */
  changed(number: number, from: number, to: number): boolean {
    if (to <= 0) return false;
    return this.statesUntil(number, monthOf(to)).some(({ day }) => day > from && day <= to);
  }

  private statesUntil(number: number, month: number) {
    let past = this.past.get(number);
    if (!past) this.past.set(number, (past = { months: 0, states: [] }));
    for (; past.months <= month; past.months++) {
      const day = firstDayOf(past.months) + 1 + Math.floor(chance(number, 'firm day', past.months) * 26);
      const now = this.next(number, past.months, day, past.states);
      if (now) past.states.push({ day, firm: now });
    }
    return past.states;
  }

  private next(number: number, month: number, day: number, states: readonly { firm: Firm }[]): Firm | null {
    const firm = states.at(-1)?.firm ?? this.firms[number]!;
    const luck = chance(number, 'firm', month);
    const change: Partial<Firm> = {};
    if (luck < 0.06) {
      const drift = Math.max(-0.06, Math.min(0.06, firm.growth / 400)) + (chance(number, 'growth', month) - 0.5) * 0.2;
      change.headcount = Math.max(1, Math.round(firm.headcount * (1 + drift)));
      // Growth is over one year: common practice, no published source.
      change.growth = Math.round((change.headcount / this.yearBefore(number, month, day) - 1) * 100);
    } else if (luck < 0.1) change.hiring = !firm.hiring;
    else if (luck < 0.105) change.funded = true;
    else if (luck < 0.115) {
      const more = technologies[Math.floor(chance(number, 'technology', month) * technologies.length)]!;
      if (!firm.tech.includes(more)) change.tech = [...firm.tech, more];
    } else if (luck < 0.12) {
      const { towns } = firm.country;
      const town = towns[Math.floor(chance(number, 'opens', month) * towns.length)]!;
      if (town !== firm.town) change.opened = [...firm.opened, { town, day }];
    }
    // Money that came a year ago, or before the start, is no news any more.
    const begin = month - 12;
    const funded = begin >= 0 ? chance(number, 'firm', begin) : 1;
    const ends = (funded >= 0.1 && funded < 0.105) || (month === 6 && this.firms[number]!.funded);
    if (ends && firm.funded && !change.funded) change.funded = false;
    return Object.keys(change).length ? { ...firm, ...change } : null;
  }

  /** Its people one year before a day of a month. */
  private yearBefore(number: number, month: number, day: number): number {
    if (month < 12) return headcountAt(this.firms[number]!, 12 - month);
    const states = this.past.get(number)!.states;
    const then = day - 365;
    let last = this.firms[number]!;
    for (const state of states) if (state.day <= then) last = state.firm;
    return last.headcount;
  }
}
