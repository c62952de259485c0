import { rewindableRandom } from '$core/measure';
import { bitsOf, plainLetters, weighted } from './chance';
import { makeFirms, type Firm } from './firms';
import type { LifeEvent } from './life';
import { firmNames, ranks, roles, trades, type Role, type WorldCountry } from './world-data';

export interface WorldJob {
  role: Role;
  title: string;
  /** As it is while the job is held; of a job that ended before the world’s start, as at that start. */
  firm: Firm;
  town: string;
  /** Months before the world's first month that the job began and ended, below 0 since then; the present one ends at 0. */
  began: number;
  ended: number;
  /** The day of the world on which it began, where that is known to the day. */
  since?: number;
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
  /** The day of the last post, below 0 before the world’s start; null for the many who never post. */
  posted: number | null;
  mail: string;
  /** Not there before they join, nor after they leave. */
  present: boolean;
}

/** What is made before any person: the firms, and how a person is made with the luck as it stands. */
export function makePeople(size: number, seed: string) {
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
  return { firms, luck, makePerson, live };

  function makePerson(number: number, namesakes: (name: string, firm: Firm) => number): WorldPerson {
    const firm = pickFirm();
    const name = `${pick(firm.country.given)} ${surname(firm.country)}`;
    const career = makeCareer(firm);
    const [now] = career as [WorldJob, ...WorldJob[]];
    const past = career[1];
    const about = writeAbout(now, past);
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
      posted: random() < 0.02 ? -Math.floor(random() * 30) : random() < 0.1 ? -30 - Math.floor(random() * 700) : null,
      mail: mailOf(name, firm, namesakes),
      present: true
    };
  }

  function writeAbout(now: WorldJob, past: WorldJob | undefined): string {
    let about = pick(now.role.says);
    if (random() < 0.55) about += ` At ${now.firm.name} we do ${pick(now.firm.trade.does)}.`;
    if (past && random() < 0.35)
      about += ` Before that: ${past.title.toLowerCase()} at ${past.firm.name}, ${pick(past.firm.trade.does)}.`;
    if (random() < 0.3) about += ` ${pick(asides)}`;
    return about;
  }

  /** Has what happens to a person happen to them. Their luck in it is their own, whenever they are made. */
  function live(person: WorldPerson, { kind, month, day }: LifeEvent): void {
    luck.state = bitsOf(person.number, 'happens', month) | 0;
    const now = person.career[0]!;
    const begin = (firm: Firm, role: Role) => {
      now.ended = -month;
      const job = {
        role,
        title: writeTitle(role, firm, true),
        firm,
        town: firm.town,
        began: -month,
        ended: 0,
        since: day
      };
      person.career.unshift(job);
      // Many leave what they wrote of themselves as it was.
      if (person.about && random() < 0.6) person.about = writeAbout(job, now);
    };
    if (kind === 'leaves') person.present = false;
    else if (kind === 'retitled') now.title = writeTitle(now.role, now.firm, true);
    else if (kind === 'town') now.town = pick(now.firm.country.towns);
    else if (kind === 'promoted') {
      const role = roleAbove(now.role, now.firm);
      if (role) begin(now.firm, role);
    } else {
      const firm = pickFirm();
      if (firm.number === now.firm.number) return;
      begin(firm, random() < 0.55 ? roleNear(now.role, firm) : rolesByTrade.get(firm.trade.id)!());
      person.mail = mailOf(person.name, firm, () => 100 + (person.number % 900));
    }
  }

  /** A role of the same work that stands next above another at a firm of its trade; null where there is none. */
  function roleAbove(role: Role, firm: Firm): Role | null {
    const rank = ranks.indexOf(role.rank);
    const above = rolesNear(role, firm).filter((other) => ranks.indexOf(other.rank) < rank);
    const next = Math.max(...above.map((other) => ranks.indexOf(other.rank)));
    return above.length ? pick(above.filter((other) => ranks.indexOf(other.rank) === next)) : null;
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
      jobs.push({ role, title: writeTitle(role, firm, i === 0), firm, town: firm.town, began, ended });
      ended = began + (random() < 0.15 ? Math.floor(random() * 6) : 0);
      if (random() < 0.75) firm = pickFirm();
      // People tend to stay in their line of work, but not always: old jobs are one of the traps.
      role = random() < 0.45 ? roleNear(role, firm) : rolesByTrade.get(firm.trade.id)!();
    }
    return jobs;
  }

  function rolesNear(role: Role, firm: Firm): readonly Role[] {
    const key = `${role.function} ${firm.trade.id}`;
    let near = nearRoles.get(key);
    if (!near) {
      near = roles.filter(
        (other) => other.function === role.function && (other.trades[firm.trade.id] ?? other.trades['*'] ?? 0) > 0
      );
      nearRoles.set(key, near);
    }
    return near;
  }

  function roleNear(role: Role, firm: Firm): Role {
    const near = rolesNear(role, firm);
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
