import type { Answer } from '$api';
import { factLabel } from '$core/dialect';
import { count } from '$lib/marks/format';

type Source = Answer<'listSources'>[number];

export const kinds = {
  'stand-in': 'stand-in',
  file: 'imported file',
  'by-hand': 'manual source',
  connected: 'connected service'
};

/** What can go wrong at a stand-in. */
export const faultWords = {
  slow: 'slow answers',
  timeOuts: 'occasional timeouts',
  refusals: 'rate limits',
  repeats: 'repeated pages',
  drift: 'counts that change between pages'
} as const;

/** Whether a source can be asked now. */
export function readiness(source: Source): string {
  const { readiness: now } = source;
  if (source.kind === 'by-hand') return 'run by you';
  if (source.kind === 'connected') return 'searched online';
  if ('reason' in now) return `not ready: ${now.reason}`;
  if (now.state === 'ready') return 'ready';
  const what = source.kind === 'file' ? 'people' : 'places';
  return `preparing its people${now.of ? ` (${count(now.done ?? 0)} of ${count(now.of)} ${what})` : ''}`;
}

/** How a source counts, and which people it shows. */
export function counting({ counting: how, limits }: Source['sheet']): string {
  const counts =
    how.kind === 'exact'
      ? 'Counts exactly'
      : how.kind === 'rounded'
        ? `Rounds counts over ${count(how.above)} to ${how.figures} figures`
        : `Guesses counts, up to ${how.factor} times off`;
  return `${counts}; ${limits.shown === null ? 'shows everyone' : `shows the first ${count(limits.shown)}`}.`;
}
/** How a source is asked. */
export function asking({ boxes, facts }: Source['sheet']): string {
  if (boxes.some((box) => box.scoped)) return 'Accepts any string as is.';
  const words = boxes.map((box) => box.label.toLowerCase()).join(', ');
  const can = (['or', 'not', 'phrase', 'group'] as const).filter((sign) => boxes.some((box) => box[sign]));
  const how = can.length ? ['and', ...can].join(', ') : 'words joined by AND only';
  const first = boxes.some((box) => box.binding === 'or-first') ? ', OR binds first' : '';
  return [
    boxes.length ? `Boxes: ${words} (${how}${first}).` : 'No free text: lists and facts.',
    facts.length ? `Facts: ${facts.map(factLabel).join(', ')}.` : ''
  ]
    .filter(Boolean)
    .join(' ');
}
