import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countOnPage, readCount } from './read-count';

/** Phrases as places write them, with the ends of what they mean; `∞` where nothing says how many at most. */
const phrases: Record<string, string> = {
  plain: `
    140 = 140 140 | 1 result = 1 1 | 0 = 0 0 | 12.345 = 12345 12345 | 12,345 people = 12345 12345 | 12 345 = 12345 12345
    1'250 Treffer = 1250 1250 | 1 234 567 = 1234567 1234567 | 3K = 2500 3499 | 3.2k results = 3150 3249 | 3,2k = 3150 3249
    1.2M = 1150000 1249999 | 3K+ = 3000 3999 | 1.2M+ = 1200000 1299999 | 1.5K+ = 1500 1599 | 1K+ = 1000 ∞ | 10K+ = 10000 ∞
    999+ = 999 ∞ | 500+ = 500 ∞ | 1,000+ results = 1000 ∞ | > 1000 = 1000 ∞ | ≥ 300 = 300 ∞ | >= 300 = 300 ∞ | < 50 = 0 50
    ≤ 50 = 0 50 | ~ 12 000 = 11500 12499 | ≈ 3,400 = 3350 3449 | 1–10 / 140 = 140 140 | 1,350 – 1,449 = 1350 1449`,
  English: `
    1–10 of 140 = 140 140 | 1-25 of about 3,000 results = 2500 3499 | Showing 1 to 50 of 12.345 = 12345 12345
    about 3,000 = 2500 3499 | About 3,400 results (0.41 seconds) = 3350 3449 | over 500 = 500 ∞ | more than 1,000 people = 1000 ∞
    at least 40 = 40 ∞ | fewer than 50 = 0 50 | up to 200 matches = 0 200 | no results = 0 0 | No people found = 0 0
    Nothing found = 0 0 | 340 results, page 2 of 14 = 340 340 | between 200 and 300 = 200 300 | 1,000 or more = 1000 ∞
    1-10 of more than 1,000 = 1000 ∞ | 2 thousand = 1500 2499 | 1.4 million profiles = 1350000 1449999 | nearly 900 = 850 949`,
  German: `
    rund 3.400 = 3350 3449 | etwa 500 Personen = 450 549 | ungefähr 1.200 Treffer = 1150 1249 | mehr als 1.000 Treffer = 1000 ∞
    über 800 = 800 ∞ | mindestens 60 = 60 ∞ | weniger als 50 = 0 50 | höchstens 20 = 0 20 | Keine Treffer = 0 0
    Es wurden keine Ergebnisse gefunden = 0 0 | 1 bis 10 von 340 = 340 340 | Treffer 1–10 von ungefähr 3.400 = 3350 3449
    Seite 2 von 12, 118 Treffer = 118 118 | 3 Tsd. = 2500 3499 | 1,5 Mio. = 1450000 1549999 | zwischen 200 und 300 = 200 300
    1.000 oder mehr = 1000 ∞ | 340 Ergebnisse (0,35 Sekunden) = 340 340`,
  Danish: `
    omkring 3.400 = 3350 3449 | cirka 500 = 450 549 | omtrent 500 personer = 450 549 | mere end 1.000 = 1000 ∞ | over 800 = 800 ∞
    mindst 40 = 40 ∞ | færre end 50 = 0 50 | Ingen resultater = 0 0 | 1-10 af 140 = 140 140 | Side 1 af 3 – 28 resultater = 28 28
    2 tusind = 1500 2499 | 1.000 eller flere = 1000 ∞`,
  Norwegian: `
    omtrent 500 = 450 549 | rundt 1 200 treff = 1150 1249 | mer enn 1 000 treff = 1000 ∞ | minst 30 = 30 ∞ | færre enn 50 = 0 50
    Ingen treff = 0 0 | 1–20 av 312 = 312 312 | viser 1 til 20 av om lag 3 000 = 2500 3499 | nesten 700 = 650 749 | 1 000 eller flere = 1000 ∞`,
  Swedish: `
    ungefär 3 400 = 3350 3449 | cirka 500 = 450 549 | mer än 1 000 träffar = 1000 ∞ | över 800 = 800 ∞ | minst 40 = 40 ∞
    färre än 50 = 0 50 | Inga träffar = 0 0 | 1–10 av 140 = 140 140 | Sida 1 av 4, 37 träffar = 37 37 | 3 tusen = 2500 3499
    1 000 eller fler = 1000 ∞`,
  Dutch: `
    ongeveer 3.400 = 3350 3449 | circa 200 = 150 249 | meer dan 1.000 = 1000 ∞ | ruim 800 = 800 ∞ | minstens 40 = 40 ∞
    minder dan 50 = 0 50 | Geen resultaten = 0 0 | 1-10 van 140 = 140 140 | 1-10 van meer dan 1.000 resultaten = 1000 ∞
    Pagina 1 van 5, 48 personen = 48 48 | 1.000 of meer = 1000 ∞ | zo'n 600 = 550 649`,
  French: `
    environ 3 400 = 3350 3449 | près de 500 = 450 549 | plus de 1 000 = 1000 ∞ | au moins 40 = 40 ∞ | moins de 50 = 0 50
    Aucun résultat = 0 0 | 1 à 10 sur 140 = 140 140 | 1–10 sur environ 3 000 résultats = 2500 3499 | Page 1 sur 12 : 118 résultats = 118 118
    3 mille = 2500 3499 | entre 200 et 300 = 200 300 | 1 000 ou plus = 1000 ∞`,
  Spanish: `
    3,4 mil = 3350 3449 | aproximadamente 3.400 = 3350 3449 | unos 500 = 450 549 | cerca de 1.200 resultados = 1150 1249
    más de 1.000 = 1000 ∞ | mas de 1000 personas = 1000 ∞ | al menos 40 = 40 ∞ | menos de 50 = 0 50 | Sin resultados = 0 0
    No hay resultados = 0 0 | 1-10 de 140 = 140 140 | 25 de más de 1.000 resultados = 1000 ∞ | Página 1 de 12 · 118 personas = 118 118
    entre 200 y 300 = 200 300 | 1.000 o más = 1000 ∞ | 2 millones = 1500000 2499999`,
  Portuguese: `
    cerca de 3.400 = 3350 3449 | aproximadamente 500 = 450 549 | mais de 1.000 = 1000 ∞ | pelo menos 40 = 40 ∞ | menos de 50 = 0 50
    Nenhum resultado = 0 0 | Sem resultados = 0 0 | 1–10 de 140 = 140 140 | Página 2 de 9, 88 pessoas = 88 88 | 3,4 mil = 3350 3449
    entre 200 e 300 = 200 300 | 1.000 ou mais = 1000 ∞`,
  Italian: `
    circa 200 = 150 249 | quasi 900 = 850 949 | più di 1.000 = 1000 ∞ | oltre 800 persone = 800 ∞ | almeno 40 = 40 ∞ | meno di 50 = 0 50
    Nessun risultato = 0 0 | 1-10 di 140 = 140 140 | 1–10 di circa 3.000 risultati = 2500 3499 | Pagina 1 di 12, 118 risultati = 118 118
    3 mila = 2500 3499 | tra 200 e 300 = 200 300 | 1.000 o più = 1000 ∞`,
  Polish: `
    około 3400 = 3350 3449 | ok. 500 osób = 450 549 | ponad 1000 wyników = 1000 ∞ | co najmniej 40 = 40 ∞ | mniej niż 50 = 0 50
    Brak wyników = 0 0 | Nie znaleziono = 0 0 | 1–10 z 140 = 140 140 | Strona 1 z 12, 118 wyników = 118 118 | 2,5 tys. wyników = 2450 2549
    1000 lub więcej = 1000 ∞`,
  Finnish: `
    noin 3 400 = 3350 3449 | lähes 900 = 850 949 | yli 1 000 osumaa = 1000 ∞ | vähintään 40 = 40 ∞ | alle 50 = 0 50 | Ei tuloksia = 0 0
    Ei osumaa = 0 0 | 1–10 / 140 tulosta = 140 140 | Sivu 1 / 12, 118 tulosta = 118 118 | 3 tuhatta = 2500 3499 | 1 000 tai enemmän = 1000 ∞`,
  Czech: `
    přibližně 3 400 = 3350 3449 | asi 500 osob = 450 549 | cca 200 = 150 249 | více než 1 000 výsledků = 1000 ∞ | alespoň 40 = 40 ∞
    méně než 50 = 0 50 | Žádné výsledky = 0 0 | Nenalezeno = 0 0 | 1–10 z 140 = 140 140 | Strana 1 z 12, 118 výsledků = 118 118
    3 tisíce = 2500 3499 | 1 000 nebo více = 1000 ∞`
};
const all = Object.entries(phrases).flatMap(([language, written]) =>
  written
    .split(/\||\n/)
    .map((one) => one.trim())
    .filter(Boolean)
    .map((one) => {
      const [, text, low, high] = /^(.*) = (\d+) (\d+|∞)$/u.exec(one)!;
      return { language, text: text!, low: Number(low), high: high === '∞' ? null : Number(high) };
    })
);

