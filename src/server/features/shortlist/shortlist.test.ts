import { createHash } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import { QueryTypes } from 'sequelize';
import type { Person } from '$core/people';
import { database } from '$server/platform/database/connection';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { createBrief, readDocument, writeDocument } from '$server/features/briefs/briefs';
import { addKnown } from '$server/features/briefs/people-lists';
import { startHarvest, readHarvest } from '$server/features/harvest/harvests';
import { listHarvestPeople, orderAnew } from '$server/features/harvest/harvest-people';
import { objectTo, countObjections } from '$server/records/objections/erase';
import { openSources } from '$server/features/sources/sources';
import { keepVersion } from '$server/features/trials/versions';
import { readTrial, runTrial } from '$server/features/trials/trials';
import { boardFor } from '$server/features/comparing/board';
import { giveVerdict } from '$server/features/trials/verdicts';
import { writeNote } from '$server/features/trials/notes';
import { changeKept } from './change-kept';
import { doubtfulKept, joinKept, splitKept } from './who-is-who';
import { keepNow, keepPeople } from './keep';
import { listKept, readKept } from './list-kept';
import { moreLikeThese } from './more-like-these';
import { processingRecord } from './processing-record';
import { changeShortlist, createShortlist, deleteShortlist, listShortlists, readShortlist } from './shortlists';
import { undo } from './steps';
import { previewExport, mergeInto, writeExport, type Leaving } from './export-shortlist';
import { writeProfile, listProfiles, deleteProfile } from './column-profiles';
import { exportBrief, importBrief } from '$server/features/exchange/brief-file';
import { decideSame } from '$server/features/comparing/same-people';

useFreshDatabase();
beforeAll(openSources);

const person = (id: string, name: string, company: string, more: Partial<Person> = {}): Person => ({
  id,
  name,
  jobs: [{ title: 'Quality Manager', company }],
  country: 'NL',
  contact: [`${name.toLowerCase().replaceAll(/[^a-z]+/g, '.')}@${company.toLowerCase().split(' ')[0]}.example`],
  ...more
});
const everybody: Leaving = { form: 'csv', addresses: 'any', all: 'false', batch: 1, salt: '', look: 'true' };

async function listOf(people: Person[], name = 'A list') {
  const { id: briefId } = await createBrief(name);
  const { id } = await createShortlist(briefId, { name, purpose: 'to write to them' });
  const kept = await keepPeople({ briefId, id, why: 'tried', from: { kind: 'people', people } });
  return { briefId, id, kept };
}
const names = async (briefId: string, id: string, filter = {}) =>
  (await listKept(briefId, id, { sort: 'name', ...filter })).people.map(({ name }) => name);

