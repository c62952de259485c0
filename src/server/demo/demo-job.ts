import { join, layOut, parse, type Query } from '$core/language';
import { seededRandom, type Verdict } from '$core/measure';
import type { Person } from '$core/people';
import { buildString, type Persona, type WordSet } from '$core/persona';
import { models } from '$server/platform/database/models';
import { Refusal } from '$server/platform/refusal';
import { askPeople } from '$server/workers/people';
import { nextDrawn } from '$server/features/harvest/harvest-people';
import { listHarvests, startHarvest } from '$server/features/harvest/harvests';
import { untilHarvestEnds } from '$server/features/harvest/until-harvest-ends';
import { changeKept } from '$server/features/shortlist/change-kept';
import { keepPeople } from '$server/features/shortlist/keep';
import { listKept } from '$server/features/shortlist/list-kept';
import { checkMail } from '$server/features/shortlist/mail-run';
import { changeShortlist, createShortlist, listShortlists } from '$server/features/shortlist/shortlists';
import { createWatch, watchNameFor } from '$server/features/watches/watches';
import { readySource } from '$server/features/sources/sources';
import { proposalsFor } from '$server/features/strings/ledger';
import { keepVersion, nameVersion } from '$server/features/trials/versions';
import { giveJudgement, judgementsOn } from '$server/features/trials/judges';
import { startTrial } from '$server/features/trials/trials';
import { judgeMany, verdictsOn } from '$server/features/trials/verdicts';
import { findBrief, readDocument, writeDocument } from '$server/features/briefs/briefs';
import { addKnown } from '$server/features/briefs/people-lists';

/** Where the demo's versions are run. */
const places = ['harrow-guild', 'lanternfield', 'quillbank', 'marlow-register'];
/** People drawn at each, and of these how many are judged. */
const [drawn, judgedOf] = [40, 30];
/** Share of verdicts that a person gets wrong, and of those they would not decide. */
const [mistaken, undecided] = [0.03, 0.04];
const proposalsTaken = 4;
/** People of the harvest who are drawn at random and judged. */
const judgedAtRandom = 60;
const secondJudge = { name: 'Mira', people: 40, differs: 0.1 };

/** The versions as somebody makes them who learns on the way. */
interface Step {
  name: string;
  note: string;
  text: string;
  parent: number | null;
}

const trade = '("cold chain" OR GDP OR chilled OR pharma)';
const titles = '"quality manager" OR "head of quality" OR QA OR "responsible person"';
const where =
  'headcount:[51 TO 1000] AND country:(Denmark OR Sweden OR Norway OR Netherlands OR Belgium OR Germany OR "United Kingdom" OR Ireland OR France)';
const software = 'title:(software OR tester OR "test engineer" OR prototyping)';

const learning: readonly Step[] = [
  {
    name: 'as it came to mind',
    note: 'Nothing quoted: “responsible” and “person” need not stand together.',
    text: '(quality manager OR head of quality OR QA OR responsible person) AND (cold chain OR GDP OR chilled OR pharma)',
    parent: null
  },
  {
    name: 'quoted',
    note: 'Titles and “cold chain” as phrases. Still anywhere in the profile.',
    text: `(${titles}) AND ${trade}`,
    parent: 1
  },
  {
    name: 'titles, places and sizes',
    note: 'Titles in the title only; QA is not software testing here.',
    text: `title:(${titles}) AND ${trade} AND ${where} NOT ${software}`,
    parent: 2
  },
  {
    name: 'excluded too much',
    note: '“food” and “logistics” throw out the chilled-food distributors that are wanted: fits are lost.',
    text: `title:(${titles}) AND ${trade} AND ${where} NOT (${software} OR food OR logistics OR transport)`,
    parent: 3
  }
];

const wholeName = 'every wording';
export const demoVersionNames: readonly string[] = [...learning.map(({ name }) => name), wholeName, ''];

/** The string that the persona and its wordings make, without those who are still learning and those who test software. */
function wholeString(persona: Persona, wording: readonly WordSet[]): string {
  const built = buildString(persona, wording);
  const not = parse('NOT (@never-interns OR title:(software OR engineer OR tester OR prototyping OR lead))').query!;
  return layOut(built ? join('and', [...(built.kind === 'and' ? built.parts : [built]), not] as Query[]) : not);
}

/**
 * Does the demo's job by Eave's own services, as a researcher would: versions, trials at every stand-in, verdicts by the
 * hidden truth of the world with a human share of mistakes, a second judge, known-goods, a proposal taken, what was
 * chosen, and a harvest of it. What is there already stays, so that it resumes where it stopped. The signal stops it.
 */
