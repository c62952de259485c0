import pg from 'pg';
import { existsSync, readdirSync } from 'node:fs';
import writeWorkbook, { type SheetData } from 'write-excel-file/node';
import { describe, expect, it } from 'vitest';
import type { ReadableStream } from 'node:stream/web';
import { models } from '$server/platform/database/models';
import { environment } from '$server/platform/environment';
import { Refusal } from '$server/platform/refusal';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { createBrief, readDocument } from '$server/features/briefs/briefs';
import { ledgerOf as ledgerOfJson } from '$server/features/strings/ledger';
import { deleteSource, listSources, readySource } from '$server/features/sources/sources';
import { createShortlist } from '$server/features/shortlist/shortlists';
import { runTrial } from '$server/features/trials/trials';
import { keepVersion } from '$server/features/trials/versions';
import type { ColumnField } from '$core/formats';
import { askPeople } from '$server/workers/people';
import { readImportValues } from './import-values';
import { readImport, receiveFile, resumeImports, startImport, stopImport } from './imports';
import { readable } from '$server/testing/readable';

useFreshDatabase();
const ledgerOf = readable(ledgerOfJson);

const stream = (content: string | Uint8Array) => new Blob([content as BlobPart]).stream() as unknown as ReadableStream;
const upload = (content: string | Uint8Array, name = 'people.csv') => receiveFile(name, stream(content));

const settings = (mapping: ColumnField[], skipBadRows = false, into: string | null = null) => ({
  name: 'People',
  mapping,
  skipBadRows,
  into
});

async function importAll(
  content: string | Uint8Array,
  { name = 'people.csv', skip = false, badCells = 'empty' as 'empty' | 'skip' } = {}
) {
  const job = await upload(content, name);
  await startImport(job.id, {
    ...settings(
      job.reading.columns.map(({ field }) => field),
      skip
    ),
    badCells
  });
  return ended(job.id);
}
async function ended(id: string) {
  for (;;) {
    const job = await readImport(id);
    if (job.state !== 'running') return job;
    await new Promise((done) => setTimeout(done, 20));
  }
}
const refused = async (content: string | Uint8Array, name?: string): Promise<string> => {
  const error: unknown = await upload(content, name).catch((thrown: unknown) => thrown);
  expect(error).toBeInstanceOf(Refusal);
  return (error as Refusal).message;
};
const peopleOf = async (sourceId: string | null) =>
  (await models().SourcePerson.findAll({ where: { sourceId: sourceId! }, order: ['ordinal'] })).map(
    ({ person }) => person
  );

describe('own fields', () => {
  const file = [
    'Nombre;Puesto;Empresa;País;N.º de cubiertos;Última visita;Menú vegano;Estilo;Sobre mí',
    'Ana Gil;Jefa de cocina;Hotel Mar;España;1.200;05/03/2026;sí;cocina de mercado;Soy responsable de la calidad de nuestra cocina y formo a las personas que trabajan en ella.',
    'Rui Sá;Chefe de cozinha;Casa Pequena;Portugal;80;12/01/2026;não;petiscos;',
    'Ugo Neri;Capocuoco;Osteria Bassa;Italia;muchos;;sì;cucina di mercato;'
  ].join('\n');

  it('are what matches no field: typed, searched, ranged over and listed by the sheet', async () => {
    const { outcome, sourceId } = await importAll(file);
    expect(outcome).toMatchObject({ rows: 3, emptied: 1 });
    expect(outcome!.errors[0]!.message).toBe('“muchos” in “n o de cubiertos” is not a number.');
    expect((await peopleOf(sourceId)).map(({ own }) => own)).toEqual([
      { n_o_de_cubiertos: 1200, última_visita: '2026-03-05', menú_vegano: true, estilo: 'cocina de mercado' },
      { n_o_de_cubiertos: 80, última_visita: '2026-01-12', menú_vegano: false, estilo: 'petiscos' },
      { menú_vegano: true, estilo: 'cucina di mercato' }
    ]);
    const { sheet } = (await listSources()).find(({ id }) => id === sourceId)!;
    expect(sheet.lists).toEqual(
      expect.arrayContaining(['own.n_o_de_cubiertos', 'own.última_visita', 'own.menú_vegano', 'own.estilo'])
    );
    const texts = [
      'own.n_o_de_cubiertos:[100 TO *]',
      'own.n_o_de_cubiertos:80',
      'own.última_visita:[2026-03 TO 2026-03]',
      'own.menú_vegano:yes NOT country:ES',
      'own.estilo:"di mercato"',
      'own.estilo:merca*',
      'NOT own.n_o_de_cubiertos:[100 TO *]'
    ];
    await readySource(sourceId!);
    const counts = await askPeople('count-each', { sourceId: sourceId!, texts });
    expect(counts.map((one) => [one!.certain.middle, one!.possible.middle])).toEqual([
      [1, 2],
      [1, 2],
      [1, 2],
      [1, 1],
      [1, 1],
      [2, 2],
      [1, 2]
    ]);
    // The language of a profile is told, or shown by its words.
    const [ana, rui] = await peopleOf(sourceId);
    expect(ana).toMatchObject({ language: 'es', read: ['language'] });
    expect(rui).not.toHaveProperty('language');
    const spoken = await askPeople('count-each', {
      sourceId: sourceId!,
      texts: ['language:Spanish', 'language:es', 'language:castellano', 'language:de']
    });
    expect(spoken.map((one) => one!.certain.middle)).toEqual([1, 1, 1, 0]);
    expect(await askPeople('values-at', { sourceId: sourceId!, scope: 'own.estilo', begins: 'mer', limit: 9 })).toEqual(
      [
        { text: 'cocina de mercado', people: 1 },
        { text: 'cucina di mercato', people: 1 }
      ]
    );
  });
});

