/** The core's face: what Eave exists for, without interface, database or Node. */
export * from './query/problem';
export * from './query/query';
export * from './query/scopes';
export { limits } from './query/limits';
export { parse, type Parsed } from './query/parse';
export { print } from './query/print';
export { layOut, outlineOf, printOutline, type Outline } from './query/outline';
export { simplify } from './query/simplify';
export { equivalent, tellApart } from './query/equivalent';
export { describe } from './query/describe';
export { matches, matcher } from './query/matches';
export {
  bothOf,
  eitherOf,
  everythingTold,
  notOf,
  truthOf,
  truthReader,
  untoldIn,
  type Told,
  type Truth
} from './query/truth';
export { exactMatching, matchingOf, matchingSchema, type Matching } from './query/matching';
export { marksOf, partsOf, type Mark, type Part } from './query/parts';
export { tokenKeys, tokens } from './query/tokens';
export { jobSchema, personSchema, type Job, type Person } from './corpus/person';
export { valuesOf, type Field, type Value } from './corpus/values';
export { PeopleIndex } from './corpus/people-index';
export { render, type Rendering } from './dialect/render';
export { overLimit, readSearch, searchSchema, useOf, writeSearch, type Search, type Use } from './dialect/search';
export { readBox, writeBox } from './dialect/box-text';
export { sourceProblems } from './dialect/source-problems';
export { read, writeText } from './dialect/search-text';
export { sheetSchema, toldBy, upgradedSheet, type Sheet } from './dialect/sheet';
export { sheets } from './dialect/sheets';
export { wilson, type Interval } from './measure/wilson';
export { precisionOf, verdictsNeeded, type Precision, type Verdict } from './measure/precision';
export { estimatedFits, estimatedResult, type Estimate, type SearchSeen } from './measure/estimate';
export { figuresOf, foundBy, type Figures, type Found, type SearchAnswer } from './measure/figures';
export { drawSample, extendSample } from './measure/draw-sample';
export { countInterval, shownCount, countingSchema, type Counting } from './measure/count';
export { readTitle, type TitleReading } from './titles/read-title';
export { meanings, type Sense } from './titles/meanings';
export { wordings, type ProposedWording } from './titles/wordings';
export { emptyPersona, personaSchema, type Persona } from './persona/persona';
export {
  fitWordSets,
  readWordingList,
  wordSetSchema,
  wordSetsSchema,
  type WordSet,
  type Wording
} from './persona/word-set';
export { buildParts, buildString, type BuiltPart } from './persona/build-string';
export { liftOf, personaFromCustomers, type CustomerReading } from './persona/persona-from-customers';
export { personaFromText, type BriefFact, type BriefReading } from './persona/persona-from-text';
export { describePersona } from './persona/describe-persona';
export { checkFacts, type FactCheck } from './persona/check-facts';
export { countries, countryCode, countryName } from './people/countries';
export { industries, industryCode, industryName } from './people/industries';
export {
  narrowing,
  narrowingSteps,
  termLedger,
  type JudgedCount,
  type LedgerRow,
  type PeopleSets
} from './measure/term-ledger';
export { applyChanges, type Change } from './suggest/change';
export { causesOf, explain, type Cause, type Explanation } from './suggest/explain';
export { candidates, effectOf, judgedSource, measure, type Effect, type Proposal } from './suggest/propose';
export { boardOf, type BoardCell, type Standing, type TriedCell } from './measure/board';
export { expectedSpend, spendOn } from './measure/spend';
export { agreementOf, type Agreement } from './measure/kappa';
export { mcNemar } from './measure/mcnemar';
export { frontOf } from './measure/front';
export { overlapOf, type OverlapPart } from './measure/overlap';
export { chapman, fitsThereAre, type Population } from './measure/population';
export { chanceOfDifference, differenceOf, holm, toldApart, verdictsToDecide, type Shared } from './measure/told-apart';
export { jaro, jaroWinkler } from './people/name-similarity';
export { sameness, samePeople, type SamePeople, type SourceRecord } from './people/same-person';
export { contactKeys, isRoleMailbox } from './people/contact-keys';
export { compareNames } from './people/person-name';
export { whyLacking, type LackingReason } from './suggest/why-lacking';
export { readQrels, readRuns, writeQrels, writeRuns } from './formats/trec';
export { reportCsv, reportMarkdown, type Report } from './formats/report';
export { readCount, type ReadCount } from './formats/read-count';
export { readResultPage, type PageRow } from './formats/read-result-page';
export { guessColumns } from './formats/columns';
