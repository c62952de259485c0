import { call } from '$lib/api/call';
import { orErrorPage } from '$lib/api/load';
import { isUnderWay } from '$lib/trial/under-way';
import { contract } from '$server/api/contract';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, url, fetch, depends }) => {
  depends('eave:trials');
  const [trials, sources, versions, persona, wording] = await orErrorPage(
    Promise.all([
      call(contract.listTrials, { params, fetch }),
      call(contract.listSources, { fetch }),
      call(contract.listVersions, { params, fetch }),
      call(contract.readPersona, { params, fetch }),
      call(contract.readWording, { params, fetch })
    ])
  );
  const wanted = url.searchParams.get('trial') ?? trials[0]?.id;
  const read = (id: string) => call(contract.readTrial, { params: { ...params, trial: id }, fetch });
  const [trial, underWay, judges] = await orErrorPage(
    Promise.all([
      wanted ? read(wanted) : null,
      Promise.all(trials.filter((one) => one.id !== wanted && isUnderWay(one)).map(({ id }) => read(id))),
      call(contract.listJudges, { params, fetch })
    ])
  );
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
    const said = await orErrorPage(
      call(contract.readJudgements, { params: { ...params, judge }, query: { source: seen.sourceId }, fetch })
    );
    const byPerson = new Map(said.map((one) => [one.personId, one]));
    const sample = seen.sample.map((one) => ({
      ...one,
      verdict: byPerson.get(one.person.id) ?? null,
      counts: null
    }));
    return { ...seen, sample };
  }
};