describe('values on standard lists', () => {
  const file = [
    'Nombre;Puesto;País;Sector;Área;Empleados',
    'Ana Gil;Jefa de cocina;España;Hotelería;Cocina;50-249',
    'Rui Sá;Chefe;Portugal;Casa de pasto;Cozinha;Pequena empresa',
    'Ugo Neri;Capocuoco;Italia;Empresas de catering;Misterios;',
    'Eva Ruiz;Jefa;España;Casa de Pasto;Cocina;muchos'
  ].join('\n');
  const mapping: ColumnField[] = ['name', 'title', 'country', 'industry', 'function', 'headcount'];
  const valuesOf = async (id: string) =>
    (await readImportValues(id, mapping)).values
      .filter(({ field }) => field === 'industry' || field === 'headcount')
      .map(({ text, rows, standard, by }) => [text, rows, standard, by]);

  it('are shown before anything is saved, can be chosen, and are reused for the next file', async () => {
    const job = await upload(file);
    expect(await valuesOf(job.id)).toEqual([
      ['Casa de pasto', 2, null, null],
      ['Hotelería', 1, '55', 'name'],
      ['Empresas de catering', 1, '56', 'likeness'],
      ['50-249', 1, '50-249', 'name'],
      ['Pequena empresa', 1, '10-49', 'likeness'],
      ['muchos', 1, null, null]
    ]);
    const { lists } = await readImportValues(job.id, mapping);
    expect(lists.industry).toContainEqual({ value: '55', name: '55 Accommodation' });
    expect(lists.headcount).toEqual([]);

    await expect(
      startImport(job.id, {
        ...settings(mapping),
        values: [{ field: 'industry', text: 'Casa de pasto', standard: 'food' }]
      })
    ).rejects.toThrow('list for industry has no “food”');
    await startImport(job.id, {
      ...settings(mapping),
      values: [
        { field: 'industry', text: 'Casa de pasto', standard: '56' },
        { field: 'industry', text: 'Empresas de catering', standard: null },
        { field: 'headcount', text: 'Pequena empresa', standard: '10-49' }
      ]
    });
    const { outcome, sourceId } = await ended(job.id);
    expect(outcome!.message).toContain('4 people imported');
    expect(
      (await peopleOf(sourceId)).map(({ industry, headcount, country }) => [industry, headcount, country])
    ).toEqual([
      ['55', 150, 'ES'],
      ['56', 30, 'PT'],
      ['Empresas de catering', undefined, 'IT'],
      ['56', undefined, 'ES']
    ]);
    // The function of a file in Spanish is the one that a persona asks for.
    expect((await peopleOf(sourceId))[0]!.function).toBe((await peopleOf(sourceId))[1]!.function);

    await expect(readImportValues(job.id, mapping)).rejects.toThrow('Choose it again');
    const next = await upload('Nombre;Sector\nIda;CASA DE PASTO\nLea;Empresas de catering\n');
    const { values } = await readImportValues(next.id, ['name', 'industry']);
    expect(values.map(({ text, standard, by }) => [text, standard, by])).toEqual([
      ['CASA DE PASTO', '56', 'memory'],
      ['Empresas de catering', null, 'memory']
    ]);
  });
});