describe('keeping', () => {
  it('puts each person on the list once, says why, and can be undone', async () => {
    const { briefId, id, kept } = await listOf([
      person('1', 'Anna Berg', 'Nordkøl A/S'),
      person('2', 'BERG, Anna', 'Nordkøl', { country: 'DK', contact: [] }),
      person('3', 'Ole Dahl', 'Frisk')
    ]);
    expect(kept).toEqual({ kept: 2, there: 0, joined: 1, objected: 0 });
    expect(await names(briefId, id)).toEqual(['Anna Berg', 'Ole Dahl']);
    const again = await keepPeople({
      briefId,
      id,
      why: '',
      from: { kind: 'people', people: [person('4', 'Ole Dahl', 'Frisk BV', { place: 'Delft' })] }
    });
    expect(again).toEqual({ kept: 0, there: 1, joined: 0, objected: 0 });
    const { people } = await listKept(briefId, id, { words: 'dahl' });
    expect(people).toMatchObject([
      { place: 'Delft', keptWhy: 'tried', keptFrom: 'people', greeting: 'Ole', tidyTitle: 'Quality Manager' }
    ]);
    await undo(briefId, id);
    expect((await listKept(briefId, id, { words: 'dahl' })).people[0]!.place).toBe('');
    await undo(briefId, id);
    expect(await names(briefId, id)).toEqual([]);
    await expect(undo(briefId, id)).rejects.toThrow('nothing to undo');
  });

  it('takes people from a trial, all fits, and a harvest by filter', async () => {
    const { id: briefId } = await createBrief('Kept from places');
    const { number } = await keepVersion(briefId, 'title:("quality manager" OR QA)');
    const { id: trialId } = await runTrial(briefId, number, 'marlow-register', 20);
    const { sample } = await readTrial(briefId, trialId);
    const [first, second] = sample.map((row) => row.person.id);
    for (const personId of [first!, second!])
      await giveVerdict(briefId, { sourceId: 'marlow-register', personId, verdict: 'fit', reason: '', revision: 0 });
    const { id } = await createShortlist(briefId, { name: 'Mine', purpose: '' });
    const one = await keepPeople({
      briefId,
      id,
      why: 'a key',
      from: { kind: 'records', records: [{ sourceId: 'marlow-register', personId: first! }] }
    });
    expect(one.kept).toBe(1);
    const fits = await keepNow({ briefId, id, why: 'all fits', from: { kind: 'fits' } });
    expect(fits.kept + fits.there).toBeGreaterThan(0);
    const { people } = await listKept(briefId, id, {});
    expect(people.length).toBe(one.kept + fits.kept);
    expect(people.every(({ verdict }) => verdict === 'fit')).toBe(true);

    const { id: harvest } = await startHarvest(briefId, {
      name: 'All',
      from: [{ sourceId: 'marlow-register', version: number }],
      budget: { requestsPerDay: null, records: null, spend: null }
    });
    for (let i = 0; i < 300 && (await readHarvest(briefId, harvest)).state !== 'done'; i++)
      await new Promise((done) => setTimeout(done, 50));
    await orderAnew(briefId, harvest);
    const gathered = (await listHarvestPeople(briefId, harvest, {}, null)).of!;
    const all = await keepNow({ briefId, id, why: '', from: { kind: 'harvest', harvest } });
    expect(all.kept + all.there).toBe(gathered);
    await expect(
      keepNow({ briefId, id, why: '', from: { kind: 'harvest', harvest, words: 'nobody is called so' } })
    ).rejects.toThrow('Nobody in this harvest');
    const received = await readShortlist(briefId, id);
    expect(received.road.gathered).toBe(gathered);
    expect(received.road.kept).toBe(received.people);
    expect(received.road.fits).toBe(new Set([first, second]).size);

    const like = await moreLikeThese(
      briefId,
      id,
      (await listKept(briefId, id, { verdict: 'fit' })).people.map(({ number: at }) => at)
    );
    expect(like.text).toContain('title:');
    expect(like.precision.fits).toBeGreaterThan(0);
    expect(like.traits[0]!.good).toBe(like.traits[0]!.ofGood);
  }, 60_000);
});

