import { Op, type Transaction } from 'sequelize';
import type { CutBy } from '$core/harvest';
import { database } from '$server/platform/database/connection';
import type { HarvestSliceRow } from '$server/platform/database/harvest-models';
import { models } from '$server/platform/database/models';
import { notFound, refuse } from '$server/platform/refusals';
import { bringOn, recountSlice } from './slices-by-hand';
import { findSource } from '$server/features/sources/sources';
import { askWith, isAskedWithWords, wordsFor } from './ask-with-words';
import { findHarvest, readHarvest } from './harvests';
import { cutsOfSlice, cutSlice, serializeCut } from './slices';

async function findSlice(briefId: string, id: string, sliceId: string) {
  const harvest = await findHarvest(briefId, id);
  const slice = await models().HarvestSlice.findOne({ where: { id: sliceId, harvestId: id } });
  if (!slice) throw notFound('This slice');
  return { harvest, slice, source: await findSource(slice.sourceId) };
}

/** The ways in which a slice could be cut, best first. */
export async function cutsAt(briefId: string, id: string, sliceId: string) {
  const { slice, source } = await findSlice(briefId, id, sliceId);
  return (await cutsOfSlice(briefId, slice, source)).map(serializeCut);
}

/** The words that should bring most new people beside a slice's search, best first. */
export async function wordsAt(briefId: string, id: string, sliceId: string) {
  const { slice, source } = await findSlice(briefId, id, sliceId);
  return (await wordsFor(slice, source, briefId)).map(({ word, expected, fresh }) => ({
    word,
    expected: Math.round(expected),
    fresh: Math.round(fresh)
  }));
}

/** All slices that were cut out of one, and out of these. */
const partsOf = async ({ harvestId, sourceId, place }: HarvestSliceRow, transaction: Transaction) =>
  (
    await models().HarvestSlice.findAll({
      where: { harvestId, sourceId, place: { [Op.startsWith]: `${place}.` } },
      attributes: ['id'],
      transaction
    })
  ).map(({ id }) => id);

const sameCut = (a: CutBy, b: CutBy) => JSON.stringify(a) === JSON.stringify(b);

/** Leaves a slice out or takes it in again; cuts it by what is chosen; or joins again what was cut, with all cuts of its parts. */
export async function changeSlice(
  briefId: string,
  id: string,
  sliceId: string,
  change:
    | { do: 'leave out' }
    | { do: 'take in' }
    | { do: 'join' }
    | { do: 'end' }
    | { do: 'reopen' }
    | { do: 'cut'; by: CutBy }
    | { do: 'ask with'; word: string }
) {
  const { harvest, slice, source } = await findSlice(briefId, id, sliceId);
  if (harvest.state === 'running') throw refuse('harvest-running');
  const byHand = source.kind === 'by-hand';
  await database().transaction(async (transaction) => {
    if (change.do === 'leave out') {
      if (slice.state !== 'waiting') throw refuse('slice-not-waiting');
      await slice.update({ state: 'left out' }, { transaction });
    } else if (change.do === 'take in') {
      if (slice.state !== 'left out') throw refuse('slice-not-excluded');
      await slice.update({ state: 'waiting' }, { transaction });
    } else if (change.do === 'join') {
      if (slice.state !== 'cut') throw refuse('slice-not-split');
      // What was typed and pasted of its parts came of the whole.
      await models().HandEntry.update(
        { sliceId: slice.id, page: null, count: null },
        { where: { sliceId: await partsOf(slice, transaction) }, transaction }
      );
      await models().HarvestSlice.destroy({ where: { parent: slice.id }, transaction });
      await slice.update({ state: 'waiting', cutBy: null, lost: null }, { transaction });
    } else if (change.do === 'end' || change.do === 'reopen') {
      if (!byHand) throw refuse('slice-read-by-eave', source.name);
      if (slice.state === 'cut' || slice.state === 'left out') throw refuse('slice-split-or-excluded');
      await slice.update({ ended: change.do === 'end' }, { transaction });
    } else if (change.do === 'ask with') {
      if (slice.state === 'cut' && !isAskedWithWords(slice)) throw refuse('slice-split');
      if (!(await askWith(slice, source, { word: change.word, expected: null }, transaction)))
        throw refuse('slice-word-refused', source.name, change.word);
    } else {
      if (slice.state === 'cut') throw refuse('slice-split');
      const cut = (await cutsOfSlice(briefId, slice, source)).find(({ by }) => sameCut(by, change.by));
      if (!cut) throw refuse('slice-split-refused');
      await cutSlice(slice, cut, transaction);
    }
    if (byHand) await recountSlice(slice, transaction);
    await harvest.changed('updatedAt', true);
    await harvest.save({ transaction });
  });
  if (byHand) await bringOn(id, source, change.do === 'end' ? [slice] : []);
  return readHarvest(briefId, id);
}
