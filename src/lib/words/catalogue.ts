/** What a sentence of a catalogue is filled with: a number as it is to be shown, or a name. */
export type Said = string | number | null | undefined;

const rules = new Intl.PluralRules('en');

/** The form of a text that goes with a number: `plural(1, { one: '1 search', other: '1 searches' })` is “1 search”. */
export const plural = (many: number, forms: { one: string; other: string }): string =>
  forms[rules.select(many) as 'one' | 'other'];

/** The sentences and labels of one component, by key: text, or a function where something is filled in. */
type Words = Record<string, string | ((...filled: never[]) => string)>;

/** Another language: its texts for each catalogue, by the catalogue's name. Missing texts stay English. */
export type Language = (name: string, english: Words) => Partial<Words>;

let language: Language | undefined;

/** Where the chosen language is stored in a browser. */
const place = 'eave.language';
export const chosenLanguage = (): string | null => globalThis.localStorage?.getItem(place) ?? null;

/** Sets the language that catalogues speak from now on. */
export const speak = (other: Language): void => void (language = other);

/**
 * The sentences of a component in the language that is spoken. `name` says where they belong (`screen/component`), so that another
 * language can hold the same keys. English costs nothing: unless another language is chosen, the object itself comes back.
 */
export const catalogue = <W extends Words>(name: string, english: W): W =>
  chosenLanguage() === null
    ? english
    : new Proxy(english, {
        get: (words, key: string) => language?.(name, words)[key] ?? words[key]
      });
