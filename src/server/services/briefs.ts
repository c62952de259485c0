import { randomUUID } from 'node:crypto';
import { describePersona, allTitles, emptyPersona, personaSchema, fitWordSets, wordSetsSchema } from '$core/persona';
import type { Transaction } from 'sequelize';
import type { z } from 'zod';
import { documentSchemas } from '../api/documents';
import { database } from '../database/connection';
import { models, type BriefRow, type DocumentKind, type VersionRow } from '../database/models';
import { changedElsewhere, notFound, Refusal } from '../refusal';
import { peopleJudged } from './judged';

const emptyDocuments = {
  persona: emptyPersona,
  wording: [],
  draft: { text: '', from: null },
  known: [],
  contacted: [],
  choice: { baseline: null, winners: [], certainOnly: false }
} as const;
const documentNames = {
  persona: 'The persona',
  wording: 'The wording',
  draft: 'The string',
  known: 'The list of known-goods',
  contacted: 'The list of people already contacted',
  choice: 'What was chosen'
} as const;

export async function findBrief(id: string): Promise<BriefRow> {
  const brief = await models().Brief.findByPk(id);
  if (!brief) throw notFound('This brief');
  return brief;
}

const told = (brief: BriefRow) => ({
  id: brief.id,
  name: brief.name,
  archived: brief.archivedAt !== null,
  revision: brief.revision,
  createdAt: brief.createdAt.toISOString(),
  updatedAt: brief.updatedAt.toISOString()
});

export async function createBrief(
  name: string,
  documents: Partial<Record<DocumentKind, unknown>> = {},
  within: Transaction | null = null
) {
  return database().transaction({ transaction: within }, async (transaction) => {
    const { Brief, Document } = models();
    const brief = await Brief.create(
      { id: randomUUID(), personaId: randomUUID(), name, archivedAt: null },
      { transaction }
    );
    await Document.bulkCreate(
      (Object.keys(documentSchemas) as DocumentKind[]).map((kind) => ({
        briefId: brief.id,
        kind,
        body: documents[kind] ?? emptyDocuments[kind]
      })),
      { transaction }
    );
    return told(brief);
  });
}

/** A new brief with the same persona, wording and string; trials and verdicts stay with the old one. */
export async function copyBrief(id: string) {
  const brief = await findBrief(id);
  const documents = await models().Document.findAll({ where: { briefId: id } });
  return createBrief(
    `${brief.name.slice(0, 190)} (copy)`,
    // What was chosen goes by versions, which stay with the old one.
    Object.fromEntries(documents.filter(({ kind }) => kind !== 'choice').map(({ kind, body }) => [kind, body]))
  );
}

export async function readBrief(id: string) {
  const brief = await findBrief(id);
  const [versions, judged, wording, persona, choice] = await Promise.all([
    models().Version.max<number, VersionRow>('number', { where: { briefId: id } }),
    peopleJudged(id),
    readDocument(id, 'wording'),
    readDocument(id, 'persona'),
    readDocument(id, 'choice')
  ]);
  return {
    ...told(brief),
    sentence: describePersona(persona.body),
    wordingsInUse: wording.body.flatMap((set) => set.wordings.filter((one) => one.inUse)).length,
    versions: versions ?? 0,
    judged,
    certainOnly: choice.body.certainOnly
  };
}

export async function listBriefs() {
  const briefs = await models().Brief.findAll({ order: [['updatedAt', 'DESC']] });
  return Promise.all(briefs.map((brief) => readBrief(brief.id)));
}

export async function changeBrief(
  id: string,
  change: { revision: number; name?: string | undefined; archived?: boolean | undefined }
) {
  const brief = await findBrief(id);
  const [changed] = await models().Brief.update(
    {
      ...(change.name !== undefined && { name: change.name }),
      ...(change.archived !== undefined && { archivedAt: change.archived ? new Date() : null }),
      revision: change.revision + 1
    },
    { where: { id, revision: change.revision } }
  );
  await brief.reload();
  if (!changed) throw changedElsewhere('This brief', told(brief));
  return told(brief);
}

export async function deleteBrief(id: string): Promise<void> {
  const brief = await findBrief(id);
  if (!brief.archivedAt)
    throw new Refusal(409, 'Not archived', 'Only an archived brief can be deleted. Archive it first.');
  await brief.destroy();
}

export async function readDocument<K extends DocumentKind>(
  briefId: string,
  kind: K
): Promise<{ body: z.output<(typeof documentSchemas)[K]>; revision: number }> {
  const document = await models().Document.findOne({ where: { briefId, kind } });
  if (!document) throw notFound('This brief');
  return {
    body: documentSchemas[kind].parse(document.body) as z.output<(typeof documentSchemas)[K]>,
    revision: document.revision
  };
}

/** Writes a document of a brief if nobody has since `revision`; word sets follow the persona's titles. */
export async function writeDocument(briefId: string, kind: DocumentKind, change: { body: unknown; revision: number }) {
  await database().transaction(async (transaction) => {
    const { Document, Brief } = models();
    const [changed] = await Document.update(
      { body: change.body, revision: change.revision + 1 },
      { where: { briefId, kind, revision: change.revision }, transaction }
    );
    if (!changed) {
      const current = await readDocument(briefId, kind);
      throw changedElsewhere(documentNames[kind], current);
    }
    if (kind === 'persona') {
      const wording = await Document.findOne({ where: { briefId, kind: 'wording' }, transaction });
      const sets = wordSetsSchema.parse(wording!.body);
      const fitted = fitWordSets(allTitles(personaSchema.parse(change.body)), sets);
      if (JSON.stringify(fitted) !== JSON.stringify(sets))
        await wording!.update({ body: fitted, revision: wording!.revision + 1 }, { transaction });
    }
    await Brief.update({ updatedAt: new Date() }, { where: { id: briefId }, transaction, silent: true });
  });
  return { revision: change.revision + 1 };
}

/** Lets a brief count only those who are certain, or all possible; what was chosen stays, and the last word holds. */
export async function countCertainOnly(briefId: string, certainOnly: boolean): Promise<void> {
  await findBrief(briefId);
  await database().query(
    `UPDATE documents SET body = body || jsonb_build_object('certainOnly', $certainOnly::boolean), revision = revision + 1,
       updated_at = now()
     WHERE brief_id = $briefId AND kind = 'choice'`,
    { bind: { briefId, certainOnly } }
  );
}
