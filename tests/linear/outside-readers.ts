import * as dialect from '$core/dialect';
import * as formats from '$core/formats';
import * as language from '$core/language';
import * as lint from '$core/lint';
import * as people from '$core/people';
import * as persona from '$core/persona';
import * as shortlist from '$core/shortlist';
import * as titles from '$core/titles';
import { serviceAddress } from '$sources/connector/address';

const person = (text: string): people.Person => ({
  id: '1',
  name: text,
  jobs: [{ title: text, company: text }],
  place: text,
  contact: [text]
});
const sheet = dialect.standInSheets[1]!;

/** What reads text that people paste, files hold or services answer, by its name. */
export const readers: Record<string, (text: string) => unknown> = {
  cleanPasted: formats.cleanPasted,
  countOnPage: formats.countOnPage,
  guessAllColumns: (text) => formats.guessAllColumns([text, text], [[text], [text]]),
  isDeep: (text) => formats.isDeep(text, 32),
  ownNamesOf: (text) => formats.ownNamesOf([text, `${text}2`], ['ignore', 'ignore']),
  personFromRow: (text) =>
    formats.personFromRow([text, text, text, text, text], ['name', 'title', 'company', 'headcount', 'place'], 'k'),
  plainMail: formats.plainMail,
  readCount: formats.readCount,
  readCsv: (text) => attempt(() => formats.readCsv(text)),
  readCustomerTable: (text) => attempt(() => formats.readCustomerTable(text)),
  readDate: formats.readDate,
  readDecimal: formats.readDecimal,
  'formats.readNumber': formats.readNumber,
  readQrels: (text) => attempt(() => formats.readQrels(text)),
  readResultPage: formats.readResultPage,
  readSets: (text) => attempt(() => formats.readSets(text)),
  readWordingsCsv: (text) => attempt(() => formats.readWordingsCsv(text)),
  standardOf: (text) =>
    (['country', 'industry', 'headcount', 'rank', 'function', 'language'] as const).map((field) =>
      formats.standardOf(field as never, text)
    ),
  writtenKey: formats.writtenKey,

  lex: language.lex,
  layOut: (text) => language.parse(text).query && language.layOut(language.parse(text).query!),
  'language.readNumber': language.readNumber,
  parse: language.parse,
  readBounds: language.readBounds,
  readDay: language.readDay,
  readLeaf: (text) => language.readLeaf(text, 'title'),
  setNamesIn: language.setNamesIn,
  tokenKeys: language.tokenKeys,
  tokens: language.tokens,

  readString: (text) => lint.readString(text, new Map()),

  contactKeys: (text) => people.contactKeys(person(text)),
  countryCode: people.countryCode,
  firmNameVariants: people.firmNameVariants,
  industryCode: people.industryCode,
  isMail: people.isMail,
  languageCode: people.languageCode,
  nameParts: people.nameParts,
  nameVariants: people.nameVariants,
  ownNameOf: people.ownNameOf,
  plainFirmName: people.plainFirmName,
  plainName: people.plainName,
  withPlaceRead: (text) => people.withPlaceRead(person(text)),

  personaFromText: persona.personaFromText,
  readWordingList: persona.readWordingList,
  readSixAnswers: (text) =>
    persona.readSixAnswers(Object.fromEntries(persona.sixQuestions.map(({ id }) => [id, text])) as persona.SixAnswers),

  firmSaid: shortlist.firmSaid,
  greetingName: shortlist.greetingName,
  normalContact: (text) => shortlist.normalContact('mail' as never, text),
  readMail: (text) => shortlist.readMail(text),
  tidyTitle: shortlist.tidyTitle,
  vcardOf: (text) => attempt(() => shortlist.vcardOf(person(text) as never)),

  languageOf: titles.languageOf,
  readSenses: titles.readSenses,
  readTitle: titles.readTitle,
  wordings: titles.wordings,

  bucketOf: dialect.bucketOf,
  bucketsFrom: dialect.bucketsFrom,
  readBox: (text) => dialect.readBox(text, sheet.boxes[0]!),
  readSearch: (text) => dialect.readSearch({ boxes: { [sheet.boxes[0]!.id]: text }, facts: [] }, sheet),

  serviceAddress
};

function attempt(read: () => unknown): unknown {
  try {
    return read();
  } catch {
    return null;
  }
}
