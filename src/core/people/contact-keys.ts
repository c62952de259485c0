import type { Person } from '../corpus/person';
import { fold } from '../query/tokens';
import { plainFirmName } from './firm-names';

const plain = (text: string) =>
  fold(text)
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** What a person is known by again in another list: each mail address, and the name with each current firm. */
export function contactKeys(person: Person): string[] {
  const mails = (person.contact ?? []).filter((text) => /^\S+@\S+$/.test(text)).map((mail) => mail.toLowerCase());
  const firms = (person.jobs ?? []).filter(({ to, company }) => !to && company.trim());
  const name = plain(person.name);
  return [...mails, ...(name ? firms.map(({ company }) => `${name} at ${plain(plainFirmName(company))}`) : [])];
}
