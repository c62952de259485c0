/** What a string may be at most: bytes of UTF-8, terms, and brackets within brackets. */
export const limits = { bytes: 64 * 1024, terms: 5000, levels: 200 } as const;

/** How many letters or digits must stand before a `*`. */
export const shortestPrefix = 3;