describe('lists of people', () => {
  const file = [
    'Nombre;Empresa;E-mail;País',
    'Ana Gil;Hotel Mar;ana@hotel.example;España',
    'Ana Gil;Hotel Mar;ana@hotel.example;España',
    'Rui Sá;Casa Pequena;;Portugal',
    'Nadie;;;'
  ].join('\n');
  const onto = async (
    list: 'contacted' | 'known' | 'customers' | 'objected',
    briefId: string | null,
    content = file
  ) => {
    const job = await upload(content);
    const mapping = job.reading.columns.map(({ field }) => field);
    await startImport(job.id, { ...settings(mapping), onto: { list, briefId } });
    return ended(job.id);
  };

  it('come by the same desk: people contacted and known-goods of a brief, each once', async () => {
    const { id } = await createBrief('Listas');
    const first = await onto('contacted', id);
    expect(first).toMatchObject({ state: 'done', sourceId: null });
    expect(first.outcome!.message).toBe(
      '2 people contacted added, 1 already there, 1 without a mail address or a name with a firm, 1 look like one before them.'
    );
    const { body } = await readDocument(id, 'contacted');
    expect(body.map(({ id: name, country }) => [name, country])).toEqual([
      ['contacted-1', 'ES'],
      ['contacted-2', 'PT']
    ]);
    expect((await onto('known', id)).outcome!.message).toContain('2 known-goods added');
    await expect(onto('known', '00000000-0000-4000-8000-000000000000')).rejects.toThrow('This brief');
  });

  it('are of customers too: firms, with people or without, that every shortlist of the brief leaves out', async () => {
    const { id } = await createBrief('Clientes');
    const firms = 'Empresa;Notas\nHotel Mar S.L.;vip\nHOTEL MAR;\nCasa Pequena;\n;nobody\n';
    expect((await onto('customers', id, firms)).outcome!.message).toBe(
      '2 customers added, 0 already there, 1 rows without a firm.'
    );
    await createShortlist(id, { name: 'Another', purpose: '' });
    expect((await onto('customers', id)).outcome!.message).toContain('2 customers added, 0 already there');
    expect((await onto('customers', id)).outcome!.message).toContain('0 customers added, 2 already there');
    const kept = await models().Shortlist.findAll({ where: { briefId: id }, order: ['createdAt'] });
    expect(kept.map(({ firms: left }) => left.customers)).toEqual([
      ['Hotel Mar S.L.', 'Casa Pequena'],
      ['Hotel Mar', 'Casa Pequena']
    ]);
    await expect(onto('customers', id, 'Nombre;Notas\nAna;x\n')).rejects.toThrow('Couldn’t find a firm column');
  });

  it('are of those who objected too: erased everywhere, and never taken in again', async () => {
    const { id } = await createBrief('Objeciones');
    const { sourceId } = await importAll(file);
    expect((await peopleOf(sourceId)).map(({ name }) => name)).toContain('Rui Sá');
    const received = await onto('objected', null, 'Nombre;Empresa\nRui Sá;Casa Pequena\n');
    expect(received.outcome!.message).toBe('1 are never taken in again, and what was kept of them was erased.');
    expect((await peopleOf(sourceId)).map(({ name }) => name)).not.toContain('Rui Sá');
    expect((await onto('contacted', id)).outcome!.message).toContain('1 people contacted added, 1 already there');
    expect((await readDocument(id, 'contacted')).body.map(({ name }) => name)).toEqual(['Ana Gil']);
  });
});

