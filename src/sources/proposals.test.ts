import { beforeAll, describe, expect, it } from 'vitest';
import { rowsOf, PeopleIndex } from '$core/corpus';
import { type Person } from '$core/people';
import { harrowGuild } from '$core/dialect';
import { drawSample } from '$core/measure';
import { parse } from '$core/language';
import { matchingOf } from '$core/semantics';
import { candidates, judgedSource, measure } from '$core/suggest';
import { harrowPeople } from './stand-ins/records';
import { isTrulyWanted, makeWorld } from './world/world';

/** The demo's first string, as persona and wordings make it. */
const firstString = `title:("Head of Quality" OR "Quality Director" OR Kvalitetschef OR "Leiter Qualität" OR "Hoofd Kwaliteit"
  OR "Responsable Qualité" OR "Quality Manager" OR "Quality Assurance Manager" OR Qualitätsmanager OR Kwaliteitsmanager
  OR Kvalitetsleder OR "Responsible Person" OR RP OR Großhandelsbeauftragter OR QA)
AND ("cold chain" OR GDP OR chilled OR pharma) AND headcount:[51 TO 1000]
AND country:(Denmark OR Sweden OR Norway OR Netherlands OR Belgium OR Germany OR "United Kingdom" OR Ireland OR France)
NOT intern`;

let people: Person[];
let index: PeopleIndex;
let wanted: (person: Person) => boolean;
const matching = matchingOf(harrowGuild.matching);
const found = (text: string) => rowsOf(index.rows(parse(text).query!)).map((row) => people[row]!);

beforeAll(() => {
  const world = makeWorld(80_000);
  people = [...harrowPeople(world)];
  index = PeopleIndex.from(people, matching);
  const truth = new Map(world.people.map((person) => [person.number.toString(36), isTrulyWanted(person)]));
  wanted = (person) => truth.get(person.id.split('-').at(-1)!)!;
});

describe('proposals on the demo’s first string', () => {
  it.each('abcdefgh'.split(''))(
    'taken in order raise true precision by 25 points or more and lose under 5 % of true fits (seed %s)',
    (seed) => {
      const before = found(firstString);
      const fits = before.filter(wanted);
      const shown = before.slice(0, 1000);
      const sample = drawSample(
        shown.map(({ id }) => id),
        150,
        seed
      ).map((rank) => shown[rank - 1]!);
      const judged = sample.map((person) => ({ person, fit: wanted(person) }));
      const rows = new Map(people.map(({ id }, row) => [id, row]));
      const source = judgedSource(
        index,
        judged.map(({ person, fit }) => ({ id: person.id, fit })),
        (id) => rows.get(id)
      );
      let text = firstString;
      let taken = 0;
      for (; taken < 12; taken++) {
        const query = parse(text).query!;
        const [best] = measure(text, query, candidates(query, judged, matching), [source]);
        if (!best || best.costly) break;
        text = best.text;
      }
      const after = found(text);
      const kept = new Set(after.filter(wanted));
      const precision = { before: fits.length / before.length, after: kept.size / after.length };
      const lost = 1 - fits.filter((person) => kept.has(person)).length / fits.length;
      console.log(
        `seed ${seed}: ${taken} proposals, precision ${precision.before.toFixed(3)} → ${precision.after.toFixed(3)}, fits lost ${(100 * lost).toFixed(1)} %`
      );
      expect(precision.after - precision.before).toBeGreaterThanOrEqual(0.25);
      expect(lost).toBeLessThan(0.05);
    },
    60_000
  );
});
