import type { PeopleList } from '$core/corpus';
import type { Person } from '$core/people';
import { hashText } from '$core/measure';
import { headcountAt, monthBefore, type World, type WorldPerson } from '../world/world';

/** What a place knows of the world. */
export interface Place {
  /** How many records it has of a person. */
  copies: (person: WorldPerson) => 0 | 1 | 2;
  /** What a record is listed by, the lowest first. */
  place: (person: WorldPerson, second: boolean) => number | string;
  record: (person: WorldPerson, second: boolean) => Person;
}

function orderOf(world: World, copies: Place['copies'], place: Place['place']): Uint32Array {
  const entries: { entry: number; at: number | string }[] = [];
  for (let number = 0; number < world.people.length; number++) {
    const person = world.people.at(number)!;
    const count = copies(person);
    for (let i = 0; i < count; i++) entries.push({ entry: person.number * 2 + i, at: place(person, i === 1) });
  }
  entries.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.entry - b.entry));
  return Uint32Array.from(entries, ({ entry }) => entry);
}

/**
 * A place's records of the world, in the order in which it lists them. Each is made when it is asked for: what is kept of
 * them is a few bytes.
 */
export class Records implements PeopleList, Iterable<Person> {
  readonly length: number;
  private readonly world: World;
  /** Twice the number of a person, and one more for their second record. */
  readonly order: Uint32Array;
  private readonly record: (person: WorldPerson, second: boolean) => Person;

  constructor(world: World, { copies, place, record }: Place, order = orderOf(world, copies, place)) {
    this.world = world;
    this.record = record;
    this.order = order;
    this.length = order.length;
  }

  at(row: number): Person | undefined {
    const entry = this.order[row];
    return entry === undefined ? undefined : this.record(this.world.people.at(entry >> 1)!, (entry & 1) === 1);
  }

  /** Whom of the world a row is a record of. */
  personOf(row: number): WorldPerson | undefined {
    const entry = this.order[row];
    return entry === undefined ? undefined : this.world.people.at(entry >> 1);
  }

  *[Symbol.iterator](): Iterator<Person> {
    for (let row = 0; row < this.length; row++) yield this.at(row)!;
  }
}

const questions = new Map<string, number>();

/** A number in [0, 1) that belongs to one person and one question, the same every time. Mixed as in MurmurHash3's end (from memory). */
function luck({ number }: WorldPerson, question: string): number {
  let asked = questions.get(question);
  if (asked === undefined) questions.set(question, (asked = hashText(question)));
  let mixed = (asked ^ Math.imul(number + 1, 0x9e3779b1)) >>> 0;
  mixed = Math.imul(mixed ^ (mixed >>> 16), 0x85ebca6b);
  mixed = Math.imul(mixed ^ (mixed >>> 13), 0xc2b2ae35);
  return ((mixed ^ (mixed >>> 16)) >>> 0) / 4294967296;
}

/** What the members' network knows: 70 % of the world, some of it out of date, facts missing here and there. */
const harrow: Place = {
  copies: (person) => (luck(person, 'harrow') < 0.7 ? 1 : 0),
  place: (person) => -standing(person),
  record: harrowRecord
};
export const harrowPeople = (world: World, order?: Uint32Array) => new Records(world, harrow, order);

/** Fuller and livelier profiles are listed first. */
const standing = (person: WorldPerson) =>
  luck(person, 'standing') +
  (person.about ? 0.3 : 0) +
  person.skills.length * 0.04 +
  (person.posted === null ? 0 : 0.4);

function harrowRecord(person: WorldPerson): Person {
  const stale = person.career.length > 1 && person.career[0]!.began < 18 && luck(person, 'stale') < 0.3;
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
    place: now.firm.town,
    country: now.firm.country.code,
    tenure: now.began,
    moved: now.began * 30,
    hiring: now.firm.hiring
  };
  if (person.about) record.about = person.about;
  if (known('industry', 0.96)) record.industry = now.firm.trade.industry;
  if (known('function', 0.9)) record.function = now.role.function;
  if (known('rank', 0.92)) record.rank = now.role.rank;
  if (known('headcount', 0.95)) {
    record.headcount = headcountAt(now.firm, now.ended);
    record.growth = now.firm.growth;
    record.founded = now.firm.founded;
  }
  if (person.posted !== null) record.active = person.posted;
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
const marlow: Place = {
  copies: (person) => {
    const { role, firm } = person.career[0]!;
    const member = memberTrades.has(firm.trade.id) && memberFunctions.has(role.function);
    return member && role.rank !== 'assistant' && role.rank !== 'intern' && luck(person, 'marlow') < 0.3 ? 1 : 0;
  },
  place: (person) => person.name,
  record: (person) => {
    const { title, firm, began } = person.career[0]!;
    return {
      id: `mr-${person.number.toString(36)}`,
      name: person.name,
      jobs: [{ title, company: firm.name, from: monthBefore(began) }],
      contact: [person.mail],
      place: firm.town,
      country: firm.country.code,
      industry: firm.trade.industry,
      headcount: firm.headcount
    };
  }
};
export const marlowPeople = (world: World, order?: Uint32Array) => new Records(world, marlow, order);

/** Months that a page of the index is old; pages are up to two years old. */
const pageAge = (person: WorldPerson) => Math.floor(luck(person, 'page age') * 25);

/** What the index of public pages knows: a name, a title, a firm and a snippet, as they were when the page was read. One in twenty-five has a second, older page. */
const lanternfield: Place = {
  copies: (person) => (luck(person, 'lanternfield') >= 0.4 ? 0 : luck(person, 'second page') < 0.04 ? 2 : 1),
  place: (person, second) => -pageRank(person, second),
  record: (person, second) => {
    const age = pageAge(person) + (second ? 24 : 0);
    const then = person.career.find((job) => job.began >= age) ?? person.career.at(-1)!;
    const page = `${person.mail.split('@')[0]!.replaceAll('.', '-')}-${person.number.toString(36)}${second ? '-2' : ''}`;
    return {
      id: `lf-${person.number.toString(36)}${second ? '-2' : ''}`,
      name: person.name,
      jobs: [{ title: then.title, company: then.firm.name }],
      ...(person.about && { about: person.about.slice(0, 180) }),
      ...(luck(person, 'page place') < 0.7 && { place: then.firm.town, country: then.firm.country.code }),
      contact: [`lanternfield.example/${page}`]
    };
  }
};
export const lanternfieldPeople = (world: World, order?: Uint32Array) => new Records(world, lanternfield, order);
const pageRank = (person: WorldPerson, second: boolean) =>
  luck(person, 'page rank') + (person.about ? 0.2 : 0) - (second ? 0.3 : 0);

/** What the contact database knows: facts and an address for 45 % of the world, many of the records old; one in thirty-three twice, once as they were. */
const quillbank: Place = {
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
      place: now.firm.town,
      country: now.firm.country.code,
      industry: now.firm.trade.industry,
      function: now.role.function,
      rank: now.role.rank,
      headcount: headcountAt(now.firm, now.ended),
      // About half of the addresses verify and a bit over a quarter more are risky: common practice, no published source.
      mail: checked < 0.5 ? ('verified' as const) : checked < 0.77 ? ('risky' as const) : ('none' as const),
      ...(checked < 0.77 && { contact: [person.mail] })
    };
  }
};
export const quillbankPeople = (world: World, order?: Uint32Array) => new Records(world, quillbank, order);
