import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Identity } from './identity';
import { judgedBy, type Judged, type RowOfVerdict, type VerdictsByRecord } from './judged';
import { nameOfRecord } from './record-name';

/** Records of ten people at two sources; `p9` is not known of any of them. */
const who = {
  numberOf: (sourceId, personId) =>
    personId === 'p9' ? undefined : (Number(personId.slice(1)) + (sourceId === 'a' ? 0 : 2)) % 5,
  recordAt: () => undefined,
  people: 5,
  doubtful: []
} satisfies Identity;

const step = fc.record({
  sourceId: fc.constantFrom('a', 'b'),
  personId: fc.integer({ min: 0, max: 9 }).map((n) => `p${n}`),
  verdict: fc.constantFrom('fit', 'miss', 'unsure', null),
  by: fc.constantFrom('person', 'rule'),
  updatedAt: fc.integer({ min: 0, max: 3 })
});

const received = ({ byPerson, verdicts }: Judged) => ({
  byPerson: [...byPerson].sort(([a], [b]) => a - b),
  verdicts: [...verdicts].sort(([a], [b]) => a - b)
});

describe('verdicts put together by person', () => {
  it('are the same whether all are looked at, or what is new since before', () => {
    fc.assert(
      fc.property(fc.array(fc.array(step, { maxLength: 4 }), { maxLength: 12 }), (moments) => {
        let rows: VerdictsByRecord = new Map();
        let before: Judged | undefined;
        let change = 0;
        for (const steps of moments) {
          const next = new Map(rows);
          for (const { verdict, ...one } of steps) {
            const name = nameOfRecord(one);
            next.delete(name);
            change += 1;
            if (verdict) next.set(name, { ...one, verdict, reason: `${change}`, revision: 1, change } as RowOfVerdict);
          }
          rows = next;
          before = judgedBy(who, rows, before);
          expect(received(before)).toEqual(received(judgedBy(who, rows)));
        }
      })
    );
  });
});