describe('the table', () => {
  it('is sorted, filtered, tagged and changed for many, each step to be undone', async () => {
    const { briefId, id } = await listOf([
      person('1', 'Anna Berg', 'Nordkøl'),
      person('2', 'Ole Dahl', 'Frisk'),
      person('3', 'Eva Smit', 'Polder')
    ]);
    const { revision } = await readShortlist(briefId, id);
    await changeShortlist(briefId, id, {
      revision,
      columns: [
        { name: 'score', type: 'number', choices: [] },
        { name: 'wave', type: 'choice', choices: ['first', 'second'] },
        { name: 'called', type: 'yes/no', choices: [] }
      ]
    });
    await expect(changeShortlist(briefId, id, { revision, name: 'Too late' })).rejects.toMatchObject({ status: 409 });
    const { people } = await listKept(briefId, id, { sort: '-name' });
    expect(people.map(({ name }) => name)).toEqual(['Ole Dahl', 'Eva Smit', 'Anna Berg']);
    const [ole, eva, anna] = people.map(({ number }) => number) as [number, number, number];
    await changeKept(
      briefId,
      id,
      { numbers: [anna, eva] },
      { addTags: ['hot'], priority: 1, nextStep: 'write', nextOn: '2026-12-01' }
    );
    await changeKept(briefId, id, { numbers: [ole] }, { own: { score: 10, wave: 'second' } });
    await changeKept(briefId, id, { numbers: [eva] }, { own: { score: 9 } });
    expect(await names(briefId, id, { tag: 'hot' })).toEqual(['Anna Berg', 'Eva Smit']);
    expect(await names(briefId, id, { sort: '-own.score,name' })).toEqual(['Ole Dahl', 'Eva Smit', 'Anna Berg']);
    expect(await names(briefId, id, { due: '2026-11-30' })).toEqual([]);
    expect(await names(briefId, id, { due: '2026-12-01', words: 'anna' })).toEqual(['Anna Berg']);
    // Of a single person nobody's words are overwritten unseen: both are told.
    await changeKept(briefId, id, { numbers: [ole] }, { note: 'Calls on Friday' }, { note: '' });
    await expect(
      changeKept(briefId, id, { numbers: [ole] }, { note: 'Left the firm' }, { note: '' })
    ).rejects.toMatchObject({
      status: 409,
      message: expect.stringMatching(/to “Calls on Friday”.*Yours, “Left the firm”/) as string
    });
    await expect(
      changeKept(briefId, id, { numbers: [ole] }, { own: { score: 11 } }, { own: { score: 9 } })
    ).rejects.toThrow('score was changed meanwhile, to “10”');
    await changeKept(briefId, id, { numbers: [ole] }, { note: '' }, { note: 'Calls on Friday' });
    await expect(changeKept(briefId, id, { numbers: [ole] }, { own: { wave: 'third' } })).rejects.toThrow(
      'isn’t one of the choices'
    );
    await expect(changeKept(briefId, id, { numbers: [ole] }, { own: { score: 'ten' } })).rejects.toThrow(
      'isn’t a number'
    );
    await expect(listKept(briefId, id, { sort: 'name; DROP TABLE shortlists' })).rejects.toThrow('isn’t a column');
    expect(
      await changeKept(briefId, id, { filter: { tag: 'hot' } }, { removeTags: ['hot'], addTags: ['warm'] })
    ).toEqual({ people: 2 });
    expect(await names(briefId, id, { tag: 'hot' })).toEqual([]);
    await undo(briefId, id);
    expect(await names(briefId, id, { tag: 'hot' })).toEqual(['Anna Berg', 'Eva Smit']);
    await changeKept(briefId, id, { numbers: [anna] }, { drop: true });
    expect((await listShortlists(briefId))[0]!.people).toBe(2);
    await undo(briefId, id);
    expect((await readKept(briefId, id, anna)).person).toMatchObject({
      name: 'Anna Berg',
      tags: ['hot'],
      priority: 1,
      nextOn: '2026-12-01'
    });
    await deleteShortlist(briefId, id);
    expect(await listShortlists(briefId)).toEqual([]);
  });

  it('joins records field by field as somebody chooses, joins and splits people, and asks about doubtful pairs', async () => {
    const { briefId, id } = await listOf([
      person('1', 'Jan Willem Visser', 'Polderkoel', { place: 'Delft' }),
      person('2', 'Jan-Willem Vissers', 'Polderkoel BV', { place: 'Breda', contact: [] })
    ]);
    const pairs = await doubtfulKept(briefId, id);
    expect(pairs).toHaveLength(1);
    const numbers = pairs[0]!.numbers;
    await joinKept(briefId, id, numbers);
    expect(await doubtfulKept(briefId, id)).toEqual([]);
    let card = await readKept(briefId, id, numbers[0]);
    expect(card.records).toHaveLength(2);
    const place = () => card.fields.find(({ field }) => field === 'place')!;
    expect(place().listed).toEqual(['Delft', 'Breda']);
    await changeKept(briefId, id, { numbers: [numbers[0]] }, { choice: { place: { record: 1 } } });
    card = await readKept(briefId, id, numbers[0]);
    expect(card.person.place).toBe('Breda');
    expect(place()).toMatchObject({ from: 1, why: 'chosen' });
    await changeKept(
      briefId,
      id,
      { numbers: [numbers[0]] },
      { choice: { place: { text: 'Utrecht' } }, written: { greeting: 'JW' } }
    );
    card = await readKept(briefId, id, numbers[0]);
    expect(card).toMatchObject({
      person: { place: 'Utrecht', greeting: 'JW' },
      written: ['greeting'],
      cleaned: { greeting: 'Jan Willem' }
    });
    // Kept again, what was said by hand stays.
    await keepPeople({
      briefId,
      id,
      why: '',
      from: { kind: 'people', people: [person('1', 'Jan Willem Visser', 'Polderkoel', { place: 'Gouda' })] }
    });
    expect((await readKept(briefId, id, numbers[0])).person).toMatchObject({ place: 'Utrecht', greeting: 'JW' });
    await splitKept(briefId, id, numbers[0], 1);
    expect((await readShortlist(briefId, id)).people).toBe(2);
    expect(await doubtfulKept(briefId, id)).toEqual([]);
    await undo(briefId, id);
    expect((await readShortlist(briefId, id)).people).toBe(1);
    await expect(
      changeKept(briefId, id, { numbers: [numbers[0]] }, { choice: { place: { record: 7 } } })
    ).rejects.toThrow('no longer exists');
  });
});

