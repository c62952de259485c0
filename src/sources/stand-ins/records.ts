import type { PeopleList } from '$core/corpus';
import type { Person } from '$core/people';
import { hashText } from '$core/measure';
import { firstDayOf, monthBefore, monthOf } from '../world/calendar';
import { chance } from '../world/chance';
import { headcountAt, type World, type WorldChanges, type WorldJob, type WorldPerson } from '../world/world';

/** What a place knows of the world. It learns of changes late, each place in its own way. */
export interface RecordRules {
  /** The day as of which it knows a person, on a day of the world. */
  seen: (number: number, today: number) => number;
  /** How many records it has of a person as it knows them. */
  copies: (person: WorldPerson) => 0 | 1 | 2;
  /** What a record is listed by, the lowest first: from the person as they first were, so that nobody changes places. */
  place: (person: WorldPerson, second: boolean) => number | string;
  record: (person: WorldPerson, second: boolean, today: number) => Person;
  /** Whether its records of a person may be others on one day than on another, but for what grows older on its own. */
  changes: (number: number, moved: WorldChanges, from: number, to: number) => boolean;
}

/** The people of a source in its order: twice the number of a person, plus one for their second record. */
function orderOf(world: World, place: RecordRules): Uint32Array {
  const all = Array.from({ length: world.people.length }, (_, number) => number);
  return Uint32Array.from(listed(world, place, all), ({ entry }) => entry);
}

function listed(world: World, { copies, place, seen }: RecordRules, numbers: readonly number[]) {
  const entries: { entry: number; at: number | string }[] = [];
  for (const number of numbers) {
    const person = world.people.at(number, seen(number, world.day))!;
    const count = person.present ? copies(person) : 0;
    const first = count && world.day > 0 ? world.people.at(number, 0)! : person;
    for (let i = 0; i < count; i++) entries.push({ entry: number * 2 + i, at: place(first, i === 1) });
  }
  return entries.sort(byPlace);
}

const byPlace = (a: { entry: number; at: number | string }, b: { entry: number; at: number | string }) =>
  a.at < b.at ? -1 : a.at > b.at ? 1 : a.entry - b.entry;

/** The order of a place after its world has moved on, and which of its records are as they were: as in `PeopleChanged`. */
export function moveOrder(
  order: Uint32Array,
  place: RecordRules,
  from: number,
  world: World & { moved: WorldChanges }
): { order: Uint32Array; from: Int32Array; remade: Uint32Array } {
  const changed: number[] = [];
  const isChanged = new Uint8Array(world.people.length);
  for (let number = 0; number < isChanged.length; number++) {
    if (!place.changes(number, world.moved, from, world.day)) continue;
    changed.push(number);
    isChanged[number] = 1;
  }
  const now = listed(world, place, changed);
  const stays = new Set(now.map(({ entry }) => entry));
  const before = new Set<number>();
  const rows: { entry: number; from: number }[] = [];
  const remade: number[] = [];
  const rebuilt = (entry: number) => ({ entry, from: -remade.push(entry) });
  order.forEach((entry, row) => {
    if (!isChanged[entry >> 1]) rows.push({ entry, from: row });
    else if (stays.has(entry)) {
      before.add(entry);
      rows.push(rebuilt(entry));
    }
  });
  // Those who come are where they would have stood: found by halving, so that few others are made again.
  const coming = now.filter(({ entry }) => !before.has(entry));
  const placed = (at: number) => {
    const { entry } = rows[at]!;
    return { entry, at: place.place(world.people.at(entry >> 1, 0)!, (entry & 1) === 1) };
  };
  const comesBefore = coming.map((one) => {
    let low = 0;
    let high = rows.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (byPlace(placed(middle), one) < 0) low = middle + 1;
      else high = middle;
    }
    return low;
  });
  const all: typeof rows = [];
  let next = 0;
  for (let at = 0; at <= rows.length; at++) {
    while (next < coming.length && comesBefore[next] === at) all.push(rebuilt(coming[next++]!.entry));
    if (at < rows.length) all.push(rows[at]!);
  }
  return {
    order: Uint32Array.from(all, ({ entry }) => entry),
    from: Int32Array.from(all, (row) => row.from),
    remade: Uint32Array.from(remade)
  };
}

/**
 * A place's records of the world, in the order in which it lists them. Each is made when it is asked for: what is kept of
 * them is a few bytes.
 */
export class Records implements PeopleList, Iterable<Person> {
  readonly length: number;

  constructor(
    private readonly world: World,
    private readonly place: RecordRules,
    readonly order: Uint32Array = orderOf(world, place)
  ) {
    this.length = order.length;
  }

