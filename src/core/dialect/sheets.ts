import fullBoolean from './data/full-boolean.json';
import harrowGuildData from './data/harrow-guild.json';
import lanternfieldData from './data/lanternfield.json';
import listsOnly from './data/lists-only.json';
import marlowRegisterData from './data/marlow-register.json';
import quillbankData from './data/quillbank.json';
import webIndex from './data/web-index.json';
import { sheetSchema, type Sheet } from './sheet';

/** A members' network: boxes, full boolean, many facts; stems, rounds its counts and shows the first 1,000. */
export const harrowGuild: Sheet = sheetSchema.parse(harrowGuildData);
/** An index of public pages: one box, 32 words, OR binds before and; guesses its counts and shows 300. */
export const lanternfield: Sheet = sheetSchema.parse(lanternfieldData);
/** A contact database: lists and facts, no free boolean; exact counts, priced per record. */
export const quillbank: Sheet = sheetSchema.parse(quillbankData);
/** A trade association's directory: words joined by and, nothing else; small and clean. */
export const marlowRegister: Sheet = sheetSchema.parse(marlowRegisterData);

/** The sheets of the stand-ins that ship with Eave. */
export const standInSheets: readonly Sheet[] = [harrowGuild, lanternfield, quillbank, marlowRegister];

/** General sheets to start one's own from. */
export const generalSheets: readonly Sheet[] = [fullBoolean, webIndex, listsOnly].map((data) =>
  sheetSchema.parse(data)
);

/** Every sheet that ships with Eave. */
export const sheets: readonly Sheet[] = [...standInSheets, ...generalSheets];
