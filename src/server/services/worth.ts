import { render } from '$core/dialect/render';
import { models } from '../database/models';
import { notFound } from '../refusal';
import { askPeople } from '../workers/people';
import { readySource } from './sources';
import { runnable } from './versions';

export async function renderFor(text: string, sourceId: string) {
  const source = await models().Source.findByPk(sourceId);
  if (!source) throw notFound('This source');
  return render(runnable(text), source.sheet);
}

/** Counts a string at a source: as a whole, and each top-level part alone and left out. */
export async function worthOf(text: string, sourceId: string) {
  const query = runnable(text);
  const source = await readySource(sourceId);
  return askPeople('worth', { sourceId: source.id, query });
}
