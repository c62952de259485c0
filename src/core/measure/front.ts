/** Those that no other beats: none has more of both, or as much of one and more of the other. In order of `x`. */
export function frontOf<T>(items: readonly T[], x: (item: T) => number, y: (item: T) => number): T[] {
  const sorted = [...items].sort((a, b) => x(b) - x(a) || y(b) - y(a));
  let best = -Infinity;
  return sorted
    .filter((item) => {
      if (y(item) <= best) return false;
      best = y(item);
      return true;
    })
    .reverse();
}
