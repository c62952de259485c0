import type { Language } from '../catalogue';

const accents: Readonly<Record<string, string>> = {
  a: 'á',
  e: 'ê',
  i: 'ï',
  o: 'ö',
  u: 'ü',
  c: 'ç',
  n: 'ñ',
  y: 'ÿ',
  A: 'Å',
  E: 'Ë',
  I: 'Ï',
  O: 'Ø',
  U: 'Ü',
  C: 'Ç',
  N: 'Ñ'
};

/** A text as it might look in a longer language: accented, a third longer, and between marks that no English text has. */
function longer(text: string): string {
  const accented = text.replaceAll(/[aeioucnyAEIOUCN]/g, (letter) => accents[letter]!);
  return `⟦${accented}${'·'.repeat(Math.ceil(text.length / 3))}⟧`;
}

/**
 * English in disguise, for tests: a screen that holds it holds any language, and a text without marks did not come from a catalogue.
 * What is filled in stays as it is.
 */
const pseudo: Language = (_, english) =>
  Object.fromEntries(
    Object.entries(english).map(([key, said]) => {
      if (typeof said === 'string') return [key, longer(said)];
      const filled = (...values: never[]) => {
        const held = values.map((value, i) => (typeof value === 'string' ? String.fromCodePoint(0xe000 + i) : value));
        const text = longer(said(...(held as never[])));
        return text.replaceAll(/[\ue000-\ue0ff]/g, (mark) => values[mark.codePointAt(0)! - 0xe000]!);
      };
      return [key, filled];
    })
  );
export default pseudo;
