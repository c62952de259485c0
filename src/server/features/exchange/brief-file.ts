import { recordName } from '$server/records/record-name';
import { randomUUID } from 'node:crypto';
import { Op, type Transaction } from 'sequelize';
import type { Person } from '$core/people';
import { setNamesIn } from '$core/language';
import type { BriefFile } from '$api/brief-file';
import { documentSchemas } from '$api/documents';
import { database } from '$server/platform/database/connection';
import { models, type DocumentKind } from '$server/platform/database/models';
import { refuse } from '$server/platform/refusals';
import { createBrief, findBrief, readDocument } from '$server/features/briefs/briefs';
import { withoutObjected } from '$server/records/objections/objected';

/** People of a file, each kept once however often they came. */
class PeopleOfFile {
  readonly list: Person[] = [];
  private readonly places = new Map<string, number>();
  place = (person: Person): number => {
    const written = JSON.stringify(person);
    let place = this.places.get(written);
    if (place === undefined) {
      this.places.set(written, (place = this.list.length));
      this.list.push(person);
    }
    return place;
  };
}

/** A whole brief as one file. Runs that are not done are left out. */
export async function exportBrief(briefId: string): Promise<BriefFile> {
  const brief = await findBrief(briefId);
  const {
    Version,
    Trial,
    TrialPage,
    TrialPerson,
    Verdict: Verdicts,
    Judgement,
    SamePerson,
    Note,
    Source,
    WordSet
  } = models();
  const { personaId } = brief;
  const documents = Object.fromEntries(
    await Promise.all(
      (Object.keys(documentSchemas) as DocumentKind[]).map(async (kind) => [
        kind,
        (await readDocument(briefId, kind)).body
      ])
    )
  ) as BriefFile['documents'];
  const versions = await Version.findAll({ where: { briefId }, order: ['number'] });
  const numberOf = new Map(versions.map(({ id, number }) => [id, number]));
  const trials = await Trial.findAll({
    where: { versionId: [...numberOf.keys()], state: 'done' },
    order: ['createdAt', 'id']
  });
  const ids = trials.map(({ id }) => id);
  const [pages, sample, verdicts, judgements] = await Promise.all([
    TrialPage.findAll({ where: { trialId: ids }, order: ['search', 'page'] }),
    TrialPerson.findAll({ where: { trialId: ids }, order: ['rank'] }),
    Verdicts.findAll({ where: { personaId }, order: ['updatedAt', 'sourceId', 'personId'] }),
    Judgement.findAll({ where: { personaId }, order: ['judge', 'updatedAt', 'sourceId', 'personId'] })
  ]);
  const notes = await Note.findAll({ where: { personaId }, order: ['sourceId', 'personId'] });
  const used = [...new Set([...trials, ...verdicts, ...judgements, ...notes].map(({ sourceId }) => sourceId))].sort();
  const sources = await Source.findAll({ where: { id: used }, order: ['id'] });
  const decided = await SamePerson.findAll({
    where: { firstSource: used, secondSource: used },
    order: ['firstSource', 'firstPerson', 'secondSource', 'secondPerson']
  });
  const wordSets = await WordSet.findAll({ where: { name: setNamesIn(documents.draft.text) }, order: ['name'] });
  const people = new PeopleOfFile();
  const at = (row: { updatedAt?: Date }) => row.updatedAt!.toISOString();
  const said = ({ sourceId, personId, verdict, reason }: (typeof verdicts)[number] | (typeof judgements)[number]) => ({
    sourceId,
    personId,
    verdict,
    reason
  });
  return {
    format: 'eave-brief',
    formatVersion: 2,
    name: brief.name,
    documents,
    wordSets: wordSets.map(({ name, kind, wordings, note }) => ({ name, kind, wordings, note })),
    sources: sources.map(({ id, name, sheet }) => ({ id, name, sheet })),
    versions: versions.map(({ number, text, name, note, parent, sets, createdAt }) => ({
      number,
      text,
      name,
      note,
      parent,
      sets,
      createdAt: createdAt.toISOString()
    })),
    trials: trials.map((trial) => ({
      version: numberOf.get(trial.versionId)!,
      sourceId: trial.sourceId,
      seed: trial.seed,
      rendering: trial.rendering,
      answers: trial.answers,
      filtered: trial.filtered,
      contacted: trial.contacted,
      duplicates: trial.duplicates,
      requests: trial.requests,
      sampleSize: trial.sampleSize,
      events: trial.events,
      found: trial.found,
      open: trial.open,
      pages: pages
        .filter(({ trialId }) => trialId === trial.id)
        .map(({ search, page, said: shown, last, people: some }) => ({
          search,
          page,
          said: shown,
          last,
          people: some.map(people.place)
        })),
      sample: sample
        .filter(({ trialId }) => trialId === trial.id)
        .map(({ rank, person }) => ({ rank, person: people.place(person) })),
      createdAt: trial.createdAt.toISOString()
    })),
    people: people.list,
    verdicts: verdicts.map((row) => ({ ...said(row), by: row.by, at: at(row) })),
    judgements: judgements.map((row) => ({ ...said(row), judge: row.judge, at: at(row) })),
    notes: notes.map(({ sourceId, personId, text }) => ({ sourceId, personId, text })),
    samePeople: decided.map(({ firstSource, firstPerson, secondSource, secondPerson, same }) => ({
      first: { sourceId: firstSource, personId: firstPerson },
      second: { sourceId: secondSource, personId: secondPerson },
      same
    }))
  };
}

