import { ApiProblem, call } from '$lib/api/call';
import { libraryLexiconPage as say } from './words';
import { readJsonFile } from '$lib/frame/read-json-file';
import { KeptDocument } from '$lib/kept/kept-document.svelte';
import type { Answer } from '$api';
import {
  addName,
  addTitle,
  joinLexicons,
  lexiconFault,
  ownLexicon,
  ownLexiconShape,
  readSenses,
  readTitle,
  takeUpLexicon,
  withoutText,
  type Language,
  type OwnLexicon
} from '$core/titles';

/** One text that was added, with what it says. */
export interface AddedText {
  text: string;
  language: Language;
  kind: 'function' | 'title';
  rank: string;
  function: string;
}

/** The screen of what is added to the lexicon: names of functions, titles, meanings; each change is kept at once. */
export class LexiconPage {
  readonly document: KeptDocument<OwnLexicon>;
  refused: unknown = $state(null);
  tried = $state('');

  constructor(kept: Answer<'readLexicon'>) {
    this.document = new KeptDocument<OwnLexicon>(kept, ownLexiconShape, (body) => call('writeLexicon', { body }));
  }

  texts = $derived.by((): AddedText[] => {
    const { functions, titles } = this.document.value;
    const each = (texts: Partial<Record<Language, string[]>>) =>
      (Object.entries(texts) as [Language, string[]][]).flatMap(([language, list]) =>
        list.map((text) => ({ text, language }))
      );
    return [
      ...functions.flatMap(({ id, names }) =>
        each(names).map((one) => ({ ...one, kind: 'function' as const, rank: '', function: id }))
      ),
      ...titles.flatMap(({ rank, function: name, titles: texts }) =>
        each(texts).map((one) => ({ ...one, kind: 'title' as const, rank, function: name }))
      )
    ];
  });
  /** What a title is read as, with what is added as it stands. */
  reading = $derived.by(() => {
    if (JSON.stringify(ownLexicon()) !== JSON.stringify(this.document.value))
      takeUpLexicon($state.snapshot(this.document.value));
    return this.tried.trim() ? readTitle(this.tried) : null;
  });

  /** Takes a change unless it has a fault, which is said; false where it has. */
  #take(next: OwnLexicon): boolean {
    const fault = lexiconFault(next);
    this.refused = fault === null ? null : new ApiProblem(0, say.notSaved, fault);
    if (fault === null) this.document.change(next);
    return fault === null;
  }
  #now = (): OwnLexicon => $state.snapshot(this.document.value);

  addName = (id: string, language: Language, name: string): boolean =>
    this.#take(addName(this.#now(), id, language, name));
  addTitle = (job: { rank: string; function: string }, language: Language, title: string): boolean =>
    this.#take(addTitle(this.#now(), job, language, title));
  addMeaning(word: string, text: string): boolean {
    const senses = readSenses(text);
    const given = ownLexiconShape.shape.meanings.safeParse([{ word, senses }]);
    if (!given.success) {
      this.refused = new ApiProblem(
        0,
        say.notSaved,
        senses.length < 2 ? say.twoMeanings : `“${word}” ${given.error.issues[0]!.message}.`
      );
      return false;
    }
    return this.#take(joinLexicons(this.#now(), { functions: [], titles: [], meanings: given.data }));
  }
  remove(one: AddedText): void {
    const from =
      one.kind === 'function'
        ? ({ kind: 'function', id: one.function } as const)
        : ({ kind: 'title', rank: one.rank, function: one.function } as const);
    this.#take(withoutText(this.#now(), from, one.language, one.text));
  }
  removeMeaning(word: string): void {
    const now = this.#now();
    this.#take({ ...now, meanings: now.meanings.filter((other) => other.word !== word) });
  }
  /** Joins what a file holds with what is there. */
  take = async (file: File): Promise<void> => {
    try {
      const more = await readJsonFile(file, ownLexiconShape, {
        kind: say.lexicon,
        hint: say.chooseExported
      });
      this.#take(joinLexicons(this.#now(), more));
    } catch (problem) {
      this.refused = problem;
    }
  };
  get json(): string {
    return `${JSON.stringify(this.document.value, null, 2)}\n`;
  }
}
