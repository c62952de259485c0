import type { Answer } from '$api';
import { factLabel } from '$core/dialect';
import { count } from '$lib/marks/format';

type Source = Answer<'listSources'>[number];

export const kinds = {
  'stand-in': 'stand-in',
  file: 'imported file',
  'by-hand': 'run by hand',
  connected: 'connected service'
};

/** What can go wrong at a stand-in. */
export const faultWords = {
  slow: 'slow answers',
  timeOuts: 'no answer now and then',
  refusals: 'refuses too many requests',
  repeats: 'a page that repeats',
  drift: 'a count that changes between pages'
} as const;

/** Whether a source can be asked now. */
export function readiness(source: Source): string {
  const { readiness: now } = source;
  if (source.kind === 'by-hand') return 'you run it';
  if (source.kind === 'connected') return 'asked over the net';
  if ('reason' in now) return `not ready: ${now.reason}`;
  if (now.state === 'ready') return 'ready';
  const what = source.kind === 'file' ? 'people' : 'places';
  return `its people are being prepared${now.of ? ` (${count(now.done ?? 0)} of ${count(now.of)} ${what})` : ''}`;
}

/** How a source counts, and whom it shows. */
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
  if (boxes.some((box) => box.scoped)) return 'Takes every string as it is.';
  const words = boxes.map((box) => box.label.toLowerCase()).join(', ');
  const can = (['or', 'not', 'phrase', 'group'] as const).filter((sign) => boxes.some((box) => box[sign]));
  const how = can.length ? ['and', ...can].join(', ') : 'words joined by and, nothing else';
  const first = boxes.some((box) => box.binding === 'or-first') ? ', or binds first' : '';
  return [
    boxes.length ? `Boxes: ${words} (${how}${first}).` : 'No free text: lists and facts.',
    facts.length ? `Facts: ${facts.map(factLabel).join(', ')}.` : ''
  ]
    .filter(Boolean)
    .join(' ');
}
