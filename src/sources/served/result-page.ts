import type { Search, Sheet } from '$core/dialect';
import { factLabel } from '$core/dialect';
import { countryName } from '$core/people';
import type { Person } from '$core/people';
import type { Page } from '../source';

/** What the form of a website asks: the search in the source's form, the page from 0, and whether anything was asked. */
export function searchOf(given: URLSearchParams, sheet: Sheet): { search: Search; page: number; asked: boolean } {
  const text = (name: string) => given.get(name)?.trim() ?? '';
  const list = (name: string) =>
    text(name)
      .split(';')
      .map((value) => value.trim())
      .filter(Boolean);
  const number = (name: string) => (text(name) && Number.isFinite(Number(text(name))) ? Number(text(name)) : null);
  const boxes = Object.fromEntries(
    sheet.boxes.flatMap(({ id }) => (text(`box-${id}`) ? [[id, text(`box-${id}`)]] : []))
  );
  const facts = sheet.facts.flatMap(({ scope }): Search['facts'] => {
    const [include, exclude] = [list(`with-${scope}`), list(`without-${scope}`)];
    const range = { low: number(`from-${scope}`), high: number(`to-${scope}`) };
    const ranged = range.low !== null || range.high !== null;
    if (!include.length && !exclude.length && !ranged) return [];
    return [
      { scope, ...(include.length && { include }), ...(exclude.length && { exclude }), ...(ranged && { range }) }
    ];
  });
  const page = Math.max(1, Math.min(100_000, Math.trunc(number('page') ?? 1)));
  return { search: { boxes, facts }, page: page - 1, asked: Object.keys(boxes).length > 0 || facts.length > 0 };
}

const signs: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' };
const safe = (text: string) => text.replaceAll(/[&<>"']/g, (sign) => signs[sign]!);

/** Each place has its own look, and none of them Eave's. */
const looks: Record<string, { ink: string; paper: string; face: string; item: (person: Person) => string }> = {
  'harrow-guild': {
    ink: '#5b2333',
    paper: '#fbf3f0',
    face: 'Georgia, serif',
    item: (person) => {
      const [job] = person.jobs ?? [];
      return `<article><h3>${link(person)}</h3><p>${safe(job ? `${job.title} at ${job.company}` : '')}</p><p class="soft">${safe(whereOf(person))}</p><button type="button">Introduce me</button> <button type="button">Keep</button></article>`;
    }
  },
  lanternfield: {
    ink: '#0b4f6c',
    paper: '#ffffff',
    face: 'Verdana, sans-serif',
    item: (person) => {
      const [job] = person.jobs ?? [];
      const title = [person.name, job?.title, job?.company].filter(Boolean).join(' - ');
      return `<article><h3>${link(person, title)}</h3><p class="soft">pages.example/${safe(person.id)}</p><p>${safe([whereOf(person), person.about?.slice(0, 160), ...(person.contact ?? [])].filter(Boolean).join(' · '))}</p></article>`;
    }
  },
  quillbank: {
    ink: '#2f5d3a',
    paper: '#f2f7f1',
    face: 'Tahoma, sans-serif',
    item: (person) => {
      const [job] = person.jobs ?? [];
      const rows = [
        ['Name', person.name],
        ['Job title', job?.title],
        ['Company', job?.company],
        ['Location', whereOf(person)],
        ['Employees', person.headcount],
        ['E-mail', person.contact?.find((one) => one.includes('@'))]
      ].filter(([, value]) => value !== undefined && value !== '');
      return `<article>${rows.map(([name, value]) => `<div>${name}: ${safe(String(value))}</div>`).join('')}<button type="button">Unlock</button></article>`;
    }
  },
  'marlow-register': {
    ink: '#3d3a5c',
    paper: '#f6f5fb',
    face: '"Times New Roman", serif',
    item: (person) => {
      const [job] = person.jobs ?? [];
      return `<tr><td>${link(person)}</td><td>${safe(job?.title ?? '')}</td><td>${safe(job?.company ?? '')}</td><td>${safe(person.place ?? '')}</td><td>${safe(countryOf(person))}</td></tr>`;
    }
  }
};

const countryOf = ({ country }: Person) => (country ? (countryName(country) ?? country) : '');
const whereOf = (person: Person) => [person.place, countryOf(person)].filter(Boolean).join(', ');
const link = ({ id, name }: Person, words = name) => `<a href="#${encodeURIComponent(id)}">${safe(words)}</a>`;

const usual = looks['harrow-guild']!;

function frame(title: string, look: (typeof looks)[string], body: string): string {
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${safe(title)}</title><style>
body{font:15px ${look.face};color:${look.ink};background:${look.paper};max-width:760px;margin:24px auto;padding:0 16px}
a{color:inherit}.soft{opacity:.75}article{border-top:1px solid;padding:8px 0}h3,p{margin:2px 0}table{border-collapse:collapse;width:100%}
td,th{text-align:left;border-top:1px solid;padding:4px 8px 4px 0}label{display:block;margin:6px 0}input{width:60%}input[type=number]{width:7em}
</style></head><body>${body}</body></html>`;
}

/** The form of a place, with what was asked still in it. */
function form(sheet: Sheet, given: URLSearchParams): string {
  const field = (name: string, label: string, type = 'text') =>
    `<label>${safe(label)} <input type="${type}" name="${safe(name)}" value="${safe(given.get(name) ?? '')}"></label>`;
  const boxes = sheet.boxes.map(({ id, label }) => field(`box-${id}`, label));
  const facts = sheet.facts.flatMap((fact) => [
    ...(fact.include ? [field(`with-${fact.scope}`, factLabel(fact))] : []),
    ...(fact.exclude ? [field(`without-${fact.scope}`, `Not ${factLabel(fact)}`)] : []),
    ...(fact.range
      ? [field(`from-${fact.scope}`, `${factLabel(fact)} from`, 'number'), field(`to-${fact.scope}`, 'to', 'number')]
      : [])
  ]);
  return `<form method="get">${[...boxes, ...facts].join('')}<button>Find</button></form>`;
}

const whole = new Intl.NumberFormat('en');

/** The website of the stand-ins: a list of the places, and each place's form with a page of its results. */
export const resultPage = {
  home: (sheets: readonly Sheet[]): string =>
    frame(
      'Places to practise on',
      usual,
      `<h1>Places to practise on</h1><ul>${sheets.map(({ id, name, about }) => `<li><a href="/${id}/">${safe(name)}</a>: ${safe(about)}</li>`).join('')}</ul>`
    ),
  of(sheet: Sheet, given: URLSearchParams, result: Page | null, page: number): string {
    const look = looks[sheet.id] ?? usual;
    const to = (number: number) => {
      const next = new URLSearchParams(given);
      next.set('page', String(number));
      return `?${safe(next.toString())}`;
    };
    const items = result?.people.map(look.item).join('') ?? '';
    const results =
      result &&
      `<h2>${whole.format(result.said)}${sheet.counting.kind === 'exact' ? '' : '+'} people</h2>${
        sheet.id === 'marlow-register'
          ? `<table><thead><tr><th>Name</th><th>Title</th><th>Organisation</th><th>Town</th><th>Country</th></tr></thead><tbody>${items}</tbody></table>`
          : items
      }<p>Page ${page + 1}${page ? ` <a href="${to(page)}">Previous</a>` : ''}${result.last ? '' : ` <a href="${to(page + 2)}">Next</a>`}</p>`;
    return frame(sheet.name, look, `<h1>${safe(sheet.name)}</h1>${form(sheet, given)}${results ?? ''}`);
  }
};
