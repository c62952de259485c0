import { foldDiacritics } from '../language/fold-diacritics';
import { fold } from '../language/tokens';
import { jaroWinkler } from './name-similarity';

/** Without accents and punctuation, in small letters. */
export const plainText = (text: string): string =>
  foldDiacritics(fold(text))
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** Letters as they are written where a keyboard has none of them: ü as ue. */
const writtenOut: Record<string, string> = { ä: 'ae', ö: 'oe', ü: 'ue', ø: 'oe', å: 'aa', æ: 'ae' };
const hasWrittenOut = /[äöüøå]/;

/** Forms of address before a name, and degrees behind it, folded. Common practice, no published source. */
export const formsOfAddress: ReadonlySet<string> = new Set(
  `mr mrs ms miss mx sir dame dr prof professor doctor ing ir dipl dhr mevr mevrouw herr frau hr fr m mme mlle sr sra srta don
  dona dott dottssa drs mag rev hon eng lic`.split(/\s+/)
);
export const degrees: ReadonlySet<string> = new Set(
  `phd md mba msc bsc ma ba meng beng llm llb jr sr ii iii iv cpa acca pmp esq dds mph mpharm pharmd rph qp csci cchem
  frsc mrsc fca aca dba edd dphil mphil bed bcom mcom ccna pe cscp cpim fcilt cmilt lssbb`.split(/\s+/)
);

/**
 * The parts of a person's name in the order written, folded: without forms of address and degrees, as long as two parts
 * are left, and what is in brackets.
 */
export function nameParts(name: string): string[] {
  const bare = name.replaceAll(/\([^()]{0,200}\)|\[[^[\]]{0,200}\]/g, ' ').replaceAll(/(?<=\p{L})\.(?=\p{L}\b)/gu, '');
  const parts = plainText(bare || name)
    .split(' ')
    .filter(Boolean);
  let [from, to] = [0, parts.length];
  while (to - from > 2 && formsOfAddress.has(parts[from]!)) from++;
  while (to - from > 2 && degrees.has(parts[to - 1]!)) to--;
  return parts.slice(from, to);
}

/** The parts of a name in alphabetical order, initials left out where two parts are left: `Dr. Ström, Anna B.` is `anna strom`. */
export function plainName(name: string): string {
  const parts = nameParts(name);
  const long = parts.filter((part) => part.length > 1);
  return (long.length > 1 ? long : parts).sort().join(' ');
}

/** A name in small letters with ü as ue and å as aa: as keyboards without them have it. */
export const writeOut = (name: string): string => fold(name).replaceAll(/[äöüøåæ]/g, (letter) => writtenOut[letter]!);

/** The ways in which a name is written without its accents: `Jürgen` as `jurgen` and as `juergen`. */
export function nameVariants(name: string): string[] {
  const plain = plainName(name);
  const folded = fold(name);
  if (!hasWrittenOut.test(folded)) return [plain];
  return [...new Set([plain, plainName(writeOut(name))])];
}

/** Short forms of given names. Common practice, no published source. */
const shortForms = `william bill billy will; robert bob rob bobby; richard dick rick rich; james jim jimmy; john jack johnny;
  michael mike mick; thomas tom tommy; anthony tony; edward ed eddie ted; charles charlie chuck; david dave; daniel dan danny;
  joseph joe; benjamin ben; samuel sam; matthew matt; nicholas nick; andrew andy drew; steven stephen steve; peter pete;
  gregory greg; kenneth ken; elizabeth liz beth betty lizzie; katherine catherine kate kathy cathy; margaret maggie meg peggy;
  susan sue; jennifer jenny jen; patricia pat patty; rebecca becky; deborah debbie; victoria vicky; francisco paco; jose pepe;
  ignacio nacho; dolores lola; antonio toni; josef sepp; johannes hans; nikolaus klaus; heinrich heinz; friedrich fritz;
  cornelis kees; pieter piet; hendrik henk; willem wim; giuseppe beppe; luigi gigi; aleksander sasha; lars lasse; per pelle`;