describe('reading a file', () => {
  it('recognises separators, encodings and columns', async () => {
    const job = await upload('Navn;Stilling;Firma;Land\nSøren Høj;Kvalitetschef;"Køl; A/S";Danmark\n');
    expect(job.reading).toMatchObject({ format: 'csv', delimiter: ';', encoding: 'utf-8' });
    expect(job.reading.columns.map(({ field }) => field)).toEqual(['name', 'title', 'company', 'country']);
    expect(job.reading.columns[2]!.samples).toEqual(['Køl; A/S']);
  });

  it.each([
    [
      'Latin-1',
      new Uint8Array(
        [...'Name,Title\nS']
          .map((c) => c.charCodeAt(0))
          .concat(
            [0xf8],
            [...'ren H'].map((c) => c.charCodeAt(0)),
            [0xf8],
            [...'j,QA leder'].map((c) => c.charCodeAt(0)),
            [0xe5],
            [10]
          )
      )
    ],
    ['UTF-16', new Uint8Array(Buffer.from('\ufeffName,Title\nSøren Høj,QA lederå\n', 'utf16le'))],
    ['UTF-8 with a mark', new Uint8Array(Buffer.from('\ufeffName,Title\nSøren Høj,QA lederå\n'))]
  ])('reads %s', async (_, content) => {
    const job = await importAll(content);
    expect(await peopleOf(job.sourceId)).toMatchObject([{ name: 'Søren Høj', jobs: [{ title: 'QA lederå' }] }]);
  });

  it('refuses, with a sentence, what is no table of people', async () => {
    expect(await refused('')).toContain('is empty');
    expect(await refused('Name,Title\n')).toContain('no other rows');
    expect(await refused(new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 1, 2, 3]), 'photo.png')).toContain(
      'not a text file'
    );
    expect(await refused('<html><body>x</body></html>')).toContain('neither CSV');
    expect(await refused('[{"name":"x"}]', 'x.json')).toContain('one JSON object per line');
    expect(await refused('{"name": oops}\n', 'x.jsonl')).toContain('line 1');
    expect(await refused('x'.repeat(5000))).toContain('no columns');
    expect(readdirSync(environment().uploads)).not.toContain('x.jsonl');
  });

  it('takes 200 columns', async () => {
    const names = Array.from({ length: 200 }, (_, i) => (i === 57 ? 'name' : `extra ${i}`));
    const job = await importAll(`${names.join(',')}\n${names.map((_, i) => `cell ${i}`).join(',')}\n`);
    expect(await peopleOf(job.sourceId)).toMatchObject([{ name: 'cell 57' }]);
  });
});

