import type * as z from 'zod';
import { writeText } from '$core/dialect';
import type { ReportEntry } from '$core/formats';
import { describePersona } from '$core/persona';
import { models } from '$server/platform/database/models';
import type { contract } from '$api';
import { askPeople } from '$server/workers/people';
import { boardFor, boardIn } from './board';
import { contextOf } from '$server/features/trials/brief-context';
import { readDocument } from '$server/features/briefs/briefs';
import { agreementWith, listJudges } from '$server/features/trials/judges';
import { listSources } from '$server/features/sources/sources';

type Cell = z.output<typeof contract.compare.response>['cells'][number];

const standingWords = ({ standing }: Cell): string =>
  standing.is === 'best'
    ? 'highest precision of the versions run there'
    : standing.is === 'beaten'
      ? 'another version has a higher precision there'
      : standing.is === 'open'
        ? `undecided against version ${standing.against} there`
        : 'no other version judged there';

/** What to share of a brief: for each source the version chosen (or the newest run there), with what speaks for it. */
export async function reportOf(briefId: string, certain?: boolean) {
  const [context, { body: choice }] = await Promise.all([contextOf(briefId), readDocument(briefId, 'choice')]);
  const { trials } = context;
  const certainOnly = certain ?? choice.certainOnly;
  const [persona, board, judges] = await Promise.all([
    readDocument(briefId, 'persona'),
    boardIn(context, undefined, certainOnly),
    listJudges(briefId)
  ]);
  const sources = await listSources();
  const left = trials.flatMap(({ trial }) =>
    trial.rendering.leftover ? [{ trial, query: trial.rendering.leftover }] : []
  );
  const texts = await askPeople('print-each', { queries: left.map(({ query }) => query) });
  const printed = new Map(left.map(({ trial }, i) => [trial, texts[i]!]));
  const entries: ReportEntry[] = [];
  for (const source of sources) {
    const mine = trials.filter(({ trial }) => trial.sourceId === source.id);
    if (!mine.length) continue;
    const winner = choice.winners.find(({ sourceId }) => sourceId === source.id);
    const taken = mine.find(({ version }) => version.number === winner?.version) ?? mine[0]!;
    const { trial, version } = taken;
    const cell = board.cells.find((one) => one.trialId === trial.id)!;
    const chosen = winner?.version === version.number;
    entries.push({
      source: source.name,
      version: version.number,
      name: version.name,
      note: chosen ? winner.note : '',
      chosen,
      text: version.text,
      searches: trial.rendering.searches.map((search) => writeText([search], source.sheet)),
      exactness: trial.rendering.exactness,
      leftOver: printed.get(trial) ?? null,
      figures: cell.figures,
      known: cell.known,
      spent: cell.spent,
      run: trial.createdAt.toISOString(),
      standing: standingWords(cell)
    });
  }
  const [second] = judges;
  const agreement = second ? await agreementWith(briefId, second.judge) : null;
  return {
    brief: context.name,
    persona: describePersona(persona.body),
    made: new Date().toISOString(),
    certainOnly,
    // Those somebody chose come first.
    entries: entries.sort((a, b) => Number(b.chosen) - Number(a.chosen)),
    people: board.people,
    judged: board.judged,
    agreement: agreement && {
      judge: agreement.judge,
      judged: agreement.judged,
      kappa: agreement.kappa,
      interval: agreement.interval
    }
  };
}

/** The version chosen for each source, measured: what the list of briefs shows. */
export async function chosenOf(briefId: string) {
  const { body: choice } = await readDocument(briefId, 'choice');
  if (!choice.winners.length) return [];
  const [board, sources] = await Promise.all([
    boardFor(briefId, [...new Set(choice.winners.map(({ version }) => version))], choice.certainOnly),
    models().Source.findAll({ where: { id: choice.winners.map(({ sourceId }) => sourceId) } })
  ]);
  return choice.winners.flatMap(({ sourceId, version, note }) => {
    const cell = board.cells.find((one) => one.version === version && one.sourceId === sourceId);
    const source = sources.find(({ id }) => id === sourceId);
    if (!cell || !source) return [];
    const { figures, trialId } = cell;
    const name = board.versions.find((one) => one.number === version)?.name ?? '';
    return [{ source: source.name, version, name, note, figures, certainOnly: choice.certainOnly, trialId }];
  });
}
