/** Small letters without accents or signs: `Côte d’Ivoire` is `cote d ivoire`. */
export const lettersKey = (text: string): string =>
  text
    .normalize('NFKD')
    .toLowerCase()
    .replaceAll(/\p{M}/gu, '')
    .replaceAll('ø', 'o')
    .replaceAll('ł', 'l')
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