export async function finishDemo(briefId: string, halt: AbortSignal): Promise<void> {
  await Promise.all(places.map(readySource));
  const [{ body: persona }, { body: wording }] = await Promise.all([
    readDocument(briefId, 'persona'),
    readDocument(briefId, 'wording')
  ]);
  for (const step of learning) await keepStep(briefId, step);
  await runAll(briefId, halt);
  await judgeAll(briefId, halt);

  const last = learning.length + 1;
  const { text, says } = await improved(briefId, wholeString(persona, wording), halt);
  await keepStep(briefId, {
    name: wholeName,
    note: ['All wordings of the persona.', ...says].join(' ').slice(0, 500),
    text,
    parent: 3
  });
  await runAll(briefId, halt);
  await judgeAll(briefId, halt);
  await judgeAgain(briefId, last);
  await keepCustomers(briefId, last);
  await choose(briefId, last);
  await gatherAll(briefId, last);
  await keepFits(briefId);
  await watchTwo(briefId, last);
  await judgeAtRandom(briefId, halt);
}

/** The places whose whole result is short are watched each Monday. */
async function watchTwo(briefId: string, version: number): Promise<void> {
  if (await models().Watch.count({ where: { briefId } })) return;
  const { name } = await watchNameFor(briefId);
  await createWatch(briefId, {
    name,
    rhythm: { rule: 'FREQ=WEEKLY;BYDAY=MO', from: '2026-01-05', hour: 6, zone: 'Europe/Amsterdam' },
    budget: { requestsPerDay: 500, records: null, spend: null },
    from: [{ sourceId: 'marlow-register', version }]
  });
}

/** Adds all fits to a shortlist, tags those to write to first, sets exclusions, and checks addresses. */
async function keepFits(briefId: string): Promise<void> {
  if ((await listShortlists(briefId)).length) return;
  const { id } = await createShortlist(briefId, {
    name: 'To write to in January',
    purpose: 'to offer temperature loggers for refrigerated transport'
  });
  await keepPeople({ briefId, id, why: 'judged a fit', from: { kind: 'fits' } });
  await changeShortlist(briefId, id, {
    revision: 1,
    columns: [
      { name: 'wave', type: 'choice', choices: ['first', 'second', 'later'] },
      { name: 'vans', type: 'number', choices: [] }
    ],
    tags: [
      { name: 'pharma', colour: 'teal' },
      { name: 'food', colour: 'green' },
      { name: 'knows us', colour: 'purple' }
    ],
    views: [{ name: 'First wave', query: 'tag=pharma&leftOut=in&sort=priority%2Cname' }],
    firms: { customers: [], competitors: ['Loggerly Instruments'], own: ['Thermograph Works'] }
  });
  const { people } = await listKept(briefId, id, { sort: 'name' });
  const some = (keeps: (person: (typeof people)[number]) => boolean) =>
    people.filter(keeps).map(({ number }) => number);
  const pharma = some(({ title, company }) => /pharm|gdp|responsible person|qp\b/i.test(`${title} ${company}`));
  const food = some(({ title, company }) => /food|haccp|fresh|chill/i.test(`${title} ${company}`));
  if (pharma.length)
    await changeKept(briefId, id, { numbers: pharma }, { addTags: ['pharma'], priority: 1, own: { wave: 'first' } });
  if (food.length) await changeKept(briefId, id, { numbers: food }, { addTags: ['food'], priority: 2 });
  await checkMail(briefId, id, { do: 'check' }).catch((error: unknown) => {
    if (!(error instanceof Refusal)) throw error;
  });
}

/** Judges some people of the harvest drawn at random, once all of it was collected: how many fits there are follows from them. */
async function judgeAtRandom(briefId: string, halt: AbortSignal): Promise<void> {
  const [harvest] = await models().Harvest.findAll({ where: { briefId, watchId: null } });
  if (!harvest) return;
  await untilHarvestEnds(harvest, halt);
  const drawn = await nextDrawn(briefId, harvest.id, { many: judgedAtRandom, within: judgedAtRandom });
  const given = drawn.map(async ({ name, on: { sourceId, personId, revision } }) => {
    const [said] = await verdictsFor(sourceId, [{ id: personId, name }], 'first', mistaken);
    return { sourceId, ...said!, revision };
  });
  if (drawn.length) await judgeMany(briefId, await Promise.all(given));
}

/** Begins to gather the whole result of the last version, which goes on on its own. */
async function gatherAll(briefId: string, version: number): Promise<void> {
  if ((await listHarvests(briefId)).length) return;
  await startHarvest(briefId, {
    name: 'Everybody, by every wording',
    // The source that needs most requests comes last.
    from: [...places.filter((id) => id !== 'lanternfield'), 'lanternfield'].map((sourceId) => ({ sourceId, version })),
    budget: { requestsPerDay: null, records: null, spend: null }
  });
}

/**
 * A string after the best changes that verdicts speak for were taken, one after the other; those that cost fits, or let in
 * people the persona does not want, are left.
 */
async function improved(briefId: string, text: string, halt: AbortSignal) {
  const says: string[] = [];
  while (says.length < proposalsTaken) {
    halt.throwIfAborted();
    const { proposals } = await proposalsFor(briefId, text, places);
    const best = proposals.find(({ costly, kind }) => !costly && kind !== 'widen');
    if (!best) break;
    text = best.text;
    says.push(`Applied: ${best.says.replace(/\.$/, '')}.`);
  }
  return { text, says };
}

async function keepStep(briefId: string, { text, parent, name, note }: Step): Promise<void> {
  const already = await models().Version.findOne({ where: { briefId, name } });
  if (already) return;
  const { number } = await keepVersion(briefId, layOut(parse(text).query!), parent);
  await nameVersion(briefId, number, { name, note });
}

