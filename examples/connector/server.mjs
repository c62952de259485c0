// A place that Eave can ask, in plain Node: npm run connector-check http://127.0.0.1:4400
// Put your own look-up in place of `people` and `meets`. docs/connector.md says what each part means.
import { createServer } from 'node:http';

const key = process.env.CONNECTOR_KEY; // unset: nobody needs one
const pageSize = 25;

const people = [
  { id: '1', name: 'Iria Castelo', jobs: [{ title: 'Facilities Manager', company: 'Pazo Hotels' }], country: 'ES' },
  { id: '2', name: 'Duarte Figueira', jobs: [{ title: 'Kitchen Manager', company: 'Sal e Brasa' }], country: 'PT' },
  { id: '3', name: 'Livia Morandi', jobs: [{ title: 'Purchasing Manager', company: 'Corte Verde' }], country: 'IT' }
];

const nothingElse = { or: null, not: null, phrase: false, group: false, prefix: false };
const sheet = {
  id: 'example',
  name: 'Example place',
  about: 'Three invented people.',
  boxes: [{ id: 'words', label: 'Words', searches: 'any', and: 'AND', ...nothingElse }],
  facts: [{ scope: 'country', label: 'Country', include: true }],
  lists: ['title', 'company', 'country'],
  listsAll: true,
  limits: { characters: 200, words: 10, operators: null, shown: 1000, page: pageSize, perMinute: 60, searches: 20 },
  matching: { stemming: null, diacritics: 'kept' },
  counting: { kind: 'exact' }
};

const meets = (person, { boxes = {}, facts = [] }) => {
  const text = JSON.stringify(person).toLowerCase();
  const words = (boxes.words ?? '').split(/\s+/).filter((word) => word && word !== 'AND');
  const countries = facts.find(({ scope }) => scope === 'country')?.include;
  return words.every((word) => text.includes(word.toLowerCase())) && (!countries || countries.includes(person.country));
};

createServer(async (request, response) => {
  const answer = (status, body) => {
    response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body));
  };
  if (key && request.headers.authorization !== `Bearer ${key}`) return answer(401, { title: 'Wrong key' });
  if (request.method === 'GET' && request.url === '/sheet') return answer(200, sheet);
  if (request.method !== 'POST' || request.url !== '/search') return answer(404, { title: 'Not here' });
  try {
    let text = '';
    for await (const piece of request) text += piece;
    const { search, page } = JSON.parse(text);
    if (typeof search !== 'object' || !Number.isInteger(page)) throw new Error('no search');
    const found = people.filter((person) => meets(person, search));
    const shown = found.slice(page * pageSize, (page + 1) * pageSize);
    answer(200, { count: found.length, people: shown, last: (page + 1) * pageSize >= found.length });
  } catch {
    answer(400, { title: 'No search' });
  }
}).listen(Number(process.env.PORT ?? 4400), '127.0.0.1');