describe('importing', () => {
  it('keeps people of CSV and JSON Lines, whole careers among them', async () => {
    const csv = await importAll('name,title,employees\nAnn Ash,"Head of\nQuality",50-249\nBo By,QA,12\n');
    expect(csv).toMatchObject({ state: 'done', outcome: { message: '2 people imported.' } });
    const flat = await importAll('{"name":"Cy","title":"QA","skills":["a","b"]}\n\n{"name":"Di"}\n', {
      name: 'p.jsonl'
    });
    expect(await peopleOf(flat.sourceId)).toMatchObject([{ name: 'Cy', skills: ['a', 'b'] }, { name: 'Di' }]);
    const whole = await importAll('{"id":"7","name":"Eve","jobs":[{"title":"RP","company":"X","from":"2020-01"}]}\n', {
      name: 'p.jsonl'
    });
    expect(await peopleOf(whole.sourceId)).toMatchObject([{ id: '7', jobs: [{ title: 'RP', from: '2020-01' }] }]);
  });

  it('saves nothing of a refused file and names rows and lines; imports the rest when asked', async () => {
    const content = 'name,title,employees\n"Ann\nAsh",QA,12\nBo,QA,about fifty\n,QA,3\nCy,QA,7,extra\n';
    const job = await importAll(content);
    expect(job.state).toBe('refused');
    expect(job.outcome!.errors).toMatchObject([
      { row: 2, line: 4, message: expect.stringContaining('about fifty') as string, cell: true },
      { row: 3, line: 5, message: 'The name is empty.' },
      { row: 4, line: 6, message: expect.stringContaining('4 cells and the heading 3') as string }
    ]);
    expect(await models().Source.count({ where: { id: `file-${job.id}` } })).toBe(0);
    expect(existsSync(`${environment().uploads}/${job.id}`)).toBe(false);
    await expect(startImport(job.id, settings(['name', 'title', 'headcount'], true))).rejects.toThrow(
      'Choose the file again'
    );
    const rest = await importAll(content, { skip: true });
    expect(rest).toMatchObject({
      state: 'done',
      outcome: { message: '2 people imported, 2 rows left out, 1 cells left empty, which are named below.' }
    });
    await expect.poll(() => existsSync(`${environment().uploads}/${rest.id}`)).toBe(false);
  });

  it('leaves a bad cell empty, or its row out, as is wanted', async () => {
    const content = 'Nombre,Puesto,Plantilla,Desde\nMarta,Cheffe,unos 40,03/2021\nIker,Jefe,muchos,2020\n';
    const kept = await importAll(content);
    expect(kept).toMatchObject({
      state: 'done',
      outcome: { emptied: 1, leftOut: 0, errors: [{ row: 2, cell: true }] }
    });
    expect(await peopleOf(kept.sourceId)).toMatchObject([
      { name: 'Marta', headcount: 40, jobs: [{ title: 'Cheffe', from: '2021-03' }] },
      { name: 'Iker', jobs: [{ from: '2020' }] }
    ]);
    const without = await importAll(content, { badCells: 'skip' });
    expect(without).toMatchObject({ state: 'done', outcome: { emptied: 0, leftOut: 1 } });
    expect(await peopleOf(without.sourceId)).toHaveLength(1);
  });

  it('tells the line of a broken quote', async () => {
    const job = await importAll('name,title\nAnn,QA\nBo,"QA\nCy,QA\n');
    expect(job.state).toBe('refused');
    expect(job.outcome!.errors[0]!.message).toContain('never closes');
  });

  it('refuses a column matching that names nobody, and a key that stands twice', async () => {
    const job = await upload('name,title\nAnn,QA\n');
    const error = await startImport(job.id, settings(['ignore', 'title'])).catch((thrown: unknown) => thrown);
    expect((error as Refusal).message).toContain('Couldn’t find a name column');
    const twice = await importAll('id,name\n1,Ann\n1,Bo\n');
    expect(twice.outcome!.errors).toMatchObject([{ row: 2, message: 'The key “1” stands twice in the file.' }]);
  });

  it('can be stopped and thrown away', async () => {
    const long = `name,title\n${Array.from({ length: 60_000 }, (_, i) => `Person ${i},QA`).join('\n')}\n`;
    const job = await upload(long);
    await startImport(job.id, settings(['name', 'title']));
    while ((await models().Import.findByPk(job.id))!.state === 'waiting')
      await new Promise((done) => setTimeout(done, 10));
    await stopImport(job.id);
    const stopped = await ended(job.id);
    expect(stopped).toMatchObject({
      state: 'stopped',
      outcome: { message: expect.stringContaining('Nothing was saved') as string }
    });
    expect(existsSync(`${environment().uploads}/${job.id}`)).toBe(false);
    await stopImport(job.id);
    await expect(readImport(job.id)).rejects.toThrow('doesn’t exist');
    expect(await models().SourcePerson.count({ where: { sourceId: `file-${job.id}` } })).toBe(0);
  });

  it('is started once, however often it is started at once', async () => {
    const job = await upload('name,title\nAnn,QA\nBo,QA\n');
    const starts = await Promise.allSettled(
      Array.from({ length: 8 }, () => startImport(job.id, settings(['name', 'title'])))
    );
    expect(starts.filter(({ status }) => status === 'fulfilled')).toHaveLength(1);
    expect(await ended(job.id)).toMatchObject({ state: 'done', outcome: { message: '2 people imported.' } });
    expect(await models().SourcePerson.count({ where: { sourceId: `file-${job.id}` } })).toBe(2);
  });

  it('is started again when the server that had it is dead, and left alone while another has a lease on it', async () => {
    const job = await upload('name,title\nAnn,QA\n');
    const held = {
      settings: settings(['name', 'title']),
      server: 'another',
      leasedUntil: new Date(Date.now() + 60_000)
    };
    const other = new pg.Client({ connectionString: environment().databaseUrl });
    await other.connect();
    await other.query(`SELECT pg_advisory_lock(hashtextextended('eave server another', 0))`);
    await models().Import.update({ state: 'running', ...held }, { where: { id: job.id } });
    await resumeImports();
    const queued = () => other.query('SELECT FROM graphile_worker.jobs WHERE key = $1', [`import ${job.id}`]);
    await expect.poll(async () => (await queued()).rowCount, { timeout: 20_000 }).toBe(0);
    expect(await models().Import.findByPk(job.id)).toMatchObject({ state: 'running', server: 'another' });
    await other.end();
    await resumeImports();
    expect(await ended(job.id)).toMatchObject({ state: 'done' });
  });

  it('leaves out rows that hold what cannot be kept, each named by its line', async () => {
    const many = Array.from({ length: 30_000 }, (_, i) => `Person ${i},QA\n`).join('');
    const csv = await importAll(`name,title\n${many}Bo,Q\0A\nCy,QA\n`, { skip: true });
    expect(csv).toMatchObject({ state: 'done', outcome: { skipped: 1, errors: [{ row: 30_001, line: 30_002 }] } });
    const deep = `${'{"a":'.repeat(5000)}1${'}'.repeat(5000)}`;
    const lines = ['{"name":"Ann","about":"half \\ud83d"}', deep, '{"name":"B\\u0000o"}', '{"name":"Cy"}'];
    const json = await importAll(`${lines.join('\n')}\n`, { name: 'p.jsonl', skip: true });
    expect(json.outcome).toMatchObject({ skipped: 2, errors: [{ line: 2 }, { line: 3 }] });
    expect((await peopleOf(json.sourceId)).map(({ name }) => name)).toEqual(['Ann', 'Cy']);
  });

  it('takes a line of many megabytes in its stride', async () => {
    const long = `{"name":"${'x'.repeat(40_000_000)}"}`;
    const job = await importAll(`{"name":"Ann"}\n${long}\n{"name":"Bo"}\n`, { name: 'p.jsonl', skip: true });
    expect(job.outcome).toMatchObject({
      skipped: 1,
      errors: [{ line: 2, message: expect.stringContaining('1 MiB') as string }]
    });
    expect(await peopleOf(job.sourceId)).toHaveLength(2);
  });

  it('refuses a file of very many columns with a sentence', async () => {
    const names = Array.from({ length: 100_000 }, (_, i) => `c${i}`).join(',');
    expect(await refused(`${names}\n${names}\n`)).toContain('100,000 columns');
  });

  it('makes a source that strings run on, until it is deleted', async () => {
    const job = await importAll('name,title,company\nAnn,Head of Quality,Cold A/S\nBo,QA,Warm Ltd\n');
    const brief = await createBrief('On a file');
    const version = await keepVersion(brief.id, 'title:"head of quality" AND company:cold');
    const trial = await runTrial(brief.id, version.number, job.sourceId!, 10);
    expect(trial.sample.map(({ person }) => person.name)).toEqual(['Ann']);
    expect(trial).toMatchObject({ found: { possible: 1, certain: 1 }, rendering: { exactness: 'exact' } });
    await deleteSource(job.sourceId!);
    await expect(runTrial(brief.id, version.number, job.sourceId!, 10)).rejects.toThrow('doesn’t exist');
    await expect(deleteSource('harrow-guild')).rejects.toThrow();
  });

  it('counts a large file by an index that is built in its own thread, with the people in the order of the file', async () => {
    const titles = ['Quality Manager', 'Head of Quality', 'Cook'];
    const rows = Array.from({ length: 21_000 }, (_, i) => `Person ${i},${titles[i % 3]},p${i}@firm.example`);
    const { sourceId } = await importAll(`Name,Title,Mail\n${rows.join('\n')}\n`);
    const { id } = await createBrief('Large');
    const ledger = await ledgerOf(id, 'title:("quality manager" OR "head of quality") NOT "person 3"', sourceId!);
    expect(ledger.found.estimated.possible).toEqual({ low: 13_999, middle: 13_999, high: 13_999 });
    expect((await listSources()).find((source) => source.id === sourceId)).toMatchObject({
      people: 21_000,
      readiness: { state: 'ready' }
    });
    const [seventh] = await askPeople('people-by-id', { sourceId: sourceId!, ids: ['p7@firm.example'] });
    expect(seventh).toMatchObject({ name: 'Person 7', jobs: [{ title: 'Head of Quality' }] });
  });

  it('updates a source from a newer file by key, and says who came, changed and left', async () => {
    const first = await importAll('id,name,title\n1,Ann,QA\n2,Bo,RP\n3,Cy,QA\n');
    const brief = await createBrief('Updated');
    const { number } = await keepVersion(brief.id, 'title:(qa OR rp)');
    expect((await runTrial(brief.id, number, first.sourceId!, 10)).people).toBe(3);
    const update = async (content: string, skip = false) => {
      const job = await upload(content);
      await startImport(
        job.id,
        settings(
          job.reading.columns.map(({ field }) => field),
          skip,
          first.sourceId
        )
      );
      return ended(job.id);
    };
    const refused = await update('id,name,title\n1,Ann,QA\n,,\n');
    expect(refused.state).toBe('refused');
    expect(await peopleOf(first.sourceId)).toHaveLength(3);
    const second = await update('id,name,title\n2,Bo,Head of Quality\n3,Cy,QA\n4,Di,QA\n');
    expect(second).toMatchObject({
      state: 'done',
      sourceId: first.sourceId,
      outcome: { message: '3 people: 1 came, 1 changed, 1 left.' }
    });
    const after = await runTrial(brief.id, number, first.sourceId!, 10);
    expect(after.sample.map(({ person }) => person.name)).toEqual(['Cy', 'Di']);
    const job = await upload('name\nX\n');
    await expect(startImport(job.id, settings(['name'], false, 'nowhere'))).rejects.toThrow('doesn’t exist');
  });

  it('knows people without a key by mail, or by name and firm, and shows those that look alike', async () => {
    const first = await importAll(
      'name,company,email\nAnn,Cold A/S,ann@cold.example\nBo,Warm Ltd,\nBo,Warm Limited,\n'
    );
    expect(first.outcome!.message).toBe('3 people imported, 1 look like one before them.');
    expect((await peopleOf(first.sourceId)).map(({ id }) => id)).toEqual([
      'ann@cold.example',
      'bo at warm',
      'bo at warm (2)'
    ]);
  });
});

