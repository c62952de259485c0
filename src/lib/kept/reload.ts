import { invalidate } from '$app/navigation';
import { navigating, page } from '$app/state';

const maxTries = 5;
/** Milliseconds after which a load that has not ended keeps others waiting no longer. */
const patience = 10_000;

let last: Promise<unknown> = Promise.resolve();
let next: { names: Set<string>; ended: Promise<void> } | undefined;

/**
 * Reloads what a page shows. A new load cancels the one in progress, so a page that receives changes faster
 * than it loads would never show any. So one load runs at a time, and requests made meanwhile are coalesced into the next.
 */
export function reload(...names: string[]): Promise<void> {
  if (!next) {
    const mine = new Set<string>();
    const ended = last.then(() => {
      next = undefined;
      return load([...mine]);
    });
    next = { names: mine, ended };
    last = Promise.race([ended, new Promise((done) => setTimeout(done, patience))]);
  }
  for (const name of names) next.names.add(name);
  return next.ended;
}

/**
 * Loading and going somewhere stop each other: so it waits while the page goes somewhere, and loads once more where the
 * page went on meanwhile.
 */
async function load(names: readonly string[]): Promise<void> {
  for (let tries = 0; tries < maxTries; tries++) {
    while (navigating.to) await new Promise((done) => setTimeout(done, 40));
    const before = page.url.href;
    await Promise.all(names.map((name) => invalidate(name))).catch(() => {});
    if (!navigating.to && page.url.href === before) return;
  }
}
