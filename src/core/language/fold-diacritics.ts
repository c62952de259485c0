const strokes: Record<string, string> = { ø: 'o', đ: 'd', ł: 'l', æ: 'ae', œ: 'oe', ð: 'd', þ: 'th', ı: 'i' };
const plain = /^[\x00-\x7f]*$/;

/** Takes accents and strokes off letters. */
export function foldDiacritics(key: string): string {
  if (plain.test(key)) return key;
  return key
    .normalize('NFD')
    .replaceAll(/\p{M}/gu, '')
    .replaceAll(/[øđłæœðþı]/g, (letter) => strokes[letter]!);
}
