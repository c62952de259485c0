/** The mark and tint of a part of the string, by its place; the same in every view. */
const glyphs = ['●', '▲', '■', '◆', '▼', '★'] as const;

export const partGlyph = (index: number): string => glyphs[index % glyphs.length]!;
export const partTint = (index: number): string => `var(--part-${index % glyphs.length})`;
