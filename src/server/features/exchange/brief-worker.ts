import * as z from 'zod';
import { exchange } from '$api/exchange';
import { personaSchema } from '$core/persona';
import { namedSetSchema } from '$core/language';
import { readJson } from '$server/platform/read-json';
import { check } from '$server/platform/check';
import { exportBrief, importBrief } from './brief-file';
import { upgradedBriefFile } from './older-brief-file';
import { exportQrels, exportRuns, importQrels } from './trec';
import type { BriefTask } from './brief-work';
import { doEach } from '$server/workers/one-thing';

/** Levels of lists and objects in a brief at most: a string has 200, each of which is a list in an object. */
const deepest = 600;
const jsonOf = (body: Uint8Array) => readJson(new TextDecoder().decode(body), deepest);

function readBriefFile(body: Uint8Array) {
  const file = check(exchange.importBrief.body, upgradedBriefFile(jsonOf(body)), 'what was sent');
  check(
    z.object({ documents: z.object({ persona: personaSchema }), wordSets: z.array(namedSetSchema) }),
    file,
    'what was sent'
  );
  return file;
}

async function work(task: BriefTask): Promise<unknown> {
  switch (task.kind) {
    case 'export-brief':
      return exportBrief(task.briefId);
    case 'export-qrels':
      return exportQrels(task.briefId);
    case 'export-runs':
      return exportRuns(task.briefId, task.certain);
    case 'import-brief':
      return importBrief(readBriefFile(task.body));
    case 'import-qrels':
      return importQrels(task.briefId, check(exchange.importQrels.body, jsonOf(task.body), 'what was sent').text);
  }
}

doEach(async (task: BriefTask) => new TextEncoder().encode(JSON.stringify(await work(task))));
