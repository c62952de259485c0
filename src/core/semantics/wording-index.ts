import type { Wording } from './implies';

/**
 * Wordings kept so that those contained in another are found without comparing each with each: by all their words, and
 * for word beginnings by the words before and the letters.
 *
 * @example
 * const index = new WordingIndex<string>();
 * index.add(wordingOf(qualityManager), 'short');
 * index.within(wordingOf(seniorQualityManager)); // ['short']
 */
export class WordingIndex<T> {
  private readonly byKeys = new Map<string, T[]>();
  /** Sizes of the wordings held: words, and letters of the last where it is a beginning. */
  private readonly sizes = new Map<string, { words: number; letters: number | null }>();

  add({ keys, prefix }: Wording, value: T): void {
    if (!keys.length) return;
    const letters = prefix ? keys.at(-1)!.length : null;
    this.sizes.set(`${keys.length} ${letters}`, { words: keys.length, letters });
    const key = nameOf(keys, letters);
    const list = this.byKeys.get(key);
    if (list) list.push(value);
    else this.byKeys.set(key, [value]);
  }

  /** The values of all wordings whose words stand side by side in this one, itself among them. */
  within({ keys, prefix }: Wording): T[] {
    const found: T[] = [];
    for (const { words, letters } of this.sizes.values())
      for (let from = 0; from + words <= keys.length; from++) {
        const open = prefix && from + words === keys.length;
        if (letters === null && open) continue;
        if (letters !== null && keys[from + words - 1]!.length < letters) continue;
        const values = this.byKeys.get(nameOf(keys.slice(from, from + words), letters));
        if (values) for (const value of values) if (!found.includes(value)) found.push(value);
      }
    return found;
  }
}

function nameOf(keys: readonly string[], letters: number | null): string {
  if (letters === null) return keys.join(' ');
  return `${[...keys.slice(0, -1), keys.at(-1)!.slice(0, letters)].join(' ')}*`;
}
