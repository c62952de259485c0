import { randomUUID } from 'node:crypto';
import { allTitles, emptyPersona, personaSchema, fitWordSets, wordSetsSchema } from '$core/persona';
import type { Person } from '$core/people';
import { setNamesIn } from '$core/language';
import type { Transaction } from 'sequelize';
import type * as z from 'zod';
import { documentSchemas, type Choice } from '$api/documents';
import { keepable } from './kept-schemas';
import { database } from '$server/platform/database/connection';
import { models, type BriefRow, type DocumentKind } from '$server/platform/database/models';
import { changedElsewhere, notFound, refuse } from '$server/platform/refusals';
import { peopleWithoutObjected } from '$server/records/objections/objected';

const emptyDocuments = {
  persona: emptyPersona,
  wording: [],
  draft: { text: '', from: null },
  known: [],
  contacted: [],
  choice: { baseline: null, winners: [], certainOnly: false, leftOut: [] }
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

const serialize = (brief: BriefRow) => ({
  id: brief.id,
  name: brief.name,
  archived: brief.archivedAt !== null,
  demo: brief.demo,
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
    const allowed = { ...documents };
    for (const kind of ['known', 'contacted'] as const)
      if (documents[kind])
        allowed[kind] = await peopleWithoutObjected('list', documents[kind] as Person[], transaction);
    await holdWordSets((documents.draft as { text: string } | undefined)?.text ?? '', transaction);
    const brief = await Brief.create(
      { id: randomUUID(), personaId: randomUUID(), name, archivedAt: null },
      { transaction }
    );
    await Document.bulkCreate(
      (Object.keys(documentSchemas) as DocumentKind[]).map((kind) => ({
        briefId: brief.id,
        kind,
        body: allowed[kind] ?? emptyDocuments[kind]
      })),
      { transaction }
    );
    return serialize(brief);
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
  if (!changed) throw changedElsewhere('This brief', serialize(brief));
  return serialize(brief);
}

export async function deleteBrief(id: string): Promise<void> {
  const brief = await findBrief(id);
  if (!brief.archivedAt) throw refuse('not-archived');
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
  const given = keepable(kind, change.body);
  const body =
    kind === 'known' || kind === 'contacted' ? await peopleWithoutObjected('list', given as Person[]) : given;
  await database().transaction(async (transaction) => {
    const { Document, Brief } = models();
    const [changed] = await Document.update(
      { body, revision: change.revision + 1 },
      { where: { briefId, kind, revision: change.revision }, transaction }
    );
    if (!changed) {
      const current = await readDocument(briefId, kind);
      throw changedElsewhere(documentNames[kind], current);
    }
    if (kind === 'persona') {
      // Held until the end, so that a wording written meanwhile is neither missed nor overwritten.
      const wording = await Document.findOne({ where: { briefId, kind: 'wording' }, transaction, lock: true });
      const sets = wordSetsSchema.parse(wording!.body);
      const fitted = fitWordSets(allTitles(personaSchema.parse(body)), sets);
      if (JSON.stringify(fitted) !== JSON.stringify(sets))
        await Document.update(
          { body: fitted, revision: wording!.revision + 1 },
          { where: { briefId, kind: 'wording', revision: wording!.revision }, transaction }
        );
    }
    if (kind === 'draft') await holdWordSets((body as { text: string }).text, transaction);
    await Brief.update({ updatedAt: new Date() }, { where: { id: briefId }, transaction, silent: true });
  });
  return { revision: change.revision + 1 };
}

/** Keeps the word sets that a text takes up from being deleted before it is kept: anybody who deletes them then sees it. */
async function holdWordSets(text: string, transaction: Transaction): Promise<void> {
  const names = setNamesIn(text);
  if (names.length)
    await models().WordSet.findAll({
      where: { name: names },
      order: ['name'],
      transaction,
      lock: transaction.LOCK.KEY_SHARE
    });
}

/** Lets a brief count only those who are certain, or all possible; what was chosen stays, and the last word holds. */
export const countCertainOnly = (briefId: string, certainOnly: boolean): Promise<void> =>
  putIntoChoice(briefId, { certainOnly });

/** Says which sources the strings of a brief are not run on; the last word holds. */
export const leaveOutSources = (briefId: string, leftOut: readonly string[]): Promise<void> =>
  putIntoChoice(briefId, { leftOut: [...new Set(leftOut)] });

/** Changes one part of a brief's choice document, without touching its other parts. */
async function putIntoChoice(briefId: string, part: Partial<Choice>): Promise<void> {
  await findBrief(briefId);
  await database().query(
    `UPDATE documents SET body = body || $part::jsonb, revision = revision + 1, updated_at = now()
     WHERE brief_id = $briefId AND kind = 'choice'`,
    { bind: { briefId, part: JSON.stringify(part) } }
  );
}
