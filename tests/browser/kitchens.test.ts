import { once } from 'node:events';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, expect, inject, it } from 'vitest';
import { readResultPage } from '../../src/core/formats/read-result-page';
import { personaFromText } from '../../src/core/persona/persona-from-text';
import { wordings } from '../../src/core/titles/wordings';
import { api, useBrowser } from './browser';
import { judge, walk, type Trial } from './figures-walk';

// The whole job in another trade and other languages than the demo's: ovens for the kitchens of hotels and caterers in Spain,
// Portugal and Italy, by two overlapping files, two places run by hand over two days, and one connected service.

const { open } = useBrowser();

const received =
  'Vendemos hornos para cocinas grandes. Buscamos jefes de cocina en hoteles y empresas de catering de España, Portugal e Italia, de 50 a 500 empleados. Las consultoras no cuentan.';

/** People of the whole market: who cooks and how many sit at table, in the languages of their countries. */
const given = ['Ana', 'Rui', 'Ugo', 'Eva', 'Lea', 'Iker', 'Pia', 'Nuno', 'Marta', 'Sara', 'Luca', 'Gaia'];
const family = ['Gil', 'Couto', 'Neri', 'Ruiz', 'Conti', 'Sanz', 'Russo', 'Reis', 'Vila', 'Falcão'];
const lands = [
  { country: 'España', title: 'Jefa de cocina', other: 'Camarero', town: 'Palma', trade: 'Hotelería' },
  { country: 'Portugal', title: 'Chefe de cozinha', other: 'Empregado de mesa', town: 'Porto', trade: 'Restauração' },
  { country: 'Italia', title: 'Capocuoco', other: 'Cameriere', town: 'Bari', trade: 'Ristorazione collettiva' }
];
const market = Array.from({ length: 150 }, (_, i) => {
  const land = lands[i % 3]!;
  return {
    i,
    name: `${given[i % given.length]} ${family[Math.floor(i / 3) % family.length]} ${family[(i * 7) % family.length]}`,
    cooks: i % 4 !== 0,
    title: i % 4 ? land.title : land.other,
    company: `Casa ${['Sol', 'Mar', 'Monte', 'Río', 'Luna'][i % 5]} ${i}`,
    country: land.country,
    town: land.town,
    trade: land.trade,
    covers: 20 + i * 3,
    mail: `p${i}@casa${i}.example`,
    // Whom they can really sell to: cooks of large tables.
    fit: i % 4 > 0 && 20 + i * 3 >= 120
  };
});
type One = (typeof market)[number];
const known = new Map(market.map((one) => [`${one.name}|${one.company}`, one]));

const fileOf = (people: readonly One[], heading: string) =>
  [
    heading,
    ...people.map((one) =>
      [one.name, one.title, one.company, one.country, one.trade, one.mail, one.covers, one.i % 2 ? 'sí' : 'no'].join(
        ';'
      )
    )
  ].join('\n');

async function importFile(name: string, body: string): Promise<string> {
  const response = await fetch(`${inject('address')}/api/imports?name=${name}.csv`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body
  });
  const job = (await response.json()) as { id: string; reading: { columns: { field: string }[] } };
  const mapping = job.reading.columns.map(({ field }) => field);
  // Nothing is matched by hand: the headings and what stands below them are enough.
  expect(mapping).toEqual(['name', 'title', 'company', 'country', 'industry', 'mail', 'ownNumber', 'ownYesNo']);
  const { values } = await api<{ values: { field: string; text: string; standard: string | null }[] }>(
    'POST',
    `/imports/${job.id}/values`,
    { mapping }
  );
  expect(values.filter(({ standard }) => standard === null)).toEqual([]);
  await api('POST', `/imports/${job.id}/start`, { name, mapping, values });
  let sourceId = '';
  await expect
    .poll(
      async () => {
        const now = await api<{ state: string; sourceId: string | null }>('GET', `/imports/${job.id}`);
        sourceId = now.sourceId ?? '';
        return now.state;
      },
      { timeout: 20_000 }
    )
    .toBe('done');
  return sourceId;
}

/** A page as a place shows it, with its buttons, in its language. */
const pageOf = (people: readonly One[]) =>
  people
    .map(({ name, title, company, town, country }) =>
      [name, title, company, `${town}, ${country}`, 'Ver ficha', 'Guardar', ''].join('\n')
    )
    .join('\n');