describe('leaving out', () => {
  it('is always with a reason and a count, and never silent', async () => {
    const { briefId, id } = await listOf([
      person('1', 'Anna Berg', 'Nordkøl A/S'),
      person('2', 'Ole Dahl', 'Frisk GmbH', { country: 'DE' }),
      person('3', 'Eva Smit', 'Polder'),
      person('4', 'Per Lund', 'Rivaal', { contact: ['info@rivaal.example'] }),
      person('5', 'Ida Skov', 'Vores', { contact: [] }),
      person('6', 'Bo Holm', 'Kunde ApS')
    ]);
    const contacted = await readDocument(briefId, 'contacted');
    await writeDocument(briefId, 'contacted', {
      body: [person('x', 'Eva Smit', 'Polder B.V.')],
      revision: contacted.revision
    });
    const { revision } = await readShortlist(briefId, id);
    await changeShortlist(briefId, id, {
      revision,
      firms: { customers: ['kunde'], competitors: ['rivaal.example'], own: [] }
    });
    const received = await readShortlist(briefId, id);
    const left = Object.fromEntries(received.counted.leftOut.map(({ value, people }) => [value, people]));
    expect(left).toEqual({
      in: 2,
      out: 4,
      consent: 1,
      contacted: 1,
      competitor: 1,
      'shared mailbox': 1,
      'no address': 1,
      customer: 1
    });
    // Without an address somebody can still be called: the bars, the filter and the export agree.
    expect((await names(briefId, id, { leftOut: 'in' })).sort()).toEqual(['Anna Berg', 'Ida Skov']);
    const look = await previewExport(briefId, id, everybody);
    expect(look.people).toBe(left.in);
    expect(look.leftOut.reduce((sum, { people }) => sum + people, 0)).toBe(5);
    const [anna] = (await listKept(briefId, id, { words: 'anna' })).people;
    await changeKept(briefId, id, { numbers: [anna!.number] }, { leaveOut: 'asked me not to' });
    expect((await listKept(briefId, id, { leftOut: 'by hand' })).people).toHaveLength(1);
    await undo(briefId, id);
    expect((await listKept(briefId, id, { leftOut: 'by hand' })).people).toHaveLength(0);
    const record = await processingRecord(briefId, id);
    expect(record).toContain('to write to them');
    expect(record).toContain('1: already contacted');
    expect(record).not.toContain('Anna');
  });
});

