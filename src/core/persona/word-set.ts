import * as z from 'zod';

export const origins = ['typed', 'lexicon', 'built', 'translated', 'found'] as const;

export const wordingSchema = z.object({
  text: z.string().trim().min(1).max(200),
  origin: z.enum(origins).default('typed'),
  inUse: z.boolean().default(true)
});

/** The interchangeable wordings of one idea: here, of one wanted title. */
export const wordSetSchema = z.object({
  id: z.string().min(1).max(100),
  name: z.string().trim().min(1).max(200),
  wordings: z.array(wordingSchema).max(2000),
  refused: z
    .array(z.string().trim().min(1).max(200))
    .max(2000)
    .default([])
    .describe('Proposals the person does not want')
});
export const wordSetsSchema = z.array(wordSetSchema).max(500);

export type Wording = z.infer<typeof wordingSchema>;
export type WordSet = z.infer<typeof wordSetSchema>;

/** Wordings out of a pasted list: one a line, or separated by commas, semicolons or tabs; quotes and bullets are taken off. */
export function readWordingList(text: string): string[] {
  const seen = new Set<string>();
  return text
    .split(/[\n\r\t,;|]+/)
    .map((piece) =>
      piece
        .replace(/^[\s•·*–—-]+/, '')
        .replaceAll(/["“”„«»]/g, '')
        .replaceAll(/\s+/g, ' ')
        .trim()
        .slice(0, 200)
    )
    .filter((piece) => {
      const key = piece.toLowerCase();
      if (!/[\p{L}\p{N}]/u.test(piece) || seen.has(key)) return false;
      seen.add(key);
      return true;
    });
}

/** Word sets for the titles of a persona: those there are keep their wordings, new titles get one, titles gone lose theirs. */
export function fitWordSets(titles: readonly string[], sets: readonly WordSet[]): WordSet[] {
  const byName = new Map(sets.map((set) => [set.name.toLowerCase(), set]));
  return titles.map(
    (title) =>
      byName.get(title.toLowerCase()) ?? {
        id: title.toLowerCase(),
        name: title,
        wordings: [{ text: title, origin: 'typed', inUse: true }],
        refused: []
      }
  );
}