describe('a workbook', () => {
  const text = (value: string) => ({ value });
  const book = async (...sheets: SheetData[]) =>
    new Uint8Array(await writeWorkbook(sheets.map((data, i) => ({ data, sheet: `Sheet ${i}` }))).toBuffer());

  it('is read as a table: its first sheet with rows, whatever stands above the heading; numbers, days, and what looks like a formula', async () => {
    const rows: SheetData = [
      [text('Contactos, mayo')],
      [],
      ['Nombre', 'Puesto', 'Empresa', 'Empleados', 'Desde', 'Teléfono'].map(text),
      [
        text('Iria Castelo'),
        text('Jefa de cocina'),
        text('=1+1 SL'),
        { value: 240 },
        { value: new Date('2021-03-01T00:00:00Z'), format: 'yyyy-mm-dd' },
        { value: 34912345678 }
      ],
      [text('Duarte "Du" Figueira'), text('Chef, executivo'), null, null, null, null]
    ];
    const job = await importAll(await book([[text('notes')]], rows), { name: 'contactos.xlsx' });
    expect(job).toMatchObject({ state: 'done', outcome: { rows: 2 } });
    const [first, second] = await peopleOf(job.sourceId);
    expect(first).toMatchObject({
      name: 'Iria Castelo',
      headcount: 240,
      jobs: [{ title: 'Jefa de cocina', company: '=1+1 SL', from: '2021-03' }]
    });
    expect(first!.contact!.join()).toContain('34912345678');
    expect(second).toMatchObject({ name: 'Duarte "Du" Figueira', jobs: [{ title: 'Chef, executivo' }] });
  });

  it('is refused with a sentence where it is none, or has no rows', async () => {
    expect(await refused(new Uint8Array([0x50, 0x4b, 3, 4, 1, 2, 3]), 'x.zip')).toContain(
      'isn’t a readable XLSX workbook'
    );
    expect(await refused(await book([[text('Name')]]), 'x.xlsx')).toContain('a header row and rows below it');
  });
});