describe('exporting', () => {
  const text = ({ bytes }: { bytes: Uint8Array }) => Buffer.from(bytes).toString('utf8');
  it('writes CSV by a profile, vCards, and hashes; no cell starts a formula', async () => {
    const { briefId, id } = await listOf([
      person('1', 'Anna Berg', 'NORDKØL LOGISTIK A/S'),
      person('2', '=HYPERLINK("x") Dahl', 'Frisk', { contact: ['ole@frisk.example', '+31 20 123 4567'] })
    ]);
    await writeProfile('CRM', {
      body: {
        columns: [
          { header: 'First', from: 'given name', of: '' },
          { header: 'Account', from: 'firm in a sentence', of: '' },
          { header: 'Source', from: 'fixed text', of: 'Eave' },
          { header: 'When', from: 'kept on', of: '' }
        ],
        dates: '31.05.2026',
        numbers: '1234,5'
      },
      revision: 0
    });
    expect((await listProfiles()).map(({ name }) => name)).toEqual(['Standard', 'CRM']);
    const csv = text(await writeExport(briefId, id, { ...everybody, profile: 'CRM' }));
    expect(csv.split('\r\n')[0]).toBe('First,Account,Source,When,Provenance');
    expect(csv).toMatch(/Anna,Nordkøl Logistik,Eave,\d\d\.\d\d\.20\d\d,/);
    const standard = text(await writeExport(briefId, id, everybody));
    expect(standard).not.toMatch(/(^|,|\n)"?=/);
    expect(text(await writeExport(briefId, id, { ...everybody, form: 'tsv' }))).not.toMatch(/(^|\t|\n)=/);
    const cards = text(await writeExport(briefId, id, { ...everybody, form: 'vcf' }));
    expect(cards.match(/BEGIN:VCARD\r\nVERSION:4\.0/g)).toHaveLength(2);
    const hashed = text(await writeExport(briefId, id, { ...everybody, form: 'hashed', salt: 's' }));
    const hash = (value: string) => createHash('sha256').update(`s${value}`).digest('hex');
    expect(hashed).toContain(`mail,${hash('ole@frisk.example')}`);
    expect(hashed).toContain(`phone,${hash('+31201234567')}`);
    const batch = await previewExport(briefId, id, { ...everybody, size: 1, batch: 2 });
    expect(batch).toMatchObject({ people: 1, batches: 2 });
    await deleteProfile('CRM');
    await expect(writeExport(briefId, id, { ...everybody, profile: 'CRM' })).rejects.toMatchObject({ status: 404 });
  });

  it('shows what a merge would do before it happens', async () => {
    const { briefId, id } = await listOf([
      person('1', 'Anna Berg', 'Nordkøl'),
      person('2', 'Ole Dahl', 'Frisk'),
      person('3', 'Eva Smit', 'Polder')
    ]);
    const there =
      'Name,Title,Company,Mail,Owner\r\nAnna Berg,Quality Manager,Nordkøl,anna.berg@nordk.example,me\r\nOle Dahl,Head of QA,Frisk,ole.dahl@frisk.example,me\r\n';
    const merged = await mergeInto(briefId, id, everybody, there);
    expect(merged.counts).toEqual({ new: 1, 'would change': 2, same: 0, conflict: 0 });
    expect(merged.lines.find(({ who }) => who.startsWith('Ole'))!.changes).toContainEqual({
      header: 'Title',
      there: 'Head of QA',
      here: 'Quality Manager'
    });
    expect(merged.onlyThere).toEqual(['Owner']);
    await expect(mergeInto(briefId, id, everybody, 'nothing')).rejects.toThrow('needs a header row');
  });
});

describe('an objection', () => {
  /** Every text of every table, as the database holds it. */
  async function allTexts(): Promise<string> {
    const tables = await database().query<{ name: string }>(
      `SELECT quote_ident(table_name) AS name FROM information_schema.tables WHERE table_schema = 'public' AND table_type = 'BASE TABLE'`,
      { type: QueryTypes.SELECT }
    );
    const parts: string[] = [];
    for (const { name } of tables) {
      const [row] = await database().query<{ text: string | null }>(
        `SELECT string_agg(t::text, E'\\n') AS text FROM ${name} t`,
        { type: QueryTypes.SELECT }
      );
      parts.push(row!.text ?? '');
    }
    return parts.join('\n');
  }

  it('erases somebody everywhere, down to the database, and they are never taken in again', async () => {
    const { briefId, id } = await listOf([
      person('zoë-1', 'Zoë Quillfeather', 'Nordkøl', { contact: ['zoe.q@nordkol.example'] }),
      person('2', 'Ole Dahl', 'Frisk')
    ]);
    await addKnown(briefId, [person('k', 'Zoë Quillfeather', 'Nordkøl A/S', { contact: [] })]);
    const contacted = await readDocument(briefId, 'contacted');
    await writeDocument(briefId, 'contacted', {
      body: [person('c', 'QUILLFEATHER, Zoe', 'Nordkøl', { contact: [] })],
      revision: contacted.revision
    });
    const { number } = await keepVersion(briefId, 'title:(quality OR QA)');
    const { id: trialId } = await runTrial(briefId, number, 'marlow-register', 20);
    // A trial, a verdict and a note that hold the person too.
    const zoe = person('m-9', 'Zoe Quillfeather', 'Nordkøl', { contact: [] });
    await database().query(
      `UPDATE trial_pages SET people = people || $person::jsonb WHERE trial_id = $trialId AND page = 0`,
      { bind: { trialId, person: JSON.stringify([zoe]) } }
    );
    await database().query(
      `UPDATE trials SET found = found || '["m-9"]', sample_size = sample_size + 1, erased = 1 WHERE id = $trialId`,
      { bind: { trialId } }
    );
    await database().query(
      `INSERT INTO trial_people (trial_id, rank, person_id, person)
       SELECT id, jsonb_array_length(found), 'm-9', $person::jsonb FROM trials WHERE id = $trialId`,
      { bind: { trialId, person: JSON.stringify(zoe) } }
    );
    await giveVerdict(briefId, {
      sourceId: 'marlow-register',
      personId: 'm-9',
      verdict: 'fit',
      reason: 'Zoe Quillfeather told me',
      revision: 0
    });
    await writeNote(briefId, {
      sourceId: 'marlow-register',
      personId: 'm-9',
      text: 'Ask Zoe Quillfeather again',
      revision: 0
    });
    expect(await allTexts()).toMatch(/quillfeather/i);
    // Read once, it is available.
    const before = await readTrial(briefId, trialId);
    expect(before.sample.map((one) => one.person.name)).toContain(zoe.name);
    const boardBefore = await boardFor(briefId);

    const { erased } = await objectTo({ sourceId: 'list', personId: 'zoe.q@nordkol.example' });
    expect(erased.map(({ what }) => what)).toEqual(
      expect.arrayContaining([
        'people on shortlists',
        'pages of trials',
        'notes',
        'verdicts, kept without a name',
        'known-goods and people contacted'
      ])
    );
    const texts = await allTexts();
    expect(texts).not.toMatch(/quillfeather/i);
    expect(texts).not.toContain('zoe.q@nordkol.example');
    expect(texts).not.toContain('m-9');
    const after = await readTrial(briefId, trialId);
    expect(JSON.stringify(after)).not.toMatch(/quillfeather|m-9/i);
    expect(after.figures!.shown).toEqual(before.figures!.shown);
    const board = await boardFor(briefId);
    expect(board.cells.map(({ people }) => people)).toEqual(boardBefore.cells.map(({ people }) => people));
    expect(board.judged).toBe(boardBefore.judged);
    expect(await countObjections()).toEqual({ people: 1 });
    expect(await names(briefId, id)).toEqual(['Ole Dahl']);

    const again = await keepPeople({
      briefId,
      id,
      why: '',
      from: {
        kind: 'people',
        people: [
          person('new', 'Dr. Zoé Quillfeather', 'Nordkøl ApS', { contact: [] }),
          person('n2', 'Q', 'X', { contact: ['zoe.q@nordkol.example'] })
        ]
      }
    });
    expect(again).toEqual({ kept: 0, there: 0, joined: 0, objected: 2 });
    await addKnown(briefId, [person('k', 'Zoë Quillfeather', 'Nordkøl A/S', { contact: [] })]);
    expect(await allTexts()).not.toMatch(/quillfeather/i);
    await expect(objectTo({ person: { name: 'Only Aname', company: '', contact: [] } })).rejects.toThrow(
      'a name with a firm'
    );
  });

  it('follows telephones, tags, pages and every decision, and keeps colleagues who share a switchboard', async () => {
    const contact = (...list: string[]) => ({ contact: list });
    const { briefId, id } = await listOf([
      person(
        'p1',
        'Isra Thorngate',
        'Kelpline',
        contact('isra@kelpline.example', '+45 31 22 33 44', '+45 70 10 20 30')
      ),
      person('p2', 'Isra M. Thorngate', 'Fjordlager', contact('+4531223344')),
      person('p3', 'I. Thorngate', 'Elsewhere', contact('isra+news@kelpline.example')),
      person('p4', 'Bo Kvist', 'Kelpline', contact('bo@kelpline.example', '+45 70 10 20 30')),
      person('p5', 'Thornie', 'Sideproject', contact('thornie@side.example'))
    ]);
    // What somebody decided leads from a list to a source, and from there to another.
    await decideSame(
      { sourceId: 'quillbank', personId: 'q-5' },
      { sourceId: 'marlow-register', personId: 'm-77' },
      true
    );
    await writeNote(briefId, { sourceId: 'marlow-register', personId: 'm-77', text: 'call back', revision: 0 });
    await database().query(
      `INSERT INTO shortlist_pairs (shortlist_id, a, b, same) VALUES ($id, E'list\\nisra@kelpline.example', E'list\\nthornie@side.example', true), ($id, E'list\\nisra@kelpline.example', E'quillbank\\nq-5', true)`,
      { bind: { id } }
    );
    const reading = (samples: string[][]) =>
      JSON.stringify({
        format: 'csv',
        encoding: 'utf-8',
        delimiter: ',',
        columns: samples.map((list, i) => ({ name: `c${i}`, field: 'ignore', samples: list }))
      });
    await database().query(
      `INSERT INTO imports (id, file_name, bytes, reading, state, created_at, updated_at) VALUES
         (gen_random_uuid(), 'Thorngate Isra.csv', 1, $theirs::jsonb, 'done', now(), now()), (gen_random_uuid(), 'b.csv', 1, $others::jsonb, 'ready', now(), now())`,
      { bind: { theirs: reading([['Isra'], ['Thorngate']]), others: reading([['Bo'], ['Kvist']]) } }
    );
    const file = await exportBrief(briefId);
    file.documents.known = [person('k1', 'Isra Thorngate', 'Kelpline', contact('isra@kelpline.example'))];
    await keepVersion(briefId, 'title:(QA OR quality) AND "Isra Thorngate"');

    const { left } = await objectTo({ sourceId: 'list', personId: 'isra@kelpline.example' });
    expect(await names(briefId, id)).toEqual(['Bo Kvist']);
    expect(await database().query(`SELECT 1 FROM notes WHERE person_id = 'm-77'`, { type: QueryTypes.SELECT })).toEqual(
      []
    );
    const [columns] = await database().query<{ theirs: string; others: string }>(
      `SELECT string_agg(reading::text, '') FILTER (WHERE file_name LIKE 'Thorn%') AS theirs, string_agg(reading::text, '') FILTER (WHERE file_name = 'b.csv') AS others FROM imports`,
      { type: QueryTypes.SELECT }
    );
    expect(columns!.theirs).not.toMatch(/Isra|Thorngate/);
    expect(columns!.others).toContain('Kvist');
    expect(left).toEqual(
      expect.arrayContaining([
        {
          what: 'versions and their notes',
          brief: { id: briefId, name: expect.any(String) as string },
          rows: expect.any(Number) as number
        },
        { what: 'names of files and sources', brief: null, rows: 1 },
        { what: 'uploaded files that are not imported yet', brief: null, rows: expect.any(Number) as number }
      ])
    );

    // Coming back by whatever they were known by; a colleague at the switchboard may come.
    const back = (one: Person) =>
      keepPeople({ briefId, id, why: '', from: { kind: 'people', people: [one] } }).then(({ objected }) => objected);
    expect(await back(person('n1', 'Isra Thorngate', 'A new firm', contact('0045 3122 3344')))).toBe(1);
    expect(await back(person('n2', 'Somebody', 'A new firm', contact('+45 3122 3344')))).toBe(1);
    expect(await back(person('n3', 'X', 'Y', contact('Isra+other@Kelpline.example')))).toBe(1);
    expect(await back(person('n4', 'Thornie', 'Z', contact('thornie@side.example')))).toBe(1);
    expect(await back(person('n5', 'Isra Thorngate', 'Z', contact('+45 70 10 20 30')))).toBe(1);
    expect(await back(person('n6', 'Ida Holm', 'Kelpline', contact('+45 70 10 20 30')))).toBe(0);

    // A brief file that left before brings nobody back.
    const again = await importBrief(file);
    expect((await readDocument(again.id, 'known')).body).toEqual([]);
  });

  it('keeps figures and leaves people out of a brief file that holds somebody who objected', async () => {
    const { id: briefId } = await createBrief('Left before');
    const { number } = await keepVersion(briefId, 'title:(quality OR QA)');
    const trial = await runTrial(briefId, number, 'marlow-register', 5);
    const [first] = trial.sample;
    const on = { sourceId: 'marlow-register', personId: first!.person.id };
    await giveVerdict(briefId, { ...on, verdict: 'fit', reason: `${first!.person.name} it is`, revision: 0 });
    const file = await exportBrief(briefId);
    await objectTo(on);
    const copy = await importBrief(structuredClone(file));
    expect(copy.objected).toBe(1);
    const after = JSON.stringify(await exportBrief(copy.id));
    expect(after).not.toContain(first!.person.name);
    expect(after).not.toContain(JSON.stringify(first!.person.id));
    const [there] = (await exportBrief(copy.id)).trials;
    expect(there!.found).toHaveLength(file.trials[0]!.found.length);
    expect((await exportBrief(copy.id)).verdicts).toMatchObject([{ verdict: 'fit', reason: '' }]);
  });

  it('erases somebody from a trial page that was read before, though nothing else of the brief changes', async () => {
    const { id: briefId } = await createBrief('Read before');
    const { number } = await keepVersion(briefId, 'title:(quality OR QA)');
    const { id: trialId } = await runTrial(briefId, number, 'marlow-register', 5);
    const odd = person('m-10', 'Orla Pennywhistle', 'Tidewater Cold', { contact: [] });
    await database().query(`UPDATE trials SET found = found || '["m-10"]', erased = 1 WHERE id = $trialId`, {
      bind: { trialId }
    });
    await database().query(
      `INSERT INTO trial_people (trial_id, rank, person_id, person)
       SELECT id, jsonb_array_length(found), 'm-10', $person::jsonb FROM trials WHERE id = $trialId`,
      { bind: { trialId, person: JSON.stringify(odd) } }
    );
    expect((await readTrial(briefId, trialId)).sample.map((one) => one.person.name)).toContain(odd.name);
    await objectTo({ sourceId: 'marlow-register', personId: 'm-10' });
    expect(JSON.stringify(await readTrial(briefId, trialId))).not.toMatch(/pennywhistle|m-10/i);
  });
});
