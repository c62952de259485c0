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
