/** The short name of a source in a chart or a list: the initials of its first two words, or its first two letters. */
export function sourceSign(name: string): string {
  const [first = '', second] = name.trim().split(/\s+/);
  return second ? `${[...first][0] ?? ''}${[...second][0] ?? ''}`.toUpperCase() : [...first].slice(0, 2).join('');
}
