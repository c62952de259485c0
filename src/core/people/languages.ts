import { lettersKey } from './letters-key';

/** The languages of the title lexicon: languages are known by their names in all of them, and by what they call themselves. */
const named = ['en', 'da', 'sv', 'nb', 'nl', 'de', 'fr', 'es', 'it', 'pt', 'pl', 'fi', 'cs'];
/** Further names of languages in files and profiles. Common practice, no published source. */
const alsoCalled: Record<string, readonly string[]> = {
  no: ['norwegian', 'norsk'],
  nb: ['norwegian bokmal'],
  es: ['castilian', 'castellano'],
  nl: ['flemish', 'vlaams'],
  zh: ['mandarin'],
  pt: ['portugues brasileiro']
};

const letters = Array.from({ length: 26 }, (_, i) => String.fromCharCode(97 + i));
let codes: Map<string, string> | undefined;

/** Codes of ISO 639-1 by name. Made when first asked: few strings name a language. */
function byName(): Map<string, string> {
  if (codes) return codes;
  codes = new Map();
  const displays = named.map((language) => new Intl.DisplayNames([language], { type: 'language', fallback: 'none' }));
  const all = letters.flatMap((a) => letters.map((b) => a + b)).filter((code) => displays[0]!.of(code));
  for (const code of all) codes.set(code, code);
  const put = (name: string | undefined, code: string) => {
    const key = lettersKey(name ?? '');
    if (key && !codes!.has(key)) codes!.set(key, code);
  };
  for (const display of displays) for (const code of all) put(display.of(code), code);
  for (const code of all) {
    put(new Intl.DisplayNames([code], { type: 'language', fallback: 'none' }).of(code), code);
    for (const name of alsoCalled[code] ?? []) put(name, code);
  }
  return codes;
}

/**
 * The ISO 639-1 code of a language written as a code (`de`, `de-AT`) or as a name in one of the lexicon's languages or its
 * own; undefined for what is none. Names are those of Unicode's CLDR.
 */
export function languageCode(text: string): string | undefined {
  if (text.length > 60) return undefined;
  const bare = /^([a-z]{2})[-_][a-z]{2}$/i.exec(text.trim())?.[1] ?? text;
  const code = byName().get(lettersKey(bare));
  // Files and detectors hardly ever part Bokmål from Norwegian.
  return code === 'nb' ? 'no' : code;
}

/** The English name of a language's code; other text comes back as it is. */
export function languageName(codeOrText: string): string {
  const code = languageCode(codeOrText);
  return (code && new Intl.DisplayNames(['en'], { type: 'language' }).of(code)) || codeOrText;
}
