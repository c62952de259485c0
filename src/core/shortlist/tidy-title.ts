import { cased, isShouted, withoutSigns } from './letter-case';
import { trimSigns } from '../language/trim-signs';

/** Abbreviations that stay in capitals. Common practice, no published source. */
const capitals = new Set(
  `CEO CFO COO CTO CIO CMO CHRO CISO CPO CSO CDO CCO VP SVP EVP AVP MD GM HR IT QA QC QP RP GDP GMP GXP GLP GCP HSE EHS HSEQ QHSE SHEQ QHS EMEA DACH APAC UK EU
  US ISO HACCP CAPA R&D PR PA PMO DPO FP SCM ERP CRM SEO B2B B2C KAM BI UX UI AI ML PLC FMCG DSO`.split(/\s+/)
);
const small = new Set(
  'and und og och et y e of for für för for de del della di da do dos van von der den des du la le the at to in im i en pour per para ja a z za til av af på voor'.split(
    ' '
  )
);

/**
 * A job title as it is written in a letter: without signs, what follows a bar, the firm behind `at`, and a second title;
 * in ordinary letters where it is in capitals or small ones throughout.
 */
export function tidyTitle(title: string, company = ''): string {
  let text = withoutSigns(title)
    .split(/[|•·‖]|\s\/\/\s/u, 1)[0]!
    .trimEnd();
  const at = /^(.{3,}?)\s(?:at|@|bei|chez|presso|hos|bij|en|em)\s(.+)$/iu.exec(text);
  if (at && (/\s@\s/.test(text) || (company && at[2]!.toLowerCase().startsWith(company.toLowerCase().slice(0, 5)))))
    text = at[1]!;
  text = trimSigns(text, (sign) => /[\s,;:.\-–—/]/u.test(sign));
  // Abbreviations are in capitals in either case.
  const bare = text.replaceAll(/[\p{L}\p{N}&]+/gu, (word) => (capitals.has(word) ? '' : word));
  const letters = bare.replaceAll(/[^\p{L}]/gu, '');
  if (!(isShouted(bare) && letters.length > 4) && !(bare === bare.toLowerCase() && letters)) return text;
  return text
    .split(' ')
    .map((word, i) => {
      const bare = word.replaceAll(/[^\p{L}\p{N}&]/gu, '').toUpperCase();
      if (capitals.has(bare)) return word.toUpperCase();
      if (i > 0 && small.has(word.toLowerCase())) return word.toLowerCase();
      return word.replace(/\p{L}[\p{L}\p{M}'’.-]*/gu, (part) => cased(part));
    })
    .join(' ');
}
