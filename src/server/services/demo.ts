import { buildString, personaSchema } from '$core/persona';
import { layOut } from '$core/query';
import { models } from '../database/models';
import { createBrief } from './briefs';
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

/** Puts the demo's brief, and word sets to begin with, into an empty database. */
export async function loadDemo(): Promise<void> {
  if (await models().Brief.count()) return;
  await models().WordSet.bulkCreate([...demoWordSets], { ignoreDuplicates: true });
  const wording = demoPersona.titles.map((title) => ({
    id: title.toLowerCase(),
    name: title,
    wordings: wordings[title]!.map((text) => ({ text, origin: 'typed' as const, inUse: true })),
    refused: []
  }));
  const query = buildString(demoPersona, wording);
  await createBrief('Cold-chain quality, north-west Europe', {
    persona: demoPersona,
    wording,
    draft: { text: query ? layOut(query) : '' }
  });
}