describe('a count typed from a page', () => {
  it('is understood in every language of the lexicon', () => {
    expect(all.length).toBeGreaterThanOrEqual(150);
    const wrong = all.flatMap(({ language, text, low, high }) => {
      const read = readCount(text);
      const right =
        read && read.interval.low === low && (high === null ? read.open : !read.open && read.interval.high === high);
      return right ? [] : [`${language}: ${text} is ${JSON.stringify(read)}`];
    });
    expect(wrong).toEqual([]);
  });

  it.each([
    '',
    'many',
    '—',
    'results',
    'no idea',
    'Seite 1 von 12',
    'Page 3',
    'Página 2 de 9',
    'sivu 1 / 12',
    'x'.repeat(300)
  ])('%j is none', (text) => expect(readCount(text)).toBeNull());

  it('never has its ends the wrong way round, whatever is typed, and is open only to the right', () => {
    const typed = fc
      .tuple(
        fc.constantFrom('about ', '', 'over ', '1-10 of ', '~', 'más de ', 'weniger als '),
        fc.nat(3_000_000),
        fc.constantFrom('', '+', 'K', 'K+', ' results', ' mil', ' or more')
      )
      .map((pieces) => pieces.join(''));
    fc.assert(
      fc.property(fc.oneof(fc.string(), typed), (text) => {
        const read = readCount(text);
        if (!read) return;
        const { low, high } = read.interval;
        expect(low).toBeLessThanOrEqual(high);
        expect(low).toBeGreaterThanOrEqual(0);
        expect(read.said).toBeGreaterThanOrEqual(low);
        expect(read.said).toBeLessThanOrEqual(high);
        if (read.open) expect(low).toBe(read.said);
      })
    );
  });
});

describe('the count on a pasted page', () => {
  it('is the first line that speaks of results and has one', () => {
    const page = `Directorio de hostelería\nInicio Buscar Ayuda\nPágina 1 de 34\nMás de 1.000 resultados\nMarta Oliver Sanz\nJefa de Cocina\n25 años de experiencia con personas`;
    expect(countOnPage(page)).toMatchObject({ line: 'Más de 1.000 resultados', read: { said: 1000, open: true } });
    expect(countOnPage('Marta Oliver\nJefa de Cocina')).toBeNull();
  });
});
