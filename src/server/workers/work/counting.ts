import { keepCommon, rowsOf, takeOut, type Bitmap } from '$core/corpus';
import { drawSample, wilson } from '$core/measure';
import { fold, parse, setQueries, tokenKeys, type Query } from '$core/language';
import { valuesOf } from '$core/people';
import { matchingOf } from '$core/semantics';
import { applyChanges, candidates, effectOf, effectsAt, explain, rank, type Effect } from '$core/suggest';
import { ambiguousIn, countSenses, meanings, tellApart, type SensesRead } from '$core/titles';
import { countString } from '$sources/count-string';
import type { IndexedSource } from '$sources/indexed-source';
import { peopleOf } from '$sources/reading';
import { tryString } from '$sources/try-string';
import type { EffectAnswer, LedgerAnswer, LedgerAsk } from '../people-messages';
import type { Answers } from './kinds';
import { countAt, ledgerAt } from './ledger';
import { judgedAt } from './part-worth';
import { recordOf } from './people';
import { runnable } from './runnable';
import { sourceOf } from './sources';

function effectAnswer(effect: Effect, before: Query, after: Query, source: IndexedSource): EffectAnswer {
  return {
    ...effect,
    sourceId: source.sheet.id,
    before: countString(before, source).found.estimated,
    after: countString(after, source).found.estimated
  };
}

/** Milliseconds after which no further change of a string's meanings is measured: anybody who waits would rather see those that are. */
const measuringTime = 800;

const askedLedger = ({ sourceId, text, sets, judged, order }: LedgerAsk): LedgerAnswer =>
  ledgerAt(runnable({ text, sets }), sourceOf(sourceId), judged, order);

/** Questions that count a string, or what a change of it does, at a source. */
export const counting: Answers<
  | 'ledger'
  | 'ledger-at-length'
  | 'candidates'
  | 'effects-at'
  | 'rank-changes'
  | 'count-changed'
  | 'effect'
  | 'known'
  | 'sample'
  | 'senses'
  | 'count-each'
  | 'values-at'
