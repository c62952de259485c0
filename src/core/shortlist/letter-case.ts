/** Whether a text is written in capitals throughout; one of fewer than two letters never is. */
export function isShouted(text: string): boolean {
  const letters = text.replaceAll(/[^\p{L}]/gu, '');
  return letters.length > 1 && letters === letters.toUpperCase() && letters !== letters.toLowerCase();
}

/** A word with a capital first letter, behind each hyphen and apostrophe too: `O’NEILL-SMITH` as `O’Neill-Smith`. */
export const cased = (word: string): string =>
  word
    .toLowerCase()
    .replaceAll(/(^|[-‐/.]|(?<=^\p{L})['’]|^(?:mc))(\p{L})/gu, (_, mark: string, letter: string) =>
      mark === 'mc' ? `Mc${letter.toUpperCase()}` : mark + letter.toUpperCase()
    );

/** A text without emoji, pictures and other signs that are no part of a name, spaces made single. */
export const withoutSigns = (text: string): string =>
  text
    .normalize('NFC')
    .replaceAll(
      /\p{Extended_Pictographic}|\p{Emoji_Modifier}|\p{Regional_Indicator}|\p{Cf}|\p{Co}|\u{FE0F}|[✓★☆●•→]/gu,
      ' '
    )
    .replaceAll(/\s+/gu, ' ')
    .trim();
