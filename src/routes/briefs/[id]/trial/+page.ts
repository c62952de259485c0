import { asking } from '$lib/api/load';
import { isUnderWay } from '$lib/trial/page/under-way';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, url, fetch, depends }) => {
  const ask = asking(fetch);
  depends('eave:trials');
  const [trials, sources, versions, persona, wording] = await Promise.all([
    ask('listTrials', { params }),
    ask('listSources'),
    ask('listVersions', { params }),
    ask('readPersona', { params }),
    ask('readWording', { params })
  ]);
  const wanted = url.searchParams.get('trial') ?? trials[0]?.id;
  const read = (id: string) => ask('readTrial', { params: { ...params, trial: id } });
  const [trial, underWay, judges] = await Promise.all([
    wanted ? read(wanted) : null,
    Promise.all(trials.filter((one) => one.id !== wanted && isUnderWay(one)).map(({ id }) => read(id))),
    ask('listJudges', { params })
  ]);
  const as = url.searchParams.get('as')?.trim() || null;
  return {
    trials,
    sources,
    versions,
    persona,
    wording,
    judges,
    as,
    underWay,
    trial: trial && as ? await asSeenBy(as, trial) : trial
  };

  /** A second judge sees the same people and none of the verdicts given before. */
  async function asSeenBy(judge: string, seen: NonNullable<typeof trial>) {
    const said = await ask('readJudgements', { params: { ...params, judge }, query: { source: seen.sourceId } });
    const byPerson = new Map(said.map((one) => [one.personId, one]));
    const sample = seen.sample.map((one) => ({
      ...one,
      verdict: byPerson.get(one.person.id) ?? null,
      counts: null
    }));
    return { ...seen, sample };
  }
};
