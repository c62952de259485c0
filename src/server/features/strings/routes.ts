import { builtString } from './built-string';
import { foundTitles } from './found-titles';
import { elsewhere, jointEffect, knownAt, ledgerOf, proposalsFor } from './ledger';
import { countTexts, parseText, readFrom, renderFor, sensesOf, valuesAt } from './worth';
import { houseWordings, rememberWordings } from './house-wordings';
import type { Handlers } from '$server/http/handlers';

/** Milliseconds after which somebody at the screen would rather see what was found so far. */
const milliseconds = 1500;

export const stringRoutes = {
  buildString: ({ params }) => builtString(params.id),
  foundTitles: ({ params }) => foundTitles(params.id),
  jointEffect: ({ params, body }) => jointEffect(params.id, body.text, body.changes, body.sourceIds),
  knownAt: ({ params, body }) => knownAt(params.id, body.text, body.sourceId),
  ledger: ({ params, body }) => ledgerOf(params.id, body.text, body.sourceId, body.order),
  ledgerAtLength: ({ params, body }) => ledgerOf(params.id, body.text, body.sourceId, body.order, true),
  proposals: ({ params, body: { text, sourceIds, from = 0 } }) =>
    proposalsFor(params.id, text, sourceIds, { from, milliseconds }),
  count: ({ body }) => countTexts(body.texts, body.sourceId),
  elsewhere: ({ body }) => elsewhere(body.person, body.except),
  houseWordings: ({ query }) => houseWordings(query.title),
  rememberWordings: ({ body }) => rememberWordings(body.title, body.wordings, body.taken),
  parse: ({ body }) => parseText(body.text),
  read: ({ body }) => readFrom(body.text, body.sourceId),
  render: ({ body }) => renderFor(body.text, body.sourceId),
  senses: ({ body }) => sensesOf(body.text, body.sourceId),
  readValues: ({ params, query }) => valuesAt(params.source, query.scope, query.begins)
} satisfies Partial<Handlers>;
