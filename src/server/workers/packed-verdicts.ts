import type { Verdict } from '$core/measure';

/** The people judged, by number, and the verdict on each as a small number: far less to hand to a thread than pairs are. */
export interface PackedVerdicts {
  people: Uint32Array;
  codes: Uint8Array;
}

const inOrder = ['fit', 'miss', 'unsure'] as const satisfies readonly Verdict[];

export const packed = (verdicts: ReadonlyMap<number, Verdict>): PackedVerdicts => ({
  people: Uint32Array.from(verdicts.keys()),
  codes: Uint8Array.from(verdicts.values(), (verdict) => inOrder.indexOf(verdict))
});

export const unpacked = ({ people, codes }: PackedVerdicts): Map<number, Verdict> =>
  new Map(Array.from(people, (person, i) => [person, inOrder[codes[i]!]!]));