const canonical = new Map(
  shortForms.split(';').flatMap((group) => {
    const [name, ...forms] = group.trim().split(/\s+/);
    return [name!, ...forms].map((form) => [form, name!] as const);
  })
);
const isShortForm = (a: string, b: string): boolean => {
  const first = canonical.get(a);
  return first !== undefined && first === canonical.get(b);
};

/** Whether two given names are a man's and a woman's form of one: `martin` and `martina`, `mario` and `maria`. */
export function otherSex(a: string, b: string): boolean {
  const [short, long] = a.length <= b.length ? [a, b] : [b, a];
  if (short === 'andrea' && long === 'andreas') return true;
  if (long.startsWith(short)) return /^(a|e|ine|ina|ette|elle|ella|le|ne|ie|ia)$/.test(long.slice(short.length));
  if (short.length !== long.length) {
    // christian and christina, julian and juliane: the same beginning, then a woman's ending.
    let same = 0;
    while (same < short.length && short[same] === long[same]) same++;
    return (
      same >= 4 && /^(an|ian|us|o|is)?$/.test(short.slice(same)) && /^(ina|ine|iane|a|e|ia)$/.test(long.slice(same))
    );
  }
  if (short.length < 4) return false;
  const [stem, other] = [short.slice(0, -1), long.slice(0, -1)];
  if (stem === other)
    return /^(oa|ao|ae|ea|eo|oe)$/.test(short.at(-1)! + long.at(-1)!) && /[oa]/.test(short.at(-1)! + long.at(-1)!);
  // peter and petra, alexander and alexandra
  const [man, woman] = short.endsWith('er') ? [short, long] : [long, short];
  if (man.endsWith('er') && woman.endsWith('ra') && man.slice(0, -2) === woman.slice(0, -2)) return true;
  return (short.endsWith('an') && long.endsWith('na')) || (short.endsWith('na') && long.endsWith('an'));
}

/** Names of people alike from here on count as one name written in two ways. */
const alikeFrom = 0.94;
const perhapsFrom = 0.88;

/**
 * What two names are to each other: one name, one likely written in two ways (an initial, a short form, one of two
 * surnames left out, a slip), perhaps so, or two names. Given names with another first letter, or of another sex, are two.
 */
export function compareNames(a: string, b: string): 'same' | 'likely' | 'perhaps' | 'other' {
  const variants = nameVariants(b);
  if (nameVariants(a).some((one) => variants.includes(one))) return 'same';
  const [first, second] = [nameParts(a), nameParts(b)];
  const left = [...second];
  const rest = first.filter((part) => {
    const at = left.indexOf(part);
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
  const common = first.length - rest.length;
  const isLong = first.some((part) => part.length > 2 && !rest.includes(part));
  // One has all parts of the other and more: a second surname, or a name between.
  if (!rest.length || !left.length) return common >= 2 ? 'likely' : 'other';
  if (rest.length === left.length && common >= 1 && isLong) {
    const kinds = rest.map((part, i) => comparePart(part, left[i]!));
    if (!kinds.includes('other')) return kinds.includes('perhaps') ? 'perhaps' : 'likely';
  }
  if (rest.length > 2 || left.length > 2 || first.length !== second.length) return 'other';
  const [x, y] = [plainName(a), plainName(b)];
  const sameInitials = x.split(' ').every((part, i) => part[0] === y.split(' ')[i]?.[0]);
  const alike = jaroWinkler(x, y);
  const kept = rest.every((part, i) => !otherSex(part, left[i]!));
  if (!sameInitials || !kept) return 'other';
  return alike >= alikeFrom ? 'likely' : alike >= perhapsFrom ? 'perhaps' : 'other';
}

function comparePart(a: string, b: string): 'likely' | 'perhaps' | 'other' {
  if (isShortForm(a, b)) return 'likely';
  if (a[0] !== b[0]) return 'other';
  if (a.length === 1 || b.length === 1) return 'likely';
  if (otherSex(a, b)) return 'other';
  const alike = jaroWinkler(a, b);
  return alike >= 0.9 ? 'likely' : alike >= 0.82 ? 'perhaps' : 'other';
}