/** Runs every version at every place, where that was not done yet. */
async function runAll(briefId: string, halt: AbortSignal): Promise<void> {
  const { Version, Trial } = models();
  const versions = await Version.findAll({ where: { briefId }, order: ['number'] });
  const started = await Trial.findAll({
    where: { versionId: versions.map(({ id }) => id) },
    attributes: ['versionId', 'sourceId']
  });
  const isThere = new Set(started.map(({ versionId, sourceId }) => `${versionId} ${sourceId}`));
  for (const { id, number } of versions)
    for (const sourceId of places)
      if (!isThere.has(`${id} ${sourceId}`)) await startTrial(briefId, number, sourceId, drawn);
  const isUnderWay = async () =>
    (await Trial.count({
      where: { versionId: versions.map(({ id }) => id), state: ['waiting', 'running'] }
    })) > 0;
  while (await isUnderWay()) {
    halt.throwIfAborted();
    await new Promise((done) => setTimeout(done, 150));
  }
}

/** The people drawn by a brief's trials, each place's on its own, in the order in which they were drawn. */
async function drawnPeople(briefId: string, number?: number) {
  const { Version, Trial, TrialPerson } = models();
  const versions = await Version.findAll({ where: { briefId, ...(number && { number }) }, order: ['number'] });
  const trials = await Trial.findAll({ where: { versionId: versions.map(({ id }) => id), state: 'done' } });
  return Promise.all(
    trials.map(async ({ id, sourceId }) => ({
      sourceId,
      people: (await TrialPerson.findAll({ where: { trialId: id }, order: ['rank'] })).map(({ person }) => person)
    }))
  );
}

/** Judges those drawn who are not judged yet. */
async function judgeAll(briefId: string, halt: AbortSignal): Promise<void> {
  const { personaId } = await findBrief(briefId);
  for (const { sourceId, people } of await drawnPeople(briefId)) {
    halt.throwIfAborted();
    const known = await verdictsOn(personaId, sourceId);
    const open = people.slice(0, judgedOf).filter(({ id }) => !known.has(id));
    const given = await verdictsFor(sourceId, open, 'first', mistaken);
    if (given.length)
      await judgeMany(
        briefId,
        given.map((one) => ({ sourceId, ...one, revision: 0 }))
      );
  }
}

/** What somebody would say of people: the truth, but for a share that they get wrong and some they leave open. */
async function verdictsFor(sourceId: string, people: readonly Person[], judge: string, wrong: number) {
  const truth = await askPeople('true-verdicts', { sourceId, ids: people.map(({ id }) => id) });
  return people.map(({ id }, i) => {
    const luck = seededRandom(`${judge}/${id}`)();
    const why = truth[i]!;
    const said: Verdict =
      luck < undecided ? 'unsure' : (why === null) !== luck < undecided + wrong ? ('fit' as const) : ('miss' as const);
    return { personId: id, verdict: said, reason: said === 'miss' ? (why ?? 'wrong rank') : '' };
  });
}

/** A second judge looks at some of the newest version's people. */
async function judgeAgain(briefId: string, number: number): Promise<void> {
  const [first] = (await drawnPeople(briefId, number)).filter(({ sourceId }) => sourceId === places[0]);
  if (!first) return;
  const { sourceId } = first;
  const known = new Set((await judgementsOn(briefId, secondJudge.name, sourceId)).map(({ personId }) => personId));
  const people = first.people.slice(0, secondJudge.people).filter(({ id }) => !known.has(id));
  for (const one of await verdictsFor(sourceId, people, 'second', secondJudge.differs))
    await giveJudgement(briefId, secondJudge.name, { sourceId, ...one, revision: 0 });
}

/** Some of the fits are customers: they must be found. */
async function keepCustomers(briefId: string, number: number): Promise<void> {
  const { personaId } = await findBrief(briefId);
  const customers: Person[] = [];
  for (const { sourceId, people } of await drawnPeople(briefId, number)) {
    const known = await verdictsOn(personaId, sourceId);
    customers.push(...people.filter(({ id }) => known.get(id)?.verdict === 'fit').slice(0, 3));
  }
  await addKnown(briefId, customers.slice(0, 8));
}

/** The newest version is chosen at each place and measured against the first; the draft goes on from it. */
async function choose(briefId: string, number: number): Promise<void> {
  const [choice, draft, version] = await Promise.all([
    readDocument(briefId, 'choice'),
    readDocument(briefId, 'draft'),
    models().Version.findOne({ where: { briefId, number } })
  ]);
  if (choice.body.baseline === null)
    await writeDocument(briefId, 'choice', {
      revision: choice.revision,
      body: {
        ...choice.body,
        baseline: 1,
        winners: places.map((sourceId) => ({
          sourceId,
          version: number,
          note: 'every wording, and what the proposals took out'
        }))
      }
    });
  if (version && draft.body.from === null)
    await writeDocument(briefId, 'draft', {
      revision: draft.revision,
      body: { text: version.text, from: number }
    });
}
