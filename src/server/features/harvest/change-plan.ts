import { Op, type Transaction } from 'sequelize';
import type { CutBy } from '$core/harvest';
import { database } from '$server/platform/database/connection';
import type { HarvestSliceRow } from '$server/platform/database/harvest-models';
import { models } from '$server/platform/database/models';
import { notFound, Refusal } from '$server/platform/refusal';
import { bringOn, recountSlice } from './slices-by-hand';
import { findSource } from '$server/features/sources/sources';
import { askWith, isAskedWithWords, wordsFor } from './ask-with-words';
import { findHarvest, readHarvest } from './harvests';
import { cutsOfSlice, cutSlice, toldCut } from './slices';

async function findSlice(briefId: string, id: string, sliceId: string) {
  const harvest = await findHarvest(briefId, id);
  const slice = await models().HarvestSlice.findOne({ where: { id: sliceId, harvestId: id } });
  if (!slice) throw notFound('This slice');
  return { harvest, slice, source: await findSource(slice.sourceId) };
}

/** The ways in which a slice could be cut, best first. */
export async function cutsAt(briefId: string, id: string, sliceId: string) {
  const { slice, source } = await findSlice(briefId, id, sliceId);
  return (await cutsOfSlice(briefId, slice, source)).map(toldCut);
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
  if (harvest.state === 'running')
    throw new Refusal(409, 'In progress', 'You can change the plan while the harvest is paused. Stop it first.');
  const byHand = source.kind === 'by-hand';
  const cannot = (why: string) => new Refusal(409, 'Cannot be done', why);
  await database().transaction(async (transaction) => {
    if (change.do === 'leave out') {
      if (slice.state !== 'waiting') throw cannot('Only a waiting slice can be excluded.');
      await slice.update({ state: 'left out' }, { transaction });
    } else if (change.do === 'take in') {
      if (slice.state !== 'left out') throw cannot('This slice isn’t excluded.');
      await slice.update({ state: 'waiting' }, { transaction });
    } else if (change.do === 'join') {
      if (slice.state !== 'cut') throw cannot('This slice isn’t split.');
      // What was typed and pasted of its parts came of the whole.
      await models().HandEntry.update(
        { sliceId: slice.id, page: null, count: null },
        { where: { sliceId: await partsOf(slice, transaction) }, transaction }
      );
      await models().HarvestSlice.destroy({ where: { parent: slice.id }, transaction });
      await slice.update({ state: 'waiting', cutBy: null, lost: null }, { transaction });
    } else if (change.do === 'end' || change.do === 'reopen') {
      if (!byHand) throw cannot(`${source.name} is read by Eave itself.`);
      if (slice.state === 'cut' || slice.state === 'left out') throw cannot('This slice is split or excluded.');
      await slice.update({ ended: change.do === 'end' }, { transaction });
    } else if (change.do === 'ask with') {
      if (slice.state === 'cut' && !isAskedWithWords(slice))
        throw cannot('This slice is split. Merge its parts first.');
      if (!(await askWith(slice, source, { word: change.word, expected: null }, transaction)))
        throw cannot(
          `${source.name} can’t add “${change.word}” to this search, or it was used already. Choose another word.`
        );
    } else {
      if (slice.state === 'cut') throw cannot('This slice is already split. Merge its parts first.');
      const cut = (await cutsOfSlice(briefId, slice, source)).find(({ by }) => sameCut(by, change.by));
      if (!cut) throw cannot('It can’t be split this way any more. Choose one of the options shown.');
      await cutSlice(slice, cut, transaction);
    }
    if (byHand) await recountSlice(slice, transaction);
    await harvest.changed('updatedAt', true);
    await harvest.save({ transaction });
  });
  if (byHand) await bringOn(id, source, change.do === 'end' ? [slice] : []);
  return readHarvest(briefId, id);
}