/** The records in a file of people who objected, and of anybody who the file says is the same person; each with a name that means nothing. */
async function objectedOf(
  file: BriefFile,
  person: (place: number) => Person,
  transaction: Transaction
): Promise<Map<string, string>> {
  const records = [
    ...file.trials.flatMap(({ sourceId, pages, sample }) =>
      [...pages.flatMap(({ people }) => people), ...sample.map((one) => one.person)].map((place) => ({
        sourceId,
        person: person(place)
      }))
    ),
    ...[...file.verdicts, ...file.judgements, ...file.notes].map(({ sourceId, personId }) => ({
      sourceId,
      person: { id: personId, name: '' }
    })),
    ...file.trials.flatMap(({ sourceId, found, open }) =>
      [...found, ...open].map((id) => ({ sourceId, person: { id, name: '' } }))
    ),
    ...file.samePeople.flatMap(({ first, second }) =>
      [first, second].map(({ sourceId, personId }) => ({ sourceId, person: { id: personId, name: '' } }))
    )
  ];
  const allowed = new Set(await withoutObjected(records, transaction));
  const objected = new Set(
    records.flatMap((one) => (allowed.has(one) ? [] : [recordName(one.sourceId, one.person.id)]))
  );
  if (!objected.size) return new Map();
  const pairs = file.samePeople
    .filter(({ same }) => same)
    .map(({ first, second }) => [
      recordName(first.sourceId, first.personId),
      recordName(second.sourceId, second.personId)
    ]);
  for (let before = -1; before < objected.size;) {
    before = objected.size;
    for (const pair of pairs) if (pair.some((one) => objected.has(one))) for (const one of pair) objected.add(one);
  }
  return new Map([...objected].map((one) => [one, `gone-${randomUUID()}`]));
}

/**
 * A new brief out of a file, all or nothing. People who objected are left out and counted. Sources that are not here become places run by hand; word sets and decisions about who
 * is who that are here already stay as they are.
 */
