import { tokenKeys } from '../language/tokens';
import { trimSigns } from '../language/trim-signs';

/** Legal forms of firms in Europe and America, folded, as they are at the end of a name. Common practice, no published source. */
const legalForms: ReadonlySet<string> = new Set(
  `ab ag aktiebolag aktieselskab aps as a.s asa bv b.v bvba cv corp corporation co company dac ehf eurl gbr gmbh
  gruppe group holding inc incorporated ivs kb kg kgaa llc llp limited ltd mbh nv n.v ohg oy oyj plc pllc pvt sa s.a sarl s.a.r.l
  sl s.l slu s.l.u slne lda ltda unipessoal sca sagl srls s.r.l.s zoo z.o.o oü ou as doo d.o.o kft rt
  sas s.a.s sasu se snc spa s.p.a srl s.r.l sprl ug vof & und et og och and`.split(/\s+/)
);

/** A firm's name without its legal form: `Polderkoel B.V.` and `Polderkoel` are the same firm. */
export function plainFirmName(name: string): string {
  const words = name
    .replaceAll(/\bA\/S\b/gi, 'AS')
    .trim()
    .split(/\s+/)
    .map((word) => trimSigns(word, (sign) => sign === ',' || sign === '.', 'end'))
    .filter((word, i, all) => word || all.length === 1);
  let end = words.length;
  while (
    end > 1 &&
    legalForms.has(words[end - 1]!.toLowerCase().replaceAll(/[().]/g, (sign) => (sign === '.' ? '.' : '')))
  )
    end--;
  return words.slice(0, end).join(' ');
}

/** The ways in which profiles write a firm's name: without its legal form, with & or and, joined by a hyphen or apart. */
export function firmNameVariants(name: string): string[] {
  const plain = plainFirmName(name);
  const all = [
    plain,
    plain.replaceAll(/\s{0,9}&\s{0,9}/g, ' and '),
    plain.replaceAll(/\s{1,9}and\s{1,9}/gi, ' & '),
    plain.replaceAll(/[-‐–]/g, '')
  ];
  const seen = new Set<string>();
  return all.filter((text) => {
    const key = tokenKeys(text).join(' ');
    return key !== '' && seen.size < seen.add(key).size;
  });
}