  at(row: number): Person | undefined {
    const entry = this.order[row];
    if (entry === undefined) return undefined;
    const { world, place } = this;
    const person = world.people.at(entry >> 1, place.seen(entry >> 1, world.day))!;
    return place.record(person, (entry & 1) === 1, world.day);
  }

  /** The person of the world that a row is a record of, with the true facts. */
  personOf(row: number): WorldPerson | undefined {
    const entry = this.order[row];
    return entry === undefined ? undefined : this.world.people.at(entry >> 1);
  }

  *[Symbol.iterator](): Iterator<Person> {
    for (let row = 0; row < this.length; row++) yield this.at(row)!;
  }
}

/** A number in [0, 1) that belongs to one person and one question, the same every time. */
const luck = ({ number }: WorldPerson, question: string): number => chance(number, question);

/** People of the firm of a job while it was held last. */
const headcountIn = ({ firm, ended }: WorldJob): number => headcountAt(firm, Math.max(0, ended));

/** Whether anything of a person or their firms comes to be known between two days. */
function learns(seen: RecordRules['seen']): RecordRules['changes'] {
  return (number, moved, from, to) => {
    const [before, after] = [seen(number, from), seen(number, to)];
    const joined = moved.joined(number);
    return (
      (joined > Math.max(0, before) && joined <= after) ||
      moved.lived(number, before, after) ||
      moved.firms(number, before, after)
    );
  };
}

/** Members who are slow to write down a new job: they do so after so many months. */
const isSlow = (number: number) => chance(number, 'stale') < 0.3;
const slowMonths = 18;
const harrowSeen: RecordRules['seen'] = (number, today) =>
  today - (isSlow(number) ? slowMonths * 30 : Math.floor(chance(number, 'writes it down') * 31));
const harrowLearns = learns(harrowSeen);

/** What the members' network knows: 70 % of the world, some of it out of date, facts missing here and there. */
export const harrow: RecordRules = {
  seen: harrowSeen,
  copies: (person) => (luck(person, 'harrow') < 0.7 ? 1 : 0),
  place: (person) => -standing(person),
  record: harrowRecord,
  changes: (number, moved, from, to) => {
    if (harrowLearns(number, moved, from, to)) return true;
    if (!isSlow(number)) return false;
    const began = moved.began(number);
    return began + monthOf(from) < slowMonths && began + monthOf(to) >= slowMonths;
  }
};
export const harrowPeople = (world: World, order?: Uint32Array) => new Records(world, harrow, order);

/** Fuller and livelier profiles are listed first. */
const standing = (person: WorldPerson) =>
  luck(person, 'standing') +
  (person.about ? 0.3 : 0) +
  person.skills.length * 0.04 +
  (person.posted === null ? 0 : 0.4);

function harrowRecord(person: WorldPerson, _second: boolean, today: number): Person {
  const { began, since } = person.career[0]!;
  const month = monthOf(today);
  // A job that began after the world's start is seen late on its own.
  const stale = person.career.length > 1 && since === undefined && began + month < slowMonths && isSlow(person.number);
  const seen = stale ? person.career.slice(1) : person.career;
  const now = seen[0]!;
  const known = (fact: string, share: number) => luck(person, fact) < share;
  // Put together step by step: there are many, and what is spread is copied.
  const record: Person = {
    id: `hg-${(hashText(`hg/${person.number}`) >>> 0).toString(36)}-${person.number.toString(36)}`,
    name: person.name,
    jobs: seen.map(({ title, firm, began, ended }, i) =>
      i
        ? { title, company: firm.name, from: monthBefore(began), to: monthBefore(ended) }
        : { title, company: firm.name, from: monthBefore(began) }
    ),
    skills: person.skills,
    groups: person.groups,
    schools: [person.school],
    place: now.town,
    country: now.firm.country.code,
    tenure: now.began + month,
    moved: now.since === undefined ? now.began * 30 + today : today - now.since,
    hiring: now.firm.hiring
  };
  if (person.about) record.about = person.about;
  if (known('industry', 0.96)) record.industry = now.firm.trade.industry;
  if (known('function', 0.9)) record.function = now.role.function;
  if (known('rank', 0.92)) record.rank = now.role.rank;
  if (known('headcount', 0.95)) {
    record.headcount = headcountIn(now);
    record.growth = now.firm.growth;
    record.founded = now.firm.founded;
  }
  if (person.posted !== null) record.active = today - person.posted;
  return record;
}

const memberTrades = new Set(['pharma-wholesale', 'chilled-food', 'cold-logistics']);
const memberFunctions = new Set([
  'quality',
  'compliance',
  'logistics',
  'warehouse',
  'general management',
  'purchasing'
]);

