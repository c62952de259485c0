import { readDay } from '../language/days';
import { fold } from '../language/tokens';
import type { OwnScope } from '../language/scopes';
import { trimSigns } from '../language/trim-signs';

/** Most own fields of a person. */
export const maxOwn = 200;
/** What an own field can hold. A date is kept as its ISO 8601 text. */
export type OwnValue = string | number | boolean;

/** A column's heading as the name of an own field: `N.º de cubiertos` is `n_o_de_cubiertos`. Empty where no letter is left. */
export const ownNameOf = (heading: string): string =>
  trimSigns(fold(heading.normalize('NFKC')).replaceAll(/[^\p{L}\p{M}\p{N}]+/gu, '_'), (sign) => sign === '_').slice(
    0,
    60
  );

export const ownScopeOf = (name: string): OwnScope => `own.${name}`;
export const nameOfOwn = (scope: OwnScope): string => scope.slice(4);

/** What is in an own field as words. */
export const ownText = (value: OwnValue): string =>
  typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value);

/** What a range on an own field compares: its number, or the day of its date; undefined where it is neither. */
export function ownNumber(value: OwnValue | undefined): number | undefined {
  if (typeof value === 'number') return value;
  return typeof value === 'string' ? (readDay(value) ?? undefined) : undefined;
}

type HasOwn = { own?: Readonly<Record<string, OwnValue>> | undefined };

/** The names of the own fields that some people have, each once, in the order in which they are met. */
export const ownNamesIn = (people: readonly HasOwn[]): string[] => [
  ...new Set(people.flatMap(({ own }) => (own ? Object.keys(own) : [])))
];

/** What a person has in an own field, as a cell of a file. */
export const ownCell = ({ own }: HasOwn, name: string): string => {
  const value = own?.[name];
  return value === undefined ? '' : ownText(value);
};
