import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const services = new URL('..', import.meta.url).pathname;
const read = (file: string) => readFileSync(join(services, file), 'utf8');

/**
 * Whatever writes a record of a person, and the file whose gate its people have come through: its own, or that of the only way in.
 * A new writer fails the test until it is listed here with its gate.
 */
const gates: Record<string, string> = {
  'briefs/briefs.ts': 'briefs/briefs.ts',
  'briefs/people-lists.ts': 'briefs/people-lists.ts',
  'by-hand/diary.ts': 'by-hand/diary.ts',
  // Made of rows of the diary.
  'by-hand/hand-trial.ts': 'by-hand/diary.ts',
  'by-hand/slices-by-hand.ts': 'by-hand/diary.ts',
  'exchange/brief-file.ts': 'exchange/brief-file.ts',
  'exchange/trec.ts': 'exchange/trec.ts',
  // Pages of sources come through the one function that asks them.
  'harvest/harvest-run.ts': 'sources/ask-source.ts',
  'harvest/link-harvest.ts': 'sources/ask-source.ts',
  'trials/trial-run.ts': 'sources/ask-source.ts',
  'trials/trials.ts': 'sources/ask-source.ts',
  'watches/keep-changes.ts': 'sources/ask-source.ts',
  'shortlist/keep-people.ts': 'shortlist/keep-people.ts',
  // Rows that are on a list already, split or put back; erasing takes them out of what can be undone.
  'shortlist/steps.ts': 'objections/erase.ts',
  'shortlist/who-is-who.ts': 'objections/erase.ts',
  'sources/imports/keep-as-source.ts': 'sources/imports/keep-as-source.ts'
};
const writes =
  /(?:TrialPage|TrialPerson|SourcePerson|HarvestRow|HandEntry|WatchNews|Document)\.(?:create|bulkCreate|upsert)\(|(?:INSERT INTO|COPY) (?:source_people|harvest_rows|harvest_people|trial_people|trial_pages|shortlist_people|shortlist_records|watch_news|watch_people|hand_entries|documents)\b|documentSchemas\[list\]/;

describe('the gate of objections', () => {
  const writers = readdirSync(services, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .filter((file) => writes.test(read(file)));

  it('is passed by everything that writes records of people', () => {
    expect(writers.sort()).toEqual(Object.keys(gates).sort());
    for (const gate of new Set(Object.values(gates)))
      if (gate !== 'objections/erase.ts')
        expect(read(gate), gate).toMatch(/(?:peopleWithoutObjected|withoutObjected|objectedRecords)\(/);
  });
});
