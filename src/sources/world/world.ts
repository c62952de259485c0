import { rewindableRandom } from '$core/measure';
import {
  firmNames,
  roles,
  trades,
  worldCountries,
  type Rank,
  type Role,
  type Trade,
  type WorldCountry
} from './world-data';

/** The day the demo world stands still at; months are counted back from it. */
export const worldMonth = { year: 2026, month: 11 };

export interface Firm {
  name: string;
  domain: string;
  trade: Trade;
  country: WorldCountry;
  town: string;
  headcount: number;
  growth: number;
  founded: number;
  hiring: boolean;
}

export interface WorldJob {
  role: Role;
  title: string;
  firm: Firm;
  /** Months before the world's month that the job began and ended; the present one ends at 0. */
  began: number;
  ended: number;
}

/** A person as they truly are. Sources see parts of this, some of it late. */
export interface WorldPerson {
  number: number;
  name: string;
  /** Present job first. */
  career: WorldJob[];
  about: string;
  skills: string[];
  groups: string[];
  school: string;
  /** Days since the last post; null for the many who never post. */
  posted: number | null;
  mail: string;
}

export interface World {
  firms: readonly Firm[];
  /** By their numbers; an array is one. */
  people: { readonly length: number; at(number: number): WorldPerson | undefined };
}

/** A few bytes a person, out of which each can be made again alone. */
export interface KeptWorld {
  /** Where the world's luck stood before each person. */
  luck: Int32Array;
  /** How many of their name had been made at their firm, they among them. */
  namesakes: Uint16Array;
}

/**
 * Makes the demo world: invented people at invented firms in north-west Europe, some of whom answer for quality in
 * the cold chain and many of whom only use the same words. The same seed and size give the same world.
 */
export function makeWorld(size: number, seed = 'eave') {
  const { firms, luck, makePerson } = makeFirst(size, seed);
  const kept: KeptWorld = { luck: new Int32Array(size), namesakes: new Uint16Array(size) };
  const namesAt = new Map<Firm, string[]>();
  const people = Array.from({ length: size }, (_, number) => {
    kept.luck[number] = luck.state;
    return makePerson(number, (name, firm) => {
      let namesakes = 1;
      const taken = namesAt.get(firm);
      if (!taken) namesAt.set(firm, [name]);
      else {
        for (const other of taken) if (other === name) namesakes++;
        taken.push(name);
      }
      return (kept.namesakes[number] = namesakes);
    });
  });
  return { firms, people, kept };
}

/** The world of which a few bytes a person were kept: its people are made when they are asked for, and not held. */
export function recallWorld(kept: KeptWorld, seed = 'eave'): World {
  const size = kept.luck.length;
  const { firms, luck, makePerson } = makeFirst(size, seed);
  const at = (number: number) => {
    if (!(number >= 0 && number < size)) return undefined;
    luck.state = kept.luck[number]!;
    return makePerson(number, () => kept.namesakes[number]!);
  };
  return { firms, people: { length: size, at } };
}

