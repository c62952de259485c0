import { disposableEmailBlocklistSet } from 'disposable-email-domains-js';
import validator from 'validator';
import { isRoleMailbox } from '../people/contact-keys';
import { nameParts, writeOut } from '../people/person-name';

/** What an email address reveals by itself, before a paid check. */
export interface MailRead {
  /** In small letters, without spaces and what mail programs put around it. */
  address: string;
  /** Its syntax is that of RFC 5321 and 5322, as the library validator has it. */
  wellFormed: boolean;
  /** A mailbox of a firm or a department. */
  role: boolean;
  /** Of a provider of addresses that are thrown away. */
  throwAway: boolean;
}

/** Reads one mail address as it is written in a list. */
export function readMail(text: string): MailRead {
  const address = text
    .normalize('NFKC')
    .trim()
    .replace(/^.*<([^<>]+)>$/u, '$1')
    .replace(/^mailto:/i, '')
    .toLowerCase();
  return {
    address,
    // Addresses of examples and of other tests have endings that are reserved (RFC 2606), and are well-formed.
    wellFormed: validator.isEmail(address, { allow_utf8_local_part: true, require_tld: true }),
    role: isRoleMailbox(address),
    throwAway: isDisposable(domainOf(address))
  };
}

let disposable: ReadonlySet<string> | undefined;
const isDisposable = (domain: string) => (disposable ??= disposableEmailBlocklistSet()).has(domain);

/** How firms make addresses of names: `f` is the first given name, `l` the family, and one letter of it in brackets. Common practice, no published source. */
const patterns: Record<string, (first: string, last: string) => string> = {
  'first.last': (f, l) => `${f}.${l}`,
  firstlast: (f, l) => f + l,
  first_last: (f, l) => `${f}_${l}`,
  'first-last': (f, l) => `${f}-${l}`,
  'f.last': (f, l) => `${f[0]}.${l}`,
  flast: (f, l) => f[0]! + l,
  'first.l': (f, l) => `${f}.${l[0]}`,
  firstl: (f, l) => f + l[0]!,
  'last.first': (f, l) => `${l}.${f}`,
  lastfirst: (f, l) => l + f,
  lastf: (f, l) => l + f[0]!,
  'last.f': (f, l) => `${l}.${f[0]}`,
  first: (f) => f,
  last: (_, l) => l
};
export type MailPattern = keyof typeof patterns & string;

/** Ways in which the letters of a name come into an address: ü as u and as ue. */
function spelled(name: string): [string, string][] {
  const both = [name, writeOut(name)].map((text) => {
    const parts = nameParts(text).filter((part) => part.length > 1);
    return [parts[0] ?? '', parts.at(-1) ?? ''] as [string, string];
  });
  return both.filter(
    ([first, last], i) => first && last && first !== last && (i === 0 || both[0]!.join() !== [first, last].join())
  );
}

/** The pattern by which an address was made of a name; null where none of them fits. */
export function patternOf(name: string, address: string): MailPattern | null {
  const local = address.slice(0, address.lastIndexOf('@'));
  for (const [first, last] of spelled(name))
    for (const [pattern, make] of Object.entries(patterns)) if (make(first, last) === local) return pattern;
  return null;
}

export interface KnownAddress {
  name: string;
  address: string;
}
export interface GuessedAddress {
  address: string;
  pattern: MailPattern;
  /** Known addresses of that domain that follow the pattern, of how many. */
  seen: number;
  of: number;
}

const domainOf = (address: string) => address.slice(address.lastIndexOf('@') + 1);

/**
 * The likeliest address of a person at a domain, by the pattern that most known addresses there follow; null where fewer
 * than two do, or not even half. It is a guess and never counts as valid.
 */
export function guessAddress(name: string, domain: string, known: readonly KnownAddress[]): GuessedAddress | null {
  const there = known.filter(({ address }) => domainOf(address) === domain && !isRoleMailbox(address));
  const counts = new Map<MailPattern, number>();
  for (const one of there) {
    const pattern = patternOf(one.name, one.address);
    if (pattern) counts.set(pattern, (counts.get(pattern) ?? 0) + 1);
  }
  const [best] = [...counts].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
  const [parts] = spelled(name);
  if (!best || best[1] < 2 || best[1] * 2 < there.length || !parts) return null;
  const [pattern, seen] = best;
  return { address: `${patterns[pattern]!(...parts)}@${domain}`, pattern, seen, of: there.length };
}