> = {
  'values-at': ({ sourceId, scope, begins, limit }) => {
    const source = sourceOf(sourceId);
    const [key = ''] = tokenKeys(begins);
    const known = new Map<string, { text: string; people: number }>();
    // Texts that differ only in punctuation have the same words, so more are fetched than returned.
    for (const { row, people } of source.index.valuesHeld(scope, key, limit * 3)) {
      const text = valuesOf(source.personAt(row)).find(
        (value) => value.field === scope && (!key || tokenKeys(value.text).some((word) => word.startsWith(key)))
      )?.text;
      const name = text && fold(text);
      if (!name) continue;
      const one = known.get(name);
      if (one) one.people += people;
      else known.set(name, { text, people });
    }
    return [...known.values()].slice(0, limit);
  },

  ledger: askedLedger,
  'ledger-at-length': askedLedger,

  candidates: ({ text, sets, sourceId, judged: { fits, misses } }) => {
    const query = runnable({ text, sets });
    const source = sourceOf(sourceId);
    const peopleIn = (ids: readonly string[], fit: boolean) =>
      ids.flatMap((id) => {
        const row = source.rowOf(id);
        return row === undefined ? [] : [{ person: source.personAt(row), fit }];
      });
    const judged = [...peopleIn(fits, true), ...peopleIn(misses, false)];
    return candidates(query, judged, matchingOf(source.sheet.matching));
  },

  'effects-at': ({ text, sets, list, sourceId, judged }) => {
    const named = setQueries(sets);
    return effectsAt(text, runnable({ text, sets }, named), list, judgedAt(sourceOf(sourceId), judged), named);
  },

  'rank-changes': ({ text, sets, list, effects }) => rank(text, list, effects, setQueries(sets)),

  'count-changed': ({ text, sets, sourceId, texts }) => {
    const named = setQueries(sets);
    const source = sourceOf(sourceId);
    const estimated = (one: string) => countString(runnable({ text: one, sets }, named), source).found.estimated;
    return { before: estimated(text), after: texts.map(estimated) };
  },

  effect: ({ text, sets, changes, sources: asked }) => {
    const named = setQueries(sets);
    const from = runnable({ text, sets }, named);
    const changed = applyChanges(text, changes, named);
    const to = runnable({ text: changed, sets }, named);
    const effects = asked.map(({ sourceId, judged }) => {
      const source = sourceOf(sourceId);
      return effectAnswer(effectOf(from, to, judgedAt(source, judged)), from, to, source);
    });
    return { text: changed, effects };
  },

  known: ({ sourceId, text, sets, known }) => {
    const source = sourceOf(sourceId);
    const named = setQueries(sets);
    const query = runnable({ text, sets }, named);
    return known.map((one) => {
      const person = recordOf(one, source);
      const explanation = person ? explain(text, query, person, matchingOf(source.sheet.matching), named) : null;
      return { id: one.id, person, explanation };
    });
  },

  sample: ({ sourceId, from, to, size, seed, certain }) => {
    const source = sourceOf(sourceId);
    const people = peopleOf(source, certain ? 'certain' : 'possible');
    const [had, has] = [people.rows(runnable(from)), people.rows(runnable(to))];
    const side = (wanted: Bitmap, unwanted: Bitmap | null, name: string) => {
      const set = wanted.slice();
      if (unwanted) takeOut(set, unwanted);
      const rows = rowsOf(set, source.sheet.limits.shown ?? Infinity);
      const ranks = drawSample(
        rows.map((row) => source.index.ids[row]!),
        size,
        `${seed}/${name}`
      );
      return {
        ids: rowsOf(set).map((row) => source.index.ids[row]!),
        shown: rows.length,
        sample: ranks.map((rank) => ({ rank, person: source.personAt(rows[rank - 1]!) }))
      };
    };
    const both = had.slice();
    keepCommon(both, has);
    return {
      goes: side(had, has, 'who goes'),
      comes: side(has, had, 'who comes'),
      stays: side(both, null, 'who stays')
    };
  },

  senses: ({ sourceId, text, sets }) => {
    const named = setQueries(sets);
    const query = runnable({ text, sets }, named);
    const source = sourceOf(sourceId);
    const found = ambiguousIn(query);
    const words = found.map(({ word }) => word);
    const changes = found.flatMap((word) =>
      meanings(word.word).flatMap((_, sense) =>
        Object.entries(tellApart(text, query, word, sense)).flatMap(([how, changed]) =>
          changed === null ? [] : [{ word: word.word, sense, how: how as 'asking' | 'excluding', text: changed }]
        )
      )
    );
    // Most people come again with every change.
    const read: SensesRead = new Map();
    const countedIn = (one: Query) => {
      const { found: answer, people } = tryString(one, source);
      return { estimated: answer.estimated, words: countSenses(words, people, read) };
    };
    const began = performance.now();
    const now = countedIn(query);
    const then = new Map<(typeof changes)[number], ReturnType<typeof countedIn>>();
    for (const change of changes) {
      if (performance.now() - began > measuringTime) break;
      then.set(change, countedIn(runnable({ text: change.text, sets }, named)));
    }
    return {
      estimated: now.estimated,
      unmeasured: changes.length - then.size,
      words: words.map((word, i) => {
        const { people, senses } = now.words[i]!;
        return {
          word,
          people,
          senses: meanings(word).map(({ name }, sense) => ({
            name,
            people: senses[sense]!,
            interval: wilson(senses[sense]!, people),
            changes: changes.flatMap((change) => {
              const counted = change.word === word && change.sense === sense && then.get(change);
              if (!counted) return [];
              const after = counted.words[i]!.senses;
              const othersLeft = after.reduce((sum, n, j) => (j === sense ? sum : sum + n), 0);
              const { how, text: changed } = change;
              return [{ how, text: changed, estimated: counted.estimated, kept: after[sense]!, othersLeft }];
            })
          }))
        };
      })
    };
  },

  'count-each': ({ sourceId, texts }) => {
    const source = sourceOf(sourceId);
    return texts.map((text) => {
      const { query } = parse(text);
      return query && countAt(query, source);
    });
  }
};
