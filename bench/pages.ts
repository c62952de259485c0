import { performance } from 'node:perf_hooks';
import { chromium, type Page } from 'playwright-core';
import { chromiumOptions } from '../scripts/lib/chromium-options.mjs';
import { startApplication } from '../tests/browser/application';

// How long it takes from asking for a page until it can be used, opened cold and from within, on the demo's finished job.
// The yardstick is an answer of a few bytes, opened in the same browser.

const rounds = 5;
const people = Number(process.env.BENCH_PEOPLE ?? 40_000);
const application = await startApplication(process.env.DATABASE_URL!, people, '.data/bench-pages', {
  EAVE_DEMO: 'finished'
});
const browser = await chromium.launch(chromiumOptions);

const ask = async <T>(path: string): Promise<T> =>
  (await (await fetch(`${application.address}/api${path}`)).json()) as T;
const middle = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!;

/** Usable: the heading is there, and the script runs, which says what the theme is. */
async function usable(page: Page, heading: RegExp): Promise<void> {
  await page.getByRole('heading', { level: 1, name: heading }).waitFor();
  await page.waitForFunction(() => document.documentElement.hasAttribute('theme'));
}
async function timed(work: () => Promise<unknown>): Promise<number> {
  const from = performance.now();
  await work();
  return performance.now() - from;
}

try {
  let brief: { id: string } | undefined;
  for (let tries = 0; tries < 300 && !brief; tries++) {
    const briefs = await ask<{ id: string; demo: boolean; chosen: unknown[] }[]>('/briefs');
    brief = briefs.find(({ demo, chosen }) => demo && chosen.length);
    if (!brief) await new Promise((done) => setTimeout(done, 1000));
  }
  if (!brief) throw new Error('The demo’s job did not end within five minutes.');
  // It goes on to gather people: pages are measured once nothing else is at work.
  for (let quiet = 0, tries = 0; quiet < 5 && tries < 180; tries++) {
    await new Promise((done) => setTimeout(done, 1000));
    const { threads } = await ask<{ threads: { running: number } }>('/health/ready');
    quiet = threads.running ? 0 : quiet + 1;
  }
  const steps: [string, string, RegExp][] = [
    ['Home', '/', /./],
    ['Persona', `/briefs/${brief.id}/persona`, /^Persona$/],
    ['Wording', `/briefs/${brief.id}/wording`, /^Wording$/],
    ['String', `/briefs/${brief.id}/string`, /^Version \d+$/],
    ['Trial', `/briefs/${brief.id}/trial`, /^Version \d+ on/],
    ['Compare', `/briefs/${brief.id}/compare`, /^Compare$/]
  ];
  const cold = async (path: string, ready: (page: Page) => Promise<unknown>) => {
    const times: number[] = [];
    for (let round = 0; round < rounds; round++) {
      const context = await browser.newContext({ baseURL: application.address });
      const page = await context.newPage();
      times.push(
        await timed(async () => {
          await page.goto(path, { waitUntil: 'commit' });
          await ready(page);
        })
      );
      await context.close();
    }
    return middle(times);
  };
  const yardstick = await cold('/api/health/live', (page) => page.waitForLoadState('load'));
  console.log(`\nPages, middle of ${rounds}; yardstick: a few bytes, ${yardstick.toFixed(0)} ms`);
  const told = (what: string, time: number, wanted: number) =>
    console.log(
      `  ${what.padEnd(24)} ${time.toFixed(0).padStart(6)} ms  ${(time / yardstick).toFixed(1).padStart(5)} × yardstick${time > wanted ? `  over ${wanted} ms` : ''}`
    );
  for (const [name, path, heading] of steps)
    told(`${name}, cold`, await cold(path, (page) => usable(page, heading)), 1000);

  const page = await (await browser.newContext({ baseURL: application.address })).newPage();
  await page.goto(`/briefs/${brief.id}/persona`);
  await usable(page, /^Persona$/);
  const within = new Map<string, number[]>();
  for (let round = 0; round < rounds; round++)
    for (const [name, , heading] of [...steps.slice(2), steps[1]!]) {
      const link = page.getByRole('navigation', { name: 'Steps of this brief' }).getByRole('link', { name });
      const time = await timed(async () => {
        await link.click();
        await usable(page, heading);
      });
      within.set(name, [...(within.get(name) ?? []), time]);
    }
  for (const [name, times] of within) told(`${name}, from within`, middle(times), 300);
} finally {
  await browser.close();
  application.stop();
}
