import type { Person } from '$core/corpus/person';
import { hashText } from '$core/measure/random';
import { monthBefore, type World, type WorldPerson } from '../world/world';

/** A number in [0, 1) that belongs to one person and one question, the same every time. */
const luck = (person: WorldPerson, question: string) =>
  hashText(`${question}/${person.number}/${person.name}`) / 4294967296;

/** What the members' network knows: 70 % of the world, some of it out of date, facts missing here and there. */
export function harrowPeople(world: World): Person[] {
  return world.people
    .filter((person) => luck(person, 'harrow') < 0.7)
    .map((person) => ({ rank: standing(person), person: harrowRecord(person) }))
    .sort((a, b) => b.rank - a.rank)
    .map(({ person }) => person);
}

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
  const moved = (stale ? now.began : person.career[0]!.began) * 30;
  return {
    id: `hg-${(hashText(`hg/${person.number}`) >>> 0).toString(36)}-${person.number.toString(36)}`,
    name: person.name,
    jobs: seen.map((job, i) => ({
      title: job.title,
      company: job.firm.name,
      from: monthBefore(job.began),
      ...(i > 0 && { to: monthBefore(job.ended) })
    })),
    ...(person.about && { about: person.about }),
    skills: person.skills,
    groups: person.groups,
    schools: [person.school],
    place: now.firm.town,
    country: now.firm.country.code,
    ...(known('industry', 0.96) && { industry: now.firm.trade.industry }),
    ...(known('function', 0.9) && { function: now.role.function }),
    ...(known('rank', 0.92) && { rank: now.role.rank }),
    ...(known('headcount', 0.95) && {
      headcount: now.firm.headcount,
      growth: now.firm.growth,
      founded: now.firm.founded
    }),
    tenure: now.began,
    moved,
    ...(person.posted !== null && { active: person.posted }),
    hiring: now.firm.hiring
  };
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
export function marlowPeople(world: World): Person[] {
  return world.people
    .filter((person) => {
      const { role, firm } = person.career[0]!;
      const member = memberTrades.has(firm.trade.id) && memberFunctions.has(role.function);
      return member && role.rank !== 'assistant' && role.rank !== 'intern' && luck(person, 'marlow') < 0.3;
    })
    .map((person) => {
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
    })
    .sort((a, b) => a.name.localeCompare(b.name, 'en') || a.id.localeCompare(b.id, 'en'));
}

/** Months that a page of the index is old; pages are up to two years old. */
const pageAge = (person: WorldPerson) => Math.floor(luck(person, 'page age') * 25);

/** What the index of public pages knows: a name, a title, a firm and a snippet, as they were when the page was read. */
export function lanternfieldPeople(world: World): Person[] {
  return world.people
    .filter((person) => luck(person, 'lanternfield') < 0.6)
    .map((person) => {
      const age = pageAge(person);
      const then = person.career.find((job) => job.began >= age) ?? person.career.at(-1)!;
      const page = `${person.mail.split('@')[0]!.replaceAll('.', '-')}-${person.number.toString(36)}`;
      return {
        rank: luck(person, 'page rank') + (person.about ? 0.2 : 0),
        person: {
          id: `lf-${person.number.toString(36)}`,
          name: person.name,
          jobs: [{ title: then.title, company: then.firm.name }],
          ...(person.about && { about: person.about.slice(0, 180) }),
          ...(luck(person, 'page place') < 0.7 && { place: then.firm.town, country: then.firm.country.code }),
          contact: [`lanternfield.example/${page}`]
        }
      };
    })
    .sort((a, b) => b.rank - a.rank)
    .map(({ person }) => person);
}

/** What the contact database knows: facts and an address for 45 % of the world, many of the records old. */
export function quillbankPeople(world: World): Person[] {
  return world.people
    .filter((person) => luck(person, 'quillbank') < 0.45)
    .map((person) => {
      const old = person.career.length > 1 && luck(person, 'old record') < 0.35;
      const now = person.career[old ? 1 : 0]!;
      const checked = luck(person, 'mail state');
      return {
        id: `qb-${person.number.toString(36)}`,
        name: person.name,
        jobs: [{ title: now.title, company: now.firm.name }],
        place: now.firm.town,
        country: now.firm.country.code,
        industry: now.firm.trade.industry,
        function: now.role.function,
        rank: now.role.rank,
        headcount: now.firm.headcount,
        // About half of the addresses verify and a bit over a quarter more are risky: common practice, no published source.
        mail: checked < 0.5 ? ('verified' as const) : checked < 0.77 ? ('risky' as const) : ('none' as const),
        ...(checked < 0.77 && { contact: [person.mail] })
      };
    })
    .sort((a, b) => luckOf(a.id) - luckOf(b.id));
}

const luckOf = (id: string) => hashText(id) >>> 0;
