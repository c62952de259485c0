import { isMail } from '../people/contact-keys';
import type { Person } from '../people/person';
import { presentJob } from '../people/present-job';
import { joinedFields, type JoinedField } from './list-fields';

/** A person's record at a source, and when it was seen. */
export interface KeptRecord {
  sourceId: string;
  person: Person;
  seenAt: string;
}

/** Chosen by hand for a field: the record that leads, by its place, or a text of one's own. */
export type FieldChoice = { record: number } | { text: string };

/** One field of the joined record. */
export interface Joined {
  value: string;
  /** The place of the record it is from; null where it was written by hand. */
  from: number | null;
  why: 'the only one' | 'all the same' | 'the newest' | 'chosen' | 'nothing listed';
  /** What each record lists, in their order; empty where one tells nothing. */
  listed: string[];
}

const pageOf = (text: string) =>
  /^(https?:\/\/)?[\p{L}\p{N}.-]+\.\p{L}{2,}(\/\S*)?$/u.test(text) && !text.includes('@');
const phoneOf = (text: string) => /^[+(\d][\d\s()./-]{5,}$/.test(text);

/** A record's value of a field; empty where it has none. */
export function listedOf({ person }: KeptRecord, field: JoinedField): string {
  const job = presentJob(person);
  const contact = (is: (text: string) => boolean) => person.contact?.map((text) => text.trim()).find(is) ?? '';
  switch (field) {
    case 'name':
      return person.name;
    case 'title':
      return job?.title ?? '';
    case 'company':
      return job?.company ?? '';
    case 'mail':
      return contact(isMail).toLowerCase();
    case 'phone':
      return contact(phoneOf);
    case 'page':
      return contact(pageOf);
    case 'headcount':
      return person.headcount === undefined ? '' : String(person.headcount);
    default:
      return person[field] ?? '';
  }
}

/**
 * Merges the records of one person field by field: a chosen value wins, else the newest record that has one (title and firm
 * together, so that nobody gets a job they never had); an empty value never hides another.
 */
export function joinRecords(
  records: readonly KeptRecord[],
  choice: Partial<Record<JoinedField, FieldChoice>> = {}
): Record<JoinedField, Joined> {
  const byAge = [...records.keys()].sort((a, b) =>
    records[b]!.seenAt < records[a]!.seenAt ? -1 : records[b]!.seenAt > records[a]!.seenAt ? 1 : a - b
  );
  const withJob = byAge.find((i) => listedOf(records[i]!, 'title'));
  const field = (name: JoinedField): Joined => {
    const listed = records.map((record) => listedOf(record, name));
    const chosen = choice[name];
    if (chosen && 'text' in chosen) return { value: chosen.text, from: null, why: 'chosen', listed };
    if (chosen && listed[chosen.record] !== undefined)
      return { value: listed[chosen.record]!, from: chosen.record, why: 'chosen', listed };
    const ofJob =
      (name === 'title' || name === 'company') && withJob !== undefined && listed[withJob] ? withJob : undefined;
    const from = ofJob ?? byAge.find((i) => listed[i]);
    if (from === undefined) return { value: '', from: null, why: 'nothing listed', listed };
    const others = listed.filter((text) => text);
    const same = others.every((text) => text === listed[from]);
    return {
      value: listed[from]!,
      from,
      why: others.length === 1 ? 'the only one' : same ? 'all the same' : 'the newest',
      listed
    };
  };
  return Object.fromEntries(joinedFields.map((name) => [name, field(name)])) as Record<JoinedField, Joined>;
}
