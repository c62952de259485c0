import type { Verdict } from '$core/measure';

/** Sign, word and key of each verdict; they differ in shape and word as well as colour. */
export const verdicts: Record<Verdict, { sign: string; word: string; key: string; colour: string }> = {
  fit: { sign: '✓', word: 'Fit', key: 'F', colour: 'var(--accent)' },
  miss: { sign: '✕', word: 'Miss', key: 'M', colour: 'var(--warm)' },
  unsure: { sign: '◐', word: 'Unsure', key: 'U', colour: 'var(--soft)' }
};