/** What the trade association's directory knows: members of its own line of business, present job only, up to date. */
const marlowSeen: RecordRules['seen'] = (number, today) => today - Math.floor(chance(number, 'reports') * 11);
export const marlow: RecordRules = {
  seen: marlowSeen,
  changes: learns(marlowSeen),
  copies: (person) => {
    const { role, firm } = person.career[0]!;
    const member = memberTrades.has(firm.trade.id) && memberFunctions.has(role.function);
    return member && role.rank !== 'assistant' && role.rank !== 'intern' && luck(person, 'marlow') < 0.3 ? 1 : 0;
  },
  place: (person) => person.name,
  record: (person) => {
    const { title, firm, town, began } = person.career[0]!;
    return {
      id: `mr-${person.number.toString(36)}`,
      name: person.name,
      jobs: [{ title, company: firm.name, from: monthBefore(began) }],
      contact: [person.mail],
      place: town,
      country: firm.country.code,
      industry: firm.trade.industry,
      headcount: firm.headcount
    };
  }
};
export const marlowPeople = (world: World, order?: Uint32Array) => new Records(world, marlow, order);

/** Months after which a page of the index is read again. */
const readAgain = 25;
/** Months before the world's start that a page was read last, below 0 since then, on a day of it. */
function pageRead(number: number, today: number): number {
  const age = Math.floor(chance(number, 'page age') * readAgain);
  return age - readAgain * Math.floor((age + monthOf(today)) / readAgain);
}
const lanternfieldSeen: RecordRules['seen'] = (number, today) => Math.min(today, firstDayOf(-pageRead(number, today)));

/** What the index of public pages knows: a name, a title, a firm and a snippet, as they were when the page was read. One in twenty-five has a second, older page. */
export const lanternfield: RecordRules = {
  seen: lanternfieldSeen,
  changes: (number, _moved, from, to) => pageRead(number, from) !== pageRead(number, to),
  copies: (person) => (luck(person, 'lanternfield') >= 0.4 ? 0 : luck(person, 'second page') < 0.04 ? 2 : 1),
  place: (person, second) => -pageRank(person, second),
  record: (person, second, today) => {
    const age = pageRead(person.number, today) + (second ? 24 : 0);
    const then = person.career.find((job) => job.began >= age) ?? person.career.at(-1)!;
    const page = `${person.mail.split('@')[0]!.replaceAll('.', '-')}-${person.number.toString(36)}${second ? '-2' : ''}`;
    return {
      id: `lf-${person.number.toString(36)}${second ? '-2' : ''}`,
      name: person.name,
      jobs: [{ title: then.title, company: then.firm.name }],
      ...(person.about && { about: person.about.slice(0, 180) }),
      ...(luck(person, 'page place') < 0.7 && { place: then.town, country: then.firm.country.code }),
      contact: [`lanternfield.example/${page}`]
    };
  }
};
export const lanternfieldPeople = (world: World, order?: Uint32Array) => new Records(world, lanternfield, order);
const pageRank = (person: WorldPerson, second: boolean) =>
  luck(person, 'page rank') + (person.about ? 0.2 : 0) - (second ? 0.3 : 0);

/** What the contact database knows: facts and an address for 45 % of the world, many of the records old; one in thirty-three twice, once as they were. */
const quillbankSeen: RecordRules['seen'] = (number, today) => today - Math.floor(chance(number, 'is checked') * 121);
export const quillbank: RecordRules = {
  seen: quillbankSeen,
  changes: learns(quillbankSeen),
  copies: (person) => (luck(person, 'quillbank') >= 0.45 ? 0 : luck(person, 'twice') < 0.03 ? 2 : 1),
  place: (person, second) => luck(person, second ? 'place again' : 'place'),
  record: (person, second) => {
    const old = person.career.length > 1 && (second || luck(person, 'old record') < 0.35);
    const now = person.career[old ? 1 : 0]!;
    const checked = luck(person, 'mail state');
    return {
      id: `qb-${person.number.toString(36)}${second ? '-2' : ''}`,
      name: person.name,
      jobs: [{ title: now.title, company: now.firm.name }],
      place: now.town,
      country: now.firm.country.code,
      industry: now.firm.trade.industry,
      function: now.role.function,
      rank: now.role.rank,
      headcount: headcountIn(now),
      funded: now.firm.funded,
      ...(now.firm.tech.length && { tech: [...now.firm.tech] }),
      // About half of the addresses verify and a bit over a quarter more are uncertain: common practice, no published source.
      mail: checked < 0.5 ? ('good' as const) : checked < 0.77 ? ('uncertain' as const) : ('none' as const),
      ...(checked < 0.77 && { contact: [person.mail] })
    };
  }
};
export const quillbankPeople = (world: World, order?: Uint32Array) => new Records(world, quillbank, order);
