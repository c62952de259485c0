import { foldDiacritics } from '../language/fold-diacritics';
import { fold } from '../language/tokens';
import { degrees, formsOfAddress } from '../people/person-name';
import { cased, isShouted, withoutSigns } from './letter-case';

/** How a person is addressed in a letter. */
export interface GreetingName {
  /** The given name; empty where there is none, as in `A. Meyer`. */
  greeting: string;
  /** The whole name in order and in ordinary letters, without forms of address and degrees. */
  name: string;
  /** Nothing had to be guessed. */
  sure: boolean;
}

/** Forms of address and degrees before a name, in addition to those that distinguish people. Common practice, no published source. */
const before = new Set([
  ...formsOfAddress,
  ...`lord lady dipl-ing meneer heer de-heer fru monsieur madame senor senora senorita d dna reverend engr arq abg
  prof-dr pan pani mgr mudr judr phdr rndr bc doc csc inz hab tekn kand ingeniero doctora dra dre sig sigra sig-ra
  avv geom rag ts tri fil maist toht capt col docent maitre tohtori drsmed da eng-a enga tkt ft di ktm overlege
  advokat univ kpt ks me gentile egregio estimado dear`.split(/\s+/)
]);
/** Degrees, orders and generations behind one. Common practice, no published source. */
const behind = new Set([
  ...degrees,
  ...`ph-d emba bscn junior senior csc drsc dsc dis obe mbe cbe cissp cfa shrm prince2 ceng mcips fcips cips mrpharms
  frpharms she her he him they them hers his theirs she-her he-him they-them mim dim hab ir ing bba`.split(/\s+/)
]);
/** Words that join the parts of a family name, and are small. Common practice, no published source. */
const particles = new Set(
  `van von de der den del della dello delle degli dei di da das do dos du des d' la le las los el al bin ibn af av zu zum zur ten ter te 't y e i vom am op
  over in het und`.split(/\s+/)
);
/** Second given names that belong to the first: `Maria Teresa`. Common practice, no published source. */
const pairs = new Map(
  Object.entries({
    maria:
      'jose teresa carmen luisa isabel angeles elena dolores pilar cristina antonia joao fernanda eduarda grazia pia chiara rosa ines victoria mercedes concepcion rita clara',
    jose: 'luis maria antonio manuel carlos miguel ramon angel ignacio javier francisco juan pedro',
    juan: 'carlos jose antonio manuel pablo francisco luis ramon miguel ignacio pedro maria',
    luis: 'miguel angel alberto fernando carlos felipe manuel',
    miguel: 'angel',
    francisco: 'javier jose manuel',
    ana: 'maria isabel belen cristina luisa rita paula sofia',
    rosa: 'maria',
    mª: 'angeles jose teresa carmen luisa isabel pilar dolores victoria',
    joao: 'pedro paulo carlos luis miguel manuel',
    pedro: 'miguel',
    carlos: 'alberto eduardo manuel',
    jean: 'pierre paul luc claude marc francois jacques michel louis philippe christophe baptiste yves marie noel',
    anne: 'marie sophie laure claire lise mette grethe',
    marie: 'claude christine france laure louise therese pierre helene ange josee',
    pier: 'paolo luigi giorgio francesco',
    gian: 'luca carlo paolo franco piero',
    giovanni: 'battista paolo',
    anna: 'maria lisa lena karin rita',
    hans: 'peter jurgen joachim dieter georg henrik ulrich werner christian martin jorgen',
    karl: 'heinz ludwig johan erik',
    klaus: 'dieter peter',
    eva: 'maria lena',
    per: 'olof erik arne ola',
    lars: 'erik goran olof peter',
    jan: 'erik olof willem hendrik ove',
    carl: 'johan gustaf henrik fredrik',
    ole: 'jorgen martin',
    nils: 'erik petter',
    marco: 'antonio',
    antonio: 'jose carlos',
    paulo: 'jorge roberto',
    rui: 'pedro miguel'
  }).map(([first, seconds]) => [first, new Set(seconds.split(' '))] as const)
);

