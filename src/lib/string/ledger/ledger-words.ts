import { count, isExact, percent, percentRange, rounded } from '$lib/marks/format';
import { wilson } from '$core/measure';
import type { Answer } from '$api';
import { changeOf, wholeOf, type LedgerLine } from './ledger-rows';
import { ledgerWords as say } from '../words';

type Reading = 'certain' | 'possible';
type Source = Answer<'listSources'>[number];
type Ledger = Answer<'ledger'> | undefined;

/** The change in the count when a part is left out, in words; empty where it is not known. */
export function changeWords(line: LedgerLine, { id }: Pick<Source, 'id'>, answer: Ledger, reading: Reading): string {
  const whole = wholeOf(answer, reading);
  const figures = line.figures[id];
  const difference = whole && figures ? changeOf(figures, whole) : null;
  if (difference === null || !whole || !figures?.without) return '';
  const exact = isExact(figures.without) && isExact(whole);
  const sign = difference > 0 ? '+' : difference < 0 ? '−' : '';
  // Where a count is rounded or guessed, no change that shows is not no change.
  const size = Math.abs(difference);
  return `${exact ? '' : '≈ '}${sign}${sign && ' '}${exact ? count(size) : rounded(size, figures.without)}`;
}

/** The judged people that a part alone decides on, in words; null if there are none. */
export function judgedWords(line: LedgerLine, source: Source, answer: Ledger, reading: Reading) {
  const figures = line.figures[source.id];
  const all = figures ? figures.only.fits + figures.only.misses : 0;
  if (!figures || !all) return null;
  const { only, brings } = figures;
  const price = source.sheet.price && !line.excludes && figures.without ? priceOf(line, source, answer, reading) : null;
  return {
    ...only,
    explanation:
      say.judged(
        line.excludes ? say.throwsOutAlone : say.bringsAlone,
        only.misses,
        only.fits,
        percent(only.misses / all),
        percentRange(wilson(only.misses, all))
      ) +
      say.inAll(line.excludes ? say.hitsInAll : say.answersForInAll, brings.misses, brings.fits) +
      (price === null ? '' : say.price(price))
  };
}

function priceOf(line: LedgerLine, { id, sheet }: Source, answer: Ledger, reading: Reading): string {
  const whole = wholeOf(answer, reading);
  const change = (whole && changeOf(line.figures[id]!, whole)) ?? 0;
  return `${count(Math.abs(change) * sheet.price!.perRecord)} ${sheet.price!.unit}`;
}

/** The limit of a source that a string comes nearest to; undefined where it has none. */
export function fullestLimit({ sheet: { limits } }: Pick<Source, 'sheet'>, answer: Answer<'ledger'>) {
  return (['characters', 'words', 'operators'] as const)
    .flatMap((kind) => (limits[kind] === null ? [] : [{ kind, used: answer.rendering.use[kind], most: limits[kind] }]))
    .sort((a, b) => b.used / b.most - a.used / a.most)[0];
}
