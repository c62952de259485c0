import { firstDayOf } from './calendar';
import { bitsOf } from './chance';
import { FirmHistory, type Firm } from './firms';
import { Joiners, lastPost, lifeBetween } from './life';
import { makePeople, type WorldPerson } from './people';
import type { Rank } from './world-data';

export type { Firm } from './firms';
export { headcountAt } from './firms';
export type { WorldJob, WorldPerson } from './people';

export interface World {
  /** The day it is. */
  day: number;
  /** As they are at its start. */
  firms: readonly Firm[];
  /** By their numbers; an array is one where it is at its first day. On another day they are as they were on that. */
  people: { readonly length: number; at(number: number, day?: number): WorldPerson | undefined };
  kept: KeptWorld;
}

/** A few bytes a person, out of which each can be made again alone. */
export interface KeptWorld {
  /** Where the world's luck stood before each person. */
  luck: Int32Array;
  /** How many of their name had been made at their firm, they among them. */
  namesakes: Uint16Array;
  /** The numbers of the firms of each person's present job and of the one before, at the start. */
  firms: Uint16Array;
  /** Months before the start that each began the present job. */
  began: Uint16Array;
}

/**
 * Makes the demo world: invented people at invented firms in north-west Europe, some of whom answer for quality in
 * the cold chain and many of whom only use the same words. The same seed and size give the same world.
 */
export function makeWorld(size: number, seed = 'eave') {
  const { firms, luck, makePerson } = makePeople(size, seed);
  const kept: KeptWorld = {
    luck: new Int32Array(size),
    namesakes: new Uint16Array(size),
    firms: new Uint16Array(size * 2),
    began: new Uint16Array(size)
  };
  const namesAt = new Map<Firm, string[]>();
  const people = Array.from({ length: size }, (_, number) => {
    kept.luck[number] = luck.state;
    const person = makePerson(number, (name, firm) => {
      let namesakes = 1;
      const taken = namesAt.get(firm);
      if (!taken) namesAt.set(firm, [name]);
      else {
        for (const other of taken) if (other === name) namesakes++;
        taken.push(name);
      }
      return (kept.namesakes[number] = namesakes);
    });
    const [now, before] = person.career;
    kept.firms[number * 2] = now!.firm.number;
    kept.firms[number * 2 + 1] = (before ?? now!).firm.number;
    kept.began[number] = now!.began;
    return person;
  });
  return { day: 0, firms, people, kept };
}

/**
 * The world of which a few bytes a person were kept, on a day of it: its people are made when they are asked for, and not
 * held. What has happened to each until then is their own luck: however the world came to that day, it is the same.
 */
export function recallWorld(kept: KeptWorld, day = 0, seed = 'eave'): World & { moved: WorldChanges } {
  const size = kept.luck.length;
  const { firms, luck, makePerson, live } = makePeople(size, seed);
  const history = new FirmHistory(firms);
  const joiners = new Joiners(size);
  const length = joiners.until(day);

  function first(number: number): WorldPerson {
    const joined = number >= size;
    luck.state = joined ? bitsOf(number, 'joins as') | 0 : kept.luck[number]!;
    return makePerson(number, () => (joined ? 1000 + (number % 9000) : kept.namesakes[number]!));
  }

  function at(number: number, on = day): WorldPerson | undefined {
    if (!(number >= 0 && number < length)) return undefined;
    const person = first(number);
    const from = joiners.day(number);
    if (from > 0 && on < from) person.present = false;
    if (on <= 0) return person;
    for (const event of lifeBetween(number, from, on)) if (person.present) live(person, event);
    const posted = lastPost(number, from, on);
    if (posted !== null) person.posted = posted;
    person.career.forEach((job, i) => {
      if (i && job.ended >= 0) return;
      job.firm = history.on(job.firm.number, i ? Math.min(on, firstDayOf(-job.ended)) : on);
      if (i) return;
      // Some of a firm's people go to the place that it opens.
      const began = job.since ?? 0;
      job.firm.opened.forEach((place, n) => {
        if (place.day > began && bitsOf(number, 'goes there', n + job.firm.number) % 5 === 0) job.town = place.town;
      });
    });
    return person;
  }

  const moved: WorldChanges = {
    joined: (number) => joiners.day(number),
    lived: (number, from, to) =>
      lifeBetween(number, Math.max(from, joiners.day(number)), to).length > 0 || lastPost(number, from, to) !== null,
    firms: (number, from, to) => {
      const those =
        number < size && !lifeBetween(number, 0, to).some(({ kind }) => kind === 'moves')
          ? kept.firms.subarray(number * 2, number * 2 + 2)
          : at(number, to)!
              .career.slice(0, 3)
              .map(({ firm }) => firm.number);
      return those.some((firm) => history.changed(firm, from, to));
    },
    began: (number) => (number < size ? kept.began[number]! : first(number).career[0]!.began)
  };
  return { day, firms, people: { length, at }, kept, moved };
}

/** What becomes of people of a world between two days, told without making them where that can be. */
export interface WorldChanges {
  /** The day on which a person joined; 0 for those of the start. */
  joined: (number: number) => number;
  /** Whether anything happened to a person after one day and until another. */
  lived: (number: number, from: number, to: number) => boolean;
  /** Whether anything happened to the firms of their last jobs. */
  firms: (number: number, from: number, to: number) => boolean;
  /** Months before the start that somebody began the job they had then. */
  began: (number: number) => number;
}

const deciding: ReadonlySet<Rank> = new Set<Rank>(['director', 'head', 'manager']);
const wantedTrades: ReadonlySet<string> = new Set(['pharma-wholesale', 'chilled-food']);

/** The hidden truth of the demo's scenario: who answers for quality or compliance at a wanted firm of a wanted size. */
export function isTrulyWanted(person: WorldPerson): boolean {
  const { role, firm } = person.career[0]!;
  return (
    person.present &&
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
  if (!person.present) return 'changed jobs';
  const { role, firm } = person.career[0]!;
  if (!wantedTrades.has(firm.trade.id)) return 'wrong industry';
  if (role.function !== 'quality' && role.function !== 'compliance') return 'wrong function';
  return deciding.has(role.rank) ? 'too small or large' : 'wrong rank';
}
