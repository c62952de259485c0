import { invalidate } from '$app/navigation';
import { navigating, page } from '$app/state';

const mostTries = 5;

/**
 * Loads what a page shows anew. Loading and going somewhere stop each other: so it waits while the page goes somewhere, and
 * loads once more where the page went on meanwhile.
 */
export async function reload(...names: string[]): Promise<void> {
  for (let tries = 0; tries < mostTries; tries++) {
    while (navigating.to) await new Promise((done) => setTimeout(done, 40));
    const before = page.url.href;
    await Promise.all(names.map((name) => invalidate(name))).catch(() => {});
    if (!navigating.to && page.url.href === before) return;
  }
}
