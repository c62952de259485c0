import { buildString, personaSchema } from '$core/persona';
import { layOut } from '$core/language';
import pRetry from 'p-retry';
import { DatabaseError, QueryTypes, type Transaction } from 'sequelize';
import * as z from 'zod';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import { environment } from '$server/platform/environment';
import { addJob, defineTask } from '$server/platform/jobs/queue';
import { createBrief, readDocument } from '$server/features/briefs/briefs';
import { demoVersionNames, finishDemo } from './demo-job';
import { demoWordSets } from './demo-word-sets';

const demoPersona = personaSchema.parse({
  offer: 'Temperature loggers for refrigerated transport',
  titles: ['Head of Quality', 'Quality Manager', 'Responsible Person', 'QA'],
  countries: [
    'Denmark',
    'Sweden',
    'Norway',
    'Netherlands',
    'Belgium',
    'Germany',
    'United Kingdom',
    'Ireland',
    'France'
  ],
  size: { from: 51, to: 1000 },
  mustHave: ['cold chain', 'GDP', 'chilled', 'pharma'],
  mustNot: ['intern']
});

const wordings: Record<string, readonly string[]> = {
  'Head of Quality': [
    'Head of Quality',
    'Quality Director',
    'Kvalitetschef',
    'Leiter Qualität',
    'Hoofd Kwaliteit',
    'Responsable Qualité'
  ],
  'Quality Manager': [
    'Quality Manager',
    'Quality Assurance Manager',
    'Qualitätsmanager',
    'Kwaliteitsmanager',
    'Kvalitetsleder'
  ],
  'Responsible Person': ['Responsible Person', 'RP', 'Großhandelsbeauftragter'],
  QA: ['QA', 'QA Manager']
};

const demoWording = demoPersona.titles.map((title) => ({
  id: title.toLowerCase(),
  name: title,
  wordings: wordings[title]!.map((text) => ({ text, origin: 'typed' as const, inUse: true })),
  refused: []
}));
const demoQuery = buildString(demoPersona, demoWording);
const demoDraft = demoQuery ? layOut(demoQuery) : '';
const demoName = 'Cold-chain quality, north-west Europe';

/** The persona of the demo's brief, under which its verdicts are kept. */
const demoPersonaId = 'ea5e0000-0000-4000-8000-000000000001';

/** Any number: names the lock that keeps two servers from loading the demo at once. */
const demoLock = 7_203_442;

/** Puts the demo's brief, and word sets to begin with, into an empty database; once, however many servers start. */
export async function loadDemo(): Promise<void> {
  if (await models().Brief.count()) return;
  await database().transaction(async (transaction) => {
    await database().query(`SELECT pg_advisory_xact_lock(${demoLock})`, { type: QueryTypes.SELECT, transaction });
    if (await models().Brief.count({ transaction })) return;
    await models().WordSet.bulkCreate([...demoWordSets], { ignoreDuplicates: true, transaction });
    await createDemo(transaction);
  });
}

/** Makes the demo's briefs: the job, and one to begin from nothing. Gives the id of the job's. */
async function createDemo(transaction: Transaction): Promise<string> {
  const { Brief } = models();
  if (environment().finishedDemo) {
    const { id } = await createBrief('Start here', {}, transaction);
    await Brief.update({ demo: true }, { where: { id }, transaction });
  }
  const { id } = await createBrief(
    demoName,
    { persona: demoPersona, wording: demoWording, draft: { text: demoDraft } },
    transaction
  );
  // Who is drawn goes by the persona: with the same one every installation shows the same job.
  await Brief.update({ demo: true, personaId: demoPersonaId }, { where: { id }, transaction });
  return id;
}

/** Puts the demo back as it was at first: its brief is made and done again, and nothing else is touched. Gives the brief's id. */
export async function resetDemo(): Promise<{ id: string }> {
  const remade = () =>
    database().transaction(async (transaction) => {
      await database().query(`SELECT pg_advisory_xact_lock(${demoLock})`, { type: QueryTypes.SELECT, transaction });
      await models().Brief.destroy({ where: { demo: true }, transaction });
      return createDemo(transaction);
    });
  // Its harvest and its watch may be writing rows that are deleted here: PostgreSQL then breaks off one of the two.
  const id = await pRetry(remade, { retries: 5, minTimeout: 200, shouldRetry: ({ error }) => isDeadlock(error) });
  await beginDemoJob();
  return { id };
}

/** Whether PostgreSQL broke a transaction off because it and another waited for each other (code 40P01). */
const isDeadlock = (error: unknown): boolean =>
  error instanceof DatabaseError && (error.original as { code?: string }).code === '40P01';

/** Has the demo's job done in the background, where it is there and was not done. */
export async function beginDemoJob(): Promise<void> {
  if (!environment().finishedDemo) return;
  const brief = await models().Brief.findOne({ where: { name: demoName, demo: true } });
  if (!brief) return;
  const { body } = await readDocument(brief.id, 'choice');
  if (body.baseline === null && (await isUntouched(brief.id)))
    await addJob('demo', { briefId: brief.id }, { key: `demo ${brief.id}`, priority: 0 });
}

/** Whether nobody but the demo's job has worked on its brief. */
async function isUntouched(briefId: string): Promise<boolean> {
  const names = await models().Version.findAll({ where: { briefId }, attributes: ['name'] });
  return names.every(({ name }) => demoVersionNames.includes(name));
}

export const demoTask = defineTask('demo', z.object({ briefId: z.string() }), async ({ briefId }, { stopping }) => {
  // Anybody who deletes it meanwhile does not want it.
  if (await models().Brief.count({ where: { id: briefId } })) await finishDemo(briefId, stopping);
});