/** Names that are given and hardly ever a family's, so that it is seen which of two comes first. Common practice, no published source. */
const given = new Set(
  `anna jan petr pavel jiri tomas martin josef lukas marek jakub ondrej eva hana jana lenka katerina lucie petra marie veronika tereza zuzana ivana piotr
  krzysztof andrzej tomasz pawel michal marcin grzegorz katarzyna malgorzata agnieszka barbara ewa joanna magdalena monika juha jari timo matti mikko
  kari antti pekka janne sari tiina anne paivi minna hanna johanna maria giovanni giuseppe marco luca francesco andrea paolo giulia chiara francesca
  sara laura elena peter thomas michael andreas stefan christian lars anders henrik mette susanne erik karin kristina hans klaus sabine claudia julia
  pierre michel philippe nicolas isabelle nathalie sophie carlos jose juan luis maria carmen ana pedro joao antonio manuel john james david sarah emma`.split(
    /\s+/
  )
);

const key = (part: string) => foldDiacritics(fold(part)).replaceAll(/[.,’']/g, '');
const isParticle = (part: string) => particles.has(key(part)) || /^(d['’]|l['’]|['’]t$)/i.test(part);
const isInitial = (part: string) =>
  /^(\p{Lu}\.?[-‐]?){1,3}$/u.test(part) && part.replaceAll(/[^\p{L}]/gu, '').length < 3;
/** `B.`, `J.-P.` or a bare capital: no name to greet with. */
const isLetters = (part: string) => /^(\p{L}\.[-‐]?)+$/u.test(part) || /^\p{L}$/u.test(part);

/** Forms of address, degrees, signs and what is in brackets are taken off. */
function bareParts(text: string): { parts: string[]; nick: string | null; called: string | null; addressed: boolean } {
  const clean = withoutSigns(text);
  const nick = /["“„”«]([\p{L}’'-]{2,})["”“»]/u.exec(clean)?.[1] ?? null;
  const bare = clean
    .replaceAll(/\([^()]{0,200}\)|\[[^[\]]{0,200}\]|["“„”«][^"“„”«»]{0,200}["”“»]/g, ' ')
    .replace(/\s[|–—·•/]\s.*$/u, '')
    .replaceAll(/(?<=(?:^|\s)(?:Dr|Prof|Mr|Mrs|Ms|Ing|Herr|Frau)\.)(?=\p{Lu})/gu, ' ');
  const parts = bare.split(/\s+/).filter(Boolean);
  const all = parts.length;
  while (
    parts.length > 1 &&
    (isAddress(parts[0]!) ||
      (parts.length < all &&
        /^\p{Ll}+\.?$/u.test(parts[0]!) &&
        !isParticle(parts[0]!) &&
        parts.some((part) => /^\p{Lu}/u.test(part))))
  )
    parts.shift();
  const addressed = parts.length < all;
  // Capitals behind a comma are degrees, whichever.
  while (parts.length > 2 && parts.at(-2)!.endsWith(',') && /^\p{Lu}[\p{Lu}.]{1,4}$/u.test(parts.at(-1)!)) {
    parts.pop();
    parts[parts.length - 1] = parts.at(-1)!.replace(/,$/, '');
  }
  while (
    parts.length > 1 &&
    (behind.has(key(parts.at(-1)!)) || (parts.length > 2 && isAbbreviation(parts.at(-1)!))) &&
    !/^\p{Lu}\.$/u.test(parts.at(-1)!)
  ) {
    // Small words of two letters are families as well as degrees: only capitals behind a whole name are degrees.
    const last = parts.at(-1)!;
    if (key(last).length <= 2 && !/^[\p{Lu}.,]+$/u.test(last)) break;
    if (key(last).length <= 2 && isShouted(text) && !parts.at(-2)!.endsWith(',')) break;
    parts.pop();
    parts[parts.length - 1] = parts.at(-1)!.replace(/,$/, '');
  }
  return { parts, nick, called: /\((\p{Lu}\p{Ll}+)\)/u.exec(clean)?.[1] ?? null, addressed };
}

/** Whether a word before a name is a form of address or a degree: one that is known, or an abbreviation of two letters or more. */
const isAddress = (part: string) =>
  before.has(key(part)) || isAbbreviation(part) || /^(?!Mª)[\p{L}.]+[ªº]$/u.test(part);
const isAbbreviation = (part: string) => /^\p{L}{2,}\.(?:(?:\p{L}{2,}|-\p{L}+)\.)*(?:\p{L}{2,})?$/u.test(part);

/** Puts `Meyer, Anna` and `NOVÁK Jan` in the order in which a name is said. */
function inOrder(parts: readonly string[]): { parts: string[]; turned: 'no' | 'yes' | 'guessed' } {
  const comma = parts.findIndex((part) => part.endsWith(','));
  if (comma >= 0 && comma < parts.length - 1) {
    const family = parts.slice(0, comma + 1).map((part) => part.replace(/,$/, ''));
    const rest = parts.slice(comma + 1).map((part) => part.replace(/,$/, ''));
    while (rest.length > 1 && (before.has(key(rest[0]!)) || behind.has(key(rest.at(-1)!))))
      if (before.has(key(rest[0]!))) rest.shift();
      else rest.pop();
    // What is small and ends the given names belongs to the family: `Berg, Anna van den`.
    const small: string[] = [];
    while (rest.length > 1 && isParticle(rest.at(-1)!)) small.unshift(rest.pop()!);
    return { parts: [...rest, ...small, ...family], turned: 'yes' };
  }
  const bare = parts.map((part) => part.replace(/,$/, ''));
  const shouted = bare.map((part) => part.length > 2 && isShouted(part) && !isLetters(part));
  const lead = shouted.findIndex((one, i) => !one && !isParticle(bare[i]!) && !isInitial(bare[i]!));
  if (lead > 0 && shouted.slice(0, lead).some(Boolean) && shouted.slice(lead).every((one) => !one))
    return { parts: [...bare.slice(lead), ...bare.slice(0, lead)], turned: 'yes' };
  if (bare.length === 2 && given.has(key(bare[1]!)) && !given.has(key(bare[0]!)) && isFamilyEnding(bare[0]!))
    return { parts: [bare[1]!, bare[0]!], turned: 'guessed' };
  return { parts: bare, turned: 'no' };
}
/** Endings of families and never of given names, where a name may stand the other way round. Common practice, no published source. */
const isFamilyEnding = (part: string) =>
  /(ová|ský|ská|cký|cká|ski|ska|cki|cka|wicz|czyk|nen|sson|sen|sén|berg|ström|mann|ini|etti|elli|ez)$/iu.test(part);

/** How to greet somebody whose full name a source wrote in its own way. */
export function greetingName(full: string): GreetingName {
  const shouted = isShouted(full.replaceAll(/\([^()]{0,200}\)/g, ''));
  const { parts: bare, nick, called, addressed } = bareParts(full);
  const { parts, turned } = inOrder(bare);
  // A name written in capitals throughout tells nothing of its letters; one part in capitals is a family.
  const written = parts.map((part, i) =>
    i > 0 && isParticle(part) && (shouted || isShouted(part)) ? part.toLowerCase() : casedPart(part, i)
  );
  const name = written.join(' ');
  const names = written.filter((part) => !isLetters(part));
  const [first] = names;
  // One word is a given name on its own; letters before a family tell none.
  const lone = written.length === 1;
  if (
    !first ||
    lone ||
    isParticle(first) ||
    names.length === 1 ||
    written.findIndex((part) => part === first) >= written.length - 1
  ) {
    const own = nick ?? called;
    return { greeting: own ? cased(own) : lone && first && !addressed ? first : '', name, sure: false };
  }
  const at = written.indexOf(first);
  const second = written[at + 1];
  const pair = second !== undefined && at + 2 < written.length && pairs.get(key(first))?.has(key(second));
  return {
    greeting: nick ? cased(nick) : pair ? `${first} ${second}` : first,
    name,
    sure: turned !== 'guessed' && at === 0
  };
}

/** A part in ordinary letters where it is not; small ones inside a name stay as they are. */
function casedPart(part: string, i: number): string {
  if (isLetters(part) || (part.length <= 2 && isInitial(part) && !/^[A-Z]{2}$/.test(part))) return part.toUpperCase();
  if (i > 0 && isParticle(part)) return part;
  return isShouted(part) || part === part.toLowerCase() ? cased(part) : part;
}