let service: Server;
let address = '';
beforeAll(async () => {
  const people = market.slice(80, 140);
  const nothingElse = { not: null, group: false, prefix: false };
  const sheet = {
    id: 'cucine',
    name: 'Registro delle cucine',
    about: '',
    boxes: [{ id: 'parole', label: 'Parole', searches: 'any', and: 'AND', or: 'OR', phrase: true, ...nothingElse }],
    facts: [],
    lists: ['any', 'title', 'company', 'country', 'place', 'industry', 'contact'],
    listsAll: true,
    limits: { characters: 500, words: 60, operators: null, shown: 1000, page: 25, searches: 20 },
    matching: { stemming: null, diacritics: 'kept' },
    counting: { kind: 'exact' }
  };
  service = createServer((request, response) => {
    const answer = (body: unknown) =>
      response.writeHead(200, { 'content-type': 'application/json' }).end(JSON.stringify(body));
    if (request.url === '/sheet') return answer(sheet);
    let text = '';
    request.on('data', (piece) => (text += String(piece)));
    request.on('end', () => {
      const { search, page } = JSON.parse(text) as { search: { boxes: { parole?: string } }; page: number };
      const words = (search.boxes.parole ?? '')
        .split(' OR ')
        .map((one) => one.replaceAll('"', '').trim().toLowerCase())
        .filter(Boolean);
      const found = people.filter(
        ({ title }) => !words.length || words.some((word) => title.toLowerCase().includes(word))
      );
      const rows = found.slice(page * 25, (page + 1) * 25);
      // A table in its own words: what it holds is told by its headings.
      answer({
        count: found.length,
        last: (page + 1) * 25 >= found.length,
        columns: ['Nominativo', 'Mansione', 'Azienda', 'Paese', 'Settore', 'E-mail', 'Cubiertos'].map((name) => ({
          name
        })),
        rows: rows.map((one) => [one.name, one.title, one.company, one.country, one.trade, one.mail, one.covers])
      });
    });
  });
  service.listen(0, '127.0.0.1');
  await once(service, 'listening');
  address = `http://127.0.0.1:${(service.address() as AddressInfo).port}`;
});
afterAll(() => service.close());

