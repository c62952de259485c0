import { changeBrief, createBrief, deleteBrief } from '$server/features/briefs/briefs';
import { listBriefs, readBrief } from './brief-overview';
import {
  deleteTrial,
  drawAtOnce,
  drawMore,
  listTrials,
  readTrial,
  resumeTrial,
  runAtSources,
  runTrial,
  stopTrial
} from './trials';
import { agreementWith, giveJudgement, judgementsOn, listJudges, settle } from './judges';
import { writeNote } from './notes';
import { keepVersion, listVersions, nameVersion, takeChanges } from './versions';
import { judgeByRule, takeBackRules } from './rule-verdicts';
import { settleConflict } from './settle-conflict';
import { giveVerdict, judgeMany } from './verdicts';
import type { Handlers } from '$server/http/handlers';

export const trialRoutes = {
  listBriefs: () => listBriefs(),
  createBrief: ({ body }) => createBrief(body.name),
  readBrief: ({ params }) => readBrief(params.id),
  changeBrief: ({ params, body }) => changeBrief(params.id, body),
  deleteBrief: ({ params }) => deleteBrief(params.id),
  drawAtOnce: ({ params, body }) => drawAtOnce(params.id, body.draws),
  listJudges: ({ params }) => listJudges(params.id),
  readJudgements: ({ params, query }) => judgementsOn(params.id, params.judge, query.source),
  giveJudgement: ({ params, body }) => giveJudgement(params.id, params.judge, body),
  agreement: ({ params }) => agreementWith(params.id, params.judge),
  settle: ({ params, body }) => settle(params.id, params.judge, body),
  writeNote: ({ params, body }) => writeNote(params.id, body),
  takeChanges: ({ params, body }) => takeChanges(params.id, body),
  runAtSources: ({ params, body }) => runAtSources(params.id, body),
  listTrials: ({ params }) => listTrials(params.id),
  runTrial: ({ params, body }) => runTrial(params.id, body.version, body.sourceId, body.sampleSize, body.wait * 1000),
  readTrial: ({ params }) => readTrial(params.id, params.trial),
  deleteTrial: ({ params }) => deleteTrial(params.id, params.trial),
  resumeTrial: ({ params }) => resumeTrial(params.id, params.trial),
  judgeByRule: ({ params }) => judgeByRule(params.id, params.trial),
  takeBackRules: ({ params }) => takeBackRules(params.id, params.trial),
  drawMore: ({ params, body }) => drawMore(params.id, params.trial, body.size),
  stopTrial: ({ params }) => stopTrial(params.id, params.trial),
  settleConflict: ({ params, body }) => settleConflict(params.id, body),
  judgeMany: ({ params, body }) => judgeMany(params.id, body.verdicts),
  giveVerdict: ({ params, body }) => giveVerdict(params.id, body),
  listVersions: ({ params }) => listVersions(params.id),
  keepVersion: ({ params, body }) => keepVersion(params.id, body.text, body.parent),
  nameVersion: ({ params, body }) => nameVersion(params.id, params.number, body)
} satisfies Partial<Handlers>;
