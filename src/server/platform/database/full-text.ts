import { type Person, fields, searches, valuesOf, type Field } from '$core/people';
import { type Query, isNumberFact, isOwnScope, type Scope } from '$core/language';
import { rangeOf, keysAsked } from '$core/semantics';

/** A word that stands between two values of a field, so that no phrase reaches across. */
const gap = 'xvaluegapx';

/** The words of each field that has some, as one text for `to_tsvector('simple', …)`. */
function fieldTexts(person: Person): Partial<Record<Field, string>> {
  const texts: Partial<Record<Field, string>> = {};
  for (const { field, text } of valuesOf(person))
    texts[field] = texts[field] === undefined ? text : `${texts[field]} ${gap} ${text}`;
  return texts;
}

/** One text per group of fields that a scope searches: the columns of the yardstick's table. */
export function scopeTexts(person: Person, scopes: readonly Scope[]): Record<string, string> {
  const texts = fieldTexts(person);
  return Object.fromEntries(
    scopes.map((scope) => [
      scope,
      (isOwnScope(scope) ? [scope] : fields)
        .filter((field) => searches(scope, field) && texts[field])
        .map((field) => texts[field])
        .join(` ${gap} `)
    ])
  );
}

const literal = (text: string) => `'${text.replaceAll("'", "''")}'`;

/**
 * A query as an SQL condition on PostgreSQL full-text search: a `tsvector` column for each text scope and a number
 * column for each number fact. Parts that share a scope become one `tsquery`, as a person would write them.
 */
export function toFullTextSearch(query: Query): string {
  const whole = oneScope(query);
  if (whole && whole !== 'mixed') return `"${whole}" @@ ${literal(toTsquery(query))}::tsquery`;
  switch (query.kind) {
    case 'and':
    case 'or':
      return `(${query.parts.map(toFullTextSearch).join(query.kind === 'and' ? ' AND ' : ' OR ')})`;
    case 'not':
      return `NOT coalesce(${toFullTextSearch(query.part)}, false)`;
    default: {
      const range = rangeOf(query);
      if (range === null || range === 'never') return 'false';
      const column = numberColumn(range.scope);
      const bounds = [
        range.low !== null && `${column} >= ${range.low}`,
        range.high !== null && `${column} <= ${range.high}`
      ];
      return `coalesce(${[`${column} IS NOT NULL`, ...bounds].filter(Boolean).join(' AND ')}, false)`;
    }
  }
}

/** The column that holds the numbers of a scope; an own field has one for its words too. */
export const numberColumn = (scope: Scope): string => (isOwnScope(scope) ? `"${scope} number"` : scope);

/** The text scope of every term, `mixed` where they differ or are numbers. */
function oneScope(query: Query): Scope | 'mixed' | null {
  switch (query.kind) {
    case 'and':
    case 'or': {
      const [first, ...rest] = query.parts.map(oneScope);
      return rest.every((scope) => scope === first) ? first! : 'mixed';
    }
    case 'not':
      return oneScope(query.part);
    default:
      return query.kind === 'range' || isNumberFact(query.scope) ? 'mixed' : query.scope;
  }
}

function toTsquery(query: Query): string {
  switch (query.kind) {
    case 'and':
    case 'or':
      return `(${query.parts.map(toTsquery).join(query.kind === 'and' ? ' & ' : ' | ')})`;
    case 'not':
      return `!(${toTsquery(query.part)})`;
    case 'range':
      throw new TypeError('A range is no text.');
    default: {
      const words = keysAsked(query).map((word) => `'${word.replaceAll(/['\\]/g, '')}'`);
      if (query.kind === 'word' && query.prefix) words.push(`${words.pop()}:*`);
      return `(${words.join(' <-> ')})`;
    }
  }
}
