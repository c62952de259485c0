import { sheetSchema, type Sheet } from '$core/dialect/sheet';

const fullBox = { or: true, not: true, phrase: true, group: true, prefix: true };

/** A members' network: separate boxes, full boolean, many facts; stems, rounds its counts and shows the first 1,000. */
export const harrowGuild: Sheet = sheetSchema.parse({
  id: 'harrow-guild',
  name: 'Harrow Guild',
  about: "A members' network. Full boolean in boxes for the whole profile, the current title and the current company.",
  boxes: [
    { id: 'profile', label: 'Whole profile', searches: 'any', ...fullBox },
    { id: 'title', label: 'Current title', searches: 'title', ...fullBox },
    { id: 'company', label: 'Current company', searches: 'company', ...fullBox }
  ],
  facts: [
    { scope: 'country', include: true, exclude: true },
    { scope: 'place', include: true, exclude: true },
    { scope: 'industry', include: true, exclude: true },
    { scope: 'function', include: true, exclude: true },
    { scope: 'rank', include: true, exclude: true },
    { scope: 'headcount', range: true },
    { scope: 'growth', range: true },
    { scope: 'tenure', range: true },
    { scope: 'active', range: true },
    { scope: 'hiring', include: true }
  ],
  limits: { characters: 2000, words: null, operators: null, shown: 1000, searches: 12 },
  matching: { stemming: 'english', diacritics: 'kept' },
  counting: { kind: 'rounded', above: 1000, figures: 2 }
});

/** A trade association's directory: words joined by and, nothing else; small and clean. */
export const marlowRegister: Sheet = sheetSchema.parse({
  id: 'marlow-register',
  name: 'Marlow Register',
  about: 'A trade association’s directory of temperature-controlled distribution. One box; every word must be found.',
  boxes: [
    { id: 'words', label: 'Words', searches: 'any', or: false, not: false, phrase: false, group: false, prefix: false }
  ],
  facts: [],
  limits: { characters: 120, words: 8, operators: null, shown: null, searches: 24 },
  matching: { stemming: null, diacritics: 'folded' },
  counting: { kind: 'exact' }
});

export const standInSheets: readonly Sheet[] = [harrowGuild, marlowRegister];
