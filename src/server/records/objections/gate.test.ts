import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const server = new URL('../..', import.meta.url).pathname;
const read = (file: string) => readFileSync(join(server, file), 'utf8');

/**
 * Whatever writes a record of a person, and the file whose gate its people have come through: its own, or that of the only way in.
 * A new writer fails the test until it is listed here with its gate.
 */
const gates: Record<string, string> = {
  'features/briefs/briefs.ts': 'features/briefs/briefs.ts',
  'features/briefs/people-lists.ts': 'features/briefs/people-lists.ts',
  'features/manual/diary.ts': 'features/manual/diary.ts',
  // Made of rows of the diary.
  'features/manual/hand-trial.ts': 'features/manual/diary.ts',
  'features/harvest/slices-by-hand.ts': 'features/manual/diary.ts',
  'features/exchange/brief-file.ts': 'features/exchange/brief-file.ts',
  'features/exchange/trec.ts': 'features/exchange/trec.ts',
  // Pages of sources come through the one function that asks them.
  'features/harvest/harvest-run.ts': 'features/sources/ask-source.ts',
  'features/harvest/link-harvest.ts': 'features/sources/ask-source.ts',
  'features/trials/trial-run.ts': 'features/sources/ask-source.ts',
  'features/trials/trials.ts': 'features/sources/ask-source.ts',
  'features/watches/keep-changes.ts': 'features/sources/ask-source.ts',
  'features/shortlist/keep-people.ts': 'features/shortlist/keep-people.ts',
  // Rows that are on a list already, split or put back; erasing takes them out of what can be undone.
  'features/shortlist/steps.ts': 'records/objections/erase.ts',
  'features/shortlist/who-is-who.ts': 'records/objections/erase.ts',
  'features/imports/keep-as-source.ts': 'features/imports/keep-as-source.ts'
};
const writes =
  /(?:TrialPage|TrialPerson|SourcePerson|HarvestRow|HandEntry|WatchNews|Document)\.(?:create|bulkCreate|upsert)\(|(?:INSERT INTO|COPY) (?:source_people|harvest_rows|harvest_people|trial_people|trial_pages|shortlist_people|shortlist_records|watch_news|watch_people|hand_entries|documents)\b|documentSchemas\[list\]/;

describe('the gate of objections', () => {
  const writers = readdirSync(server, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    // A migration moves rows that have passed the gate before.
    .filter((file) => !/^(?:platform\/database\/migrations|testing)\//.test(file))
    .filter((file) => writes.test(read(file)));

  it('is passed by everything that writes records of people', () => {
    expect(writers.sort()).toEqual(Object.keys(gates).sort());
    for (const gate of new Set(Object.values(gates)))
      if (gate !== 'records/objections/erase.ts')
        expect(read(gate), gate).toMatch(/(?:peopleWithoutObjected|withoutObjected|objectedRecords)\(/);
  });
});