export async function importBrief(file: BriefFile) {
  const person = (place: number): Person => {
    const one = file.people[place];
    if (!one) throw refuse('brief-file-person', place, file.people.length);
    return one;
  };
  const versionIds = new Map(file.versions.map(({ number }) => [number, randomUUID()]));
  const versionOf = (number: number) => {
    const id = versionIds.get(number);
    if (!id) throw refuse('brief-file-version', number);
    return id;
  };
  const named = new Set(file.sources.map(({ id }) => id));
  for (const { sourceId } of [...file.trials, ...file.verdicts, ...file.judgements, ...file.notes])
    if (!named.has(sourceId)) throw refuse('brief-file-source', sourceId);
  const {
    Brief,
    Source,
    Version,
    Trial,
    TrialPage,
    TrialPerson,
    Verdict: Verdicts,
    Judgement,
    SamePerson,
    Note,
    WordSet
  } = models();
  return database().transaction(async (transaction) => {
    const objected = await objectedOf(file, person, transaction);
    /** The id of a record, or a name that means nothing where the person objected: figures stay as they are. */
    const idOf = (sourceId: string, personId: string) => objected.get(recordName(sourceId, personId)) ?? personId;
    const isAllowed = ({ sourceId, personId }: { sourceId: string; personId: string }) =>
      !objected.has(recordName(sourceId, personId));
    const judged = <Row extends { sourceId: string; personId: string; reason: string }>(row: Row): Row =>
      isAllowed(row) ? row : { ...row, personId: idOf(row.sourceId, row.personId), reason: '' };
    const brief = await createBrief(file.name, file.documents, transaction);
    const { personaId } = (await Brief.findByPk(brief.id, { transaction }))!;
    await Source.bulkCreate(
      file.sources.map(({ id, name, sheet }) => ({ id, name, sheet, kind: 'by-hand' as const, people: null })),
      { transaction, ignoreDuplicates: true }
    );
    await WordSet.bulkCreate(file.wordSets, { transaction, ignoreDuplicates: true });
    await Version.bulkCreate(
      file.versions.map((version) => ({
        ...version,
        id: versionOf(version.number),
        briefId: brief.id,
        createdAt: new Date(version.createdAt)
      })),
      { transaction }
    );
    for (const { version, pages, sample, createdAt, ...trial } of file.trials) {
      const id = randomUUID();
      const { sourceId } = trial;
      const personIf = (place: number) => {
        const one = person(place);
        return isAllowed({ sourceId, personId: one.id }) ? [one] : [];
      };
      await Trial.create(
        {
          ...trial,
          found: trial.found.map((one) => idOf(sourceId, one)),
          open: trial.open.map((one) => idOf(sourceId, one)),
          // What is not there is left out, and never there as undefined.
          rendering: trial.rendering as never,
          id,
          versionId: versionOf(version),
          state: 'done',
          createdAt: new Date(createdAt)
        },
        { transaction }
      );
      await TrialPage.bulkCreate(
        pages.map((page) => ({ ...page, trialId: id, people: page.people.flatMap(personIf) })),
        { transaction }
      );
      await TrialPerson.bulkCreate(
        sample.flatMap(({ rank, person: place }) =>
          personIf(place).map((one) => ({ trialId: id, rank, personId: one.id, person: one }))
        ),
        { transaction }
      );
    }
    await Verdicts.bulkCreate(
      file.verdicts.map(({ at, ...row }) => ({ ...judged(row), personaId, updatedAt: new Date(at) })),
      { transaction }
    );
    await Judgement.bulkCreate(
      file.judgements.map(({ at, ...row }) => ({ ...judged(row), personaId, updatedAt: new Date(at) })),
      { transaction }
    );
    await Note.bulkCreate(
      file.notes.filter(isAllowed).map((note) => ({ ...note, personaId })),
      { transaction }
    );
    const here = new Set(
      (await Source.findAll({ where: { id: { [Op.in]: [...named] } }, attributes: ['id'], transaction })).map(
        ({ id }) => id
      )
    );
    await SamePerson.bulkCreate(
      file.samePeople
        .filter(({ first, second }) => here.has(first.sourceId) && here.has(second.sourceId))
        .filter(({ first, second }) => isAllowed(first) && isAllowed(second))
        .map(({ first, second, same }) => ({
          firstSource: first.sourceId,
          firstPerson: first.personId,
          secondSource: second.sourceId,
          secondPerson: second.personId,
          same
        })),
      { transaction, ignoreDuplicates: true }
    );
    return { ...brief, objected: objected.size };
  });
}