it('is done from a brief in Spanish to a report whose figures agree', async () => {
  // The brief, read into a persona.
  const { facts } = personaFromText(received);
  const values = (kind: string) => facts.flatMap((fact) => (fact.kind === kind ? [fact.value] : []));
  expect(values('title')).toEqual(['Jefe de cocina']);
  expect(values('industry')).toEqual(['55', '56']);
  expect(values('country')).toEqual(['ES', 'PT', 'IT']);
  expect(values('exclusion')).toEqual(['consultoras']);
  const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Cocinas' });
  await api('PUT', `/briefs/${id}/persona`, {
    body: {
      titles: values('title'),
      countries: values('country'),
      industries: values('industry'),
      facts: [{ scope: 'own.cubiertos', from: 120, to: null, values: [] }]
    },
    revision: 1
  });
  // Wordings of the same job in the three languages.
  const titles = wordings('Jefe de cocina', { languages: ['es', 'pt', 'it'], nearness: ['same', 'translated'] });
  expect(titles.map(({ text }) => text)).toEqual(
    expect.arrayContaining(['Jefa de cocina', 'Chefe de cozinha', 'Capocuoco'])
  );

  // Two files that overlap, with headings in two languages; the second writes trades otherwise.
  const files = [
    await importFile(
      'Feria',
      fileOf(market.slice(0, 70), 'Nombre;Puesto;Empresa;País;Sector;E-mail;Cubiertos;Terraza')
    ),
    await importFile('Lista', fileOf(market.slice(45, 110), 'Nome;Cargo;Empresa;País;Setor;E-mail;Cubiertos;Terraza'))
  ];
  // Two places run by hand, and a service with a table in Italian.
  const all = await api<{ id: string; name: string; sheet: Record<string, unknown> }[]>('GET', '/sources');
  const { sheet } = all.find((source) => source.id === 'harrow-guild')!;
  const byHand: { id: string; name: string }[] = [];
  for (const name of ['Guía de hoteles', 'Elenco cuochi'])
    byHand.push(
      await api('POST', '/sources', { sheet: { ...sheet, name, limits: { ...(sheet.limits as object), page: 10 } } })
    );
  const connected = await api<{ id: string; name: string }>('POST', '/connections', { address, key: null });

  const text =
    'title:("Jefa de cocina" OR "Jefe de cocina" OR "Chefe de cozinha" OR Capocuoco) AND own.cubiertos:[120 TO *]';
  const naive = 'cocina OR cozinha OR capocuoco OR camarero OR cameriere OR mesa';
  await api('POST', `/briefs/${id}/versions`, { text });
  await api('POST', `/briefs/${id}/versions`, { text: naive });
  await api('PUT', `/briefs/${id}/draft`, { body: { text, from: 1 }, revision: 1 });
  const asked = [...files, connected.id];
  const trials: Trial[] = [];
  for (const version of [1, 2])
    for (const sourceId of asked)
      trials.push(await api('POST', `/briefs/${id}/trials`, { version, sourceId, sampleSize: 60, wait: 60 }));

  // By hand over two days: a count on the first, pages on both, some people again.
  for (const [at, place] of byHand.entries()) {
    const people = market.slice(60 + at * 30, 100 + at * 30).filter(({ cooks }) => cooks);
    const see = (entry: object) =>
      api<{ trialId: string | null }>('POST', `/briefs/${id}/versions/1/diaries/${place.id}`, { search: 0, ...entry });
    await see({ said: at ? 'circa 60 risultati' : 'más de 50 resultados', seenAt: '2026-11-24T09:00:00.000Z' });
    const read = (some: readonly One[]) => {
      const rows = readResultPage(pageOf(some));
      expect(rows.map(({ values: { name } }) => name)).toEqual(some.map(({ name }) => name));
      return rows.map(({ values: row, doubtful }) => ({ values: row, doubtful }));
    };
    await see({ page: 1, rows: read(people.slice(0, 10)), seenAt: '2026-11-24T09:10:00.000Z' });
    const { trialId } = await see({ page: 3, rows: read(people.slice(8, 18)), seenAt: '2026-11-26T16:00:00.000Z' });
    const trial = await api<Trial>('GET', `/briefs/${id}/trials/${trialId}`);
    expect(trial.found.shown).toBe(18);
    // Nobody there tells how many sit at table.
    expect(trial.found).toMatchObject({ certain: 0, possible: 18 });
    trials.push(trial);
  }

  // The files tell the covers: whom version 1 finds is known to the person.
  const inFile = (from: number, to: number) => market.slice(from, to).filter(({ fit }) => fit).length;
  expect(trials[0]!.found).toMatchObject({ certain: inFile(0, 70), possible: inFile(0, 70) });
  expect(trials[1]!.found).toMatchObject({ certain: inFile(45, 110), possible: inFile(45, 110) });
  // The service tells them in a column of its own.
  expect(trials[2]!.found).toMatchObject({ certain: inFile(80, 140), possible: inFile(80, 140) });

  // Judged by the truth of this market; somebody who is at two places is one person, and judged once.
  const judged = new Set<string>();
  for (const trial of trials)
    for (const { person } of trial.sample) {
      const { jobs } = person as unknown as { jobs: { company: string }[] };
      const one = known.get(`${person.name}|${jobs[0]!.company}`)!;
      expect(one, person.name).toBeDefined();
      if (judged.has(one.mail)) continue;
      judged.add(one.mail);
      await judge(id, trial.sourceId, person.id, one.fit ? 'fit' : 'miss');
    }
  const board = await api<{
    judged: number;
    cells: { version: number; sourceId: string; figures: { precision: { possible: { share: number | null } } } }[];
  }>('GET', `/briefs/${id}/compare`);
  expect(board.judged).toBe(judged.size);
  const share = (version: number, sourceId: string) =>
    board.cells.find((cell) => cell.version === version && cell.sourceId === sourceId)!.figures.precision.possible
      .share!;
  for (const sourceId of asked) {
    expect(share(1, sourceId)).toBe(1);
    expect(share(2, sourceId)).toBeLessThan(0.9);
  }

  const sources = [...files.map((source, i) => ({ id: source, name: ['Feria', 'Lista'][i]! })), ...byHand, connected];
  const { different, places } = await walk(open, { id, text, sources, counted: files }, 'possible');
  expect(different).toEqual([]);
  expect(places.judged).toBeGreaterThanOrEqual(6);

  // The board as a person sees it.
  const page = await open(`/briefs/${id}/compare`);
  await page
    .getByText(/Version 1 is better than 2/)
    .first()
    .waitFor();
  await page.close();
  for (const source of sources) await api('DELETE', `/sources/${source.id}`);
}, 240_000);