/** What is made before any person: the firms, and how a person is made with the luck as it stands. */
function makeFirst(size: number, seed: string) {
  const luck = rewindableRandom(`${seed}/world`);
  const random = luck.next;
  const pick = <T>(items: readonly T[]): T => items[Math.floor(random() * items.length)]!;
  const firms = makeFirms(Math.max(60, Math.round(size / 9)), random);
  const pickFirm = weighted(firms, (firm) => Math.min(400, Math.sqrt(firm.headcount) * 6), random);
  const rolesByTrade = new Map(
    trades.map((trade) => [trade.id, weighted(roles, (role) => role.trades[trade.id] ?? role.trades['*'] ?? 0, random)])
  );
  const nearRoles = new Map<string, readonly Role[]>();
  const mailNames = new Map<string, string>();
  return { firms, luck, makePerson };

  function makePerson(number: number, namesakes: (name: string, firm: Firm) => number): WorldPerson {
    const firm = pickFirm();
    const name = `${pick(firm.country.given)} ${surname(firm.country)}`;
    const career = makeCareer(firm);
    const [now] = career as [WorldJob, ...WorldJob[]];
    const past = career[1];
    let about = pick(now.role.says);
    if (random() < 0.55) about += ` At ${firm.name} we do ${pick(firm.trade.does)}.`;
    if (past && random() < 0.35)
      about += ` Before that: ${past.title.toLowerCase()} at ${past.firm.name}, ${pick(past.firm.trade.does)}.`;
    if (random() < 0.3) about += ` ${pick(asides)}`;
    const skills: string[] = [];
    for (const skill of now.role.skills) if (random() < 0.6) skills.push(skill);
    const kept = past && pick(past.role.skills);
    if (kept && !skills.includes(kept)) skills.push(kept);
    return {
      number,
      name,
      career,
      about: random() < 0.85 ? about : '',
      skills,
      groups: random() < 0.25 ? [pick(groups)] : [],
      school: `${pick(firm.country.towns)} ${pick(schools)}`,
      posted: random() < 0.02 ? Math.floor(random() * 30) : random() < 0.1 ? 30 + Math.floor(random() * 700) : null,
      mail: mailOf(name, firm, namesakes)
    };
  }

  /** A second person of a name at a firm gets a number. Names come again and again: each is written for an address once. */
  function mailOf(name: string, firm: Firm, namesakes: (name: string, firm: Firm) => number): string {
    let written = mailNames.get(name);
    if (written === undefined) mailNames.set(name, (written = plainLetters(name).replace(/\s+/g, '.')));
    const times = namesakes(written, firm);
    return `${written}${times > 1 ? times : ''}@${firm.domain}`;
  }

  function surname(country: WorldCountry): string {
    const name = pick(country.surname[0]) + pick(country.surname[1]);
    return random() < 0.06 ? `${name}-${pick(country.surname[0])}${pick(country.surname[1])}` : name;
  }

  function makeCareer(present: Firm): WorldJob[] {
    const jobs: WorldJob[] = [];
    let ended = 0;
    let firm = present;
    let role = rolesByTrade.get(firm.trade.id)!();
    const count = 1 + Math.floor(random() * 4);
    for (let i = 0; i < count; i++) {
      const began = ended + 3 + Math.floor(random() * random() * 120);
      jobs.push({ role, title: writeTitle(role, firm, i === 0), firm, began, ended });
      ended = began + (random() < 0.15 ? Math.floor(random() * 6) : 0);
      if (random() < 0.75) firm = pickFirm();
      // People tend to stay in their line of work, but not always: old jobs are one of the traps.
      role = random() < 0.45 ? roleNear(role, firm) : rolesByTrade.get(firm.trade.id)!();
    }
    return jobs;
  }

  function roleNear(role: Role, firm: Firm): Role {
    const key = `${role.function} ${firm.trade.id}`;
    let near = nearRoles.get(key);
    if (!near) {
      near = roles.filter(
        (other) => other.function === role.function && (other.trades[firm.trade.id] ?? other.trades['*'] ?? 0) > 0
      );
      nearRoles.set(key, near);
    }
    return near.length ? pick(near) : rolesByTrade.get(firm.trade.id)!();
  }

  function writeTitle(role: Role, firm: Firm, present: boolean): string {
    const language = pick(firm.country.languages);
    const title = pick(role.titles[language] ?? role.titles.en);
    if (!present) return title;
    const luck = random();
    if (luck < 0.03) return title.toUpperCase();
    if (luck < 0.06) return `${title} | ${pick(firm.trade.does)}`;
    if (luck < 0.09) return `${title} / ${pick(extras)}`;
    if (luck < 0.11) return `Interim ${title}`;
    if (luck < 0.13) return `${title}, ex-${pick(firmNames)}`;
    if (luck < 0.16) return `${title} – ${firm.town}`;
    // One number decides which signs too, so that the people are the same with and without them.
    const sign = (from: number) => signs[(Math.floor(luck * 1e6) + from) % signs.length]!;
    if (luck < 0.175) return `${sign(0)} ${title}`;
    if (luck < 0.185) return `${title} ${sign(0)}${sign(1)}`;
    return title;
  }
}

const asides = [
  'Father of three and owner of a very old bicycle.',
  'Opinions are mine.',
  'Open to board work.',
  'Not looking for a new job, thank you.',
  'Happy to talk about temperature data.',
  'No cold calls please.',
  'I write about quality, now and then.'
];
const groups = [
  'Cold Chain Forum North',
  'GDP Practitioners',
  'Quality Circle',
  'Sales People of Europe',
  'Test Automation Club',
  'Food Safety Exchange'
];
const schools = ['University', 'Business School', 'Technical College', 'School of Pharmacy'];
const signs = ['❄️', '🚚', '✅', '🌱', '📦', '🧊', '💊'];
const extras = ['Board Member', 'Speaker', 'Safety Officer', 'Internal Auditor', 'Project Lead'];

