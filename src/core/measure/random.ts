/** A source of numbers in [0, 1) whose state can be saved and restored. */
export interface RewindableRandom {
  next: () => number;
  /** 32 bits that say what comes next. */
  state: number;
}

/** A seeded source of numbers: mulberry32 over an FNV-1a hash of the seed. Same seed, same numbers. */
export function rewindableRandom(seed: string): RewindableRandom {
  const source = {
    state: hashText(seed) | 0,
    next: () => {
      const state = (source.state = (source.state + 0x6d2b79f5) | 0);
      let t = Math.imul(state ^ (state >>> 15), 1 | state);
      t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
      return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
    }
  };
  return source;
}

/** A seeded source of numbers in [0, 1). Same seed, same numbers. */
export const seededRandom = (seed: string): (() => number) => rewindableRandom(seed).next;

/** The 32-bit FNV-1a hash of a text. */
export function hashText(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}
