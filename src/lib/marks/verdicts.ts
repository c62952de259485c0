import type { Verdict } from '$core/measure';
import { verdictWords } from './words';

const mark = (verdict: Verdict, sign: string, key: string, colour: string) => ({
  sign,
  get word() {
    return verdictWords[verdict];
  },
  key,
  colour
});

/** Sign, word and key of each verdict; they differ in shape and word as well as colour. */
export const verdicts: Record<Verdict, { sign: string; word: string; key: string; colour: string }> = {
  fit: mark('fit', '✓', 'F', 'var(--accent)'),
  miss: mark('miss', '✕', 'M', 'var(--warm)'),
  unsure: mark('unsure', '◐', 'U', 'var(--soft)')
};