function makeFirms(count: number, random: () => number): Firm[] {
  const pick = <T>(items: readonly T[]): T => items[Math.floor(random() * items.length)]!;
  const pickCountry = weighted(worldCountries, (country) => country.share, random);
  const pickTrade = weighted(trades, (trade) => trade.share, random);
  const taken = new Map<string, number>();
  return Array.from({ length: count }, () => {
    const country = pickCountry();
    const trade = pickTrade();
    const town = pick(country.towns);
    let base = `${pick(firmNames)} ${pick(trade.names)}`;
    const times = (taken.get(base) ?? 0) + 1;
    taken.set(base, times);
    if (times > 1) base += ` ${town}`;
    return {
      name: `${base} ${pick(country.legal)}`,
      domain: `${plainLetters(base).replace(/[^a-z0-9]+/g, '-')}${times > 2 ? `-${times}` : ''}.example`,
      trade,
      country,
      town,
      // Sizes spread evenly over orders of magnitude, from a handful to some thousands.
      headcount: Math.round(3 * 10 ** (random() * 3.2)),
      growth: Math.round((random() + random() + random() - 1.35) * 40),
      founded: 2026 - Math.floor(2 + random() * random() * 110),
      hiring: random() < 0.3
    };
  });
}

const plainLetters = (text: string) =>
  text
    .toLowerCase()
    .replaceAll('ø', 'o')
    .replaceAll('æ', 'ae')
    .replaceAll('ß', 'ss')
    .normalize('NFD')
    .replaceAll(/\p{M}/gu, '');

/** A chooser that takes items in proportion to their weights. */
function weighted<T>(items: readonly T[], weight: (item: T) => number, random: () => number): () => T {
  const ends: number[] = [];
  let total = 0;
  for (const item of items) ends.push((total += weight(item)));
  return () => {
    const at = random() * total;
    let low = 0;
    let high = ends.length - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (ends[middle]! <= at) low = middle + 1;
      else high = middle;
    }
    return items[low]!;
  };
}

const deciding: ReadonlySet<Rank> = new Set<Rank>(['director', 'head', 'manager']);
const wantedTrades: ReadonlySet<string> = new Set(['pharma-wholesale', 'chilled-food']);

/** People a firm had some months ago, if it grew or shrank before as it did in the last year, but for no more than three years; never nobody. */
export const headcountAt = ({ headcount, growth }: Firm, monthsAgo: number): number =>
  Math.max(1, Math.round(headcount / (1 + growth / 100) ** (Math.min(36, monthsAgo) / 12)));

/** The hidden truth of the demo's scenario: who answers for quality or compliance at a wanted firm of a wanted size. */
export function isTrulyWanted(person: WorldPerson): boolean {
  const { role, firm } = person.career[0]!;
  return (
    (role.function === 'quality' || role.function === 'compliance') &&
    deciding.has(role.rank) &&
    wantedTrades.has(firm.trade.id) &&
    firm.headcount >= 51 &&
    firm.headcount <= 1000
  );
}

/** Why a person is not wanted, in the words that verdicts give as reasons; null for one who is. */
export function whyUnwanted(person: WorldPerson): string | null {
  if (isTrulyWanted(person)) return null;
  const { role, firm } = person.career[0]!;
  if (!wantedTrades.has(firm.trade.id)) return 'wrong trade';
  if (role.function !== 'quality' && role.function !== 'compliance') return 'wrong function';
  return deciding.has(role.rank) ? 'too small or large' : 'wrong rank';
}

/** `2024-05` for a number of months before the world's month. */
export function monthBefore(months: number): string {
  const known = writtenMonths[months];
  if (known !== undefined) return known;
  const total = worldMonth.year * 12 + worldMonth.month - 1 - months;
  return (writtenMonths[months] = `${Math.floor(total / 12)}-${String((total % 12) + 1).padStart(2, '0')}`);
}
const writtenMonths: string[] = [];
