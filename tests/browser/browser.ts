import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { chromium, type Browser, type BrowserContext, type Locator, type Page, type Request } from 'playwright-core';
import { chromiumOptions } from '../../scripts/lib/chromium-options.mjs';
import { afterAll, afterEach, beforeAll, expect, inject } from 'vitest';

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

const viewport = { width: 1280, height: 800 };

/** Opens Debian's Chromium for a test file. Whatever a page reports as an error fails the test, unless it is expected. */
export function useBrowser() {
  let browser: Browser;
  let context: BrowserContext | undefined;
  /** What the test before has left, to be gone on with: a page takes long to open, and its scripts long to be read. */
  let used: Page | undefined;
  const errors: string[] = [];
  const expected: RegExp[] = [];

  beforeAll(async () => {
    browser = await chromium.launch(chromiumOptions);
  });
  // The tests of a file have one context, and none finds what another left in it.
  afterEach(async () => {
    const [last, ...others] = context?.pages() ?? [];
    if (context && last) {
      await Promise.all(others.map((page) => page.close()));
      await last.goto('about:blank');
      last.removeAllListeners();
      const session = await context.newCDPSession(last);
      await session.send('Storage.clearDataForOrigin', {
        origin: inject('address'),
        storageTypes: 'cookies,local_storage,indexeddb'
      });
      await session.detach();
      await last.emulateMedia({ colorScheme: null });
      await last.setViewportSize(viewport);
      used = last;
    }
    const unexpected = errors.filter((error) => !expected.some((pattern) => pattern.test(error)));
    errors.length = 0;
    expected.length = 0;
    expect(unexpected.join('\n'), 'what the pages reported').toBe('');
  });
  afterAll(() => browser.close());

  return {
    address: () => inject('address'),
    /** Lets the page report such an error, as when the network answers with a refusal. */
    expectError: (pattern: RegExp) => expected.push(pattern),
    /** A page at `path`. */
    async open(path: string): Promise<Page> {
      context ??= await browser.newContext({
        baseURL: inject('address'),
        viewport,
        permissions: ['clipboard-read', 'clipboard-write']
      });
      const page = used ?? (await context.newPage());
      used = undefined;
      page.on('pageerror', (error) => errors.push(error.message));
      page.on('console', (message) => {
        if (message.type() === 'error') errors.push(`${message.text()} ${message.location().url}`);
      });
      await visit(page, path);
      return page;
    }
  };
}

/** Milliseconds without a request after which a page is taken to have loaded. */
const quiet = 150;

/** Opens `path` and waits until the page asks for nothing more; what is listened to does not count. */
export async function visit(page: Page, path: string): Promise<void> {
  const open = new Set<unknown>();
  let last = Date.now();
  const began = (request: Request) => {
    if (request.resourceType() !== 'eventsource') open.add(request);
  };
  const ended = (request: Request) => {
    open.delete(request);
    last = Date.now();
  };
  page.on('request', began).on('requestfinished', ended).on('requestfailed', ended);
  try {
    await page.goto(path, { waitUntil: 'load' });
    // Of Eave's own pages, until their script runs.
    if (!path.startsWith('http')) await page.waitForFunction(() => document.documentElement.hasAttribute('theme'));
    while (open.size || Date.now() - last < quiet) await new Promise((done) => setTimeout(done, 30));
  } finally {
    page.off('request', began).off('requestfinished', ended).off('requestfailed', ended);
  }
}

/** Runs axe on the page and expects no serious or critical fault. */
export async function expectAccessible(page: Page): Promise<void> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axeSource);
  // Colours that still change are no colours to judge by.
  await page.evaluate(() =>
    Promise.all(
      document
        .getAnimations()
        .filter(({ effect }) => effect?.getComputedTiming().iterations !== Infinity)
        .map(({ finished }) => finished.catch(() => {}))
    ).then(() => {})
  );
  const faults = await page.evaluate(async () => {
    const { axe } = window as unknown as {
      axe: {
        run: (options: object) => Promise<{ violations: { id: string; impact: string; nodes: { html: string }[] }[] }>;
      };
    };
    const { violations } = await axe.run({ resultTypes: ['violations'] });
    return violations
      .filter(({ impact }) => impact === 'serious' || impact === 'critical')
      .map(
        ({ id, nodes }) =>
          `${id}: ${nodes
            .slice(0, 3)
            .map(({ html }) => html.slice(0, 160))
            .join(' | ')}`
      );
  });
  expect(faults).toEqual([]);
}

/** Calls the API of the application at an address. */
export const apiAt =
  (address: () => string) =>
  async <T = unknown>(method: string, path: string, body?: unknown): Promise<T> => {
    const response = await fetch(`${address()}/api${path}`, {
      method,
      ...(body !== undefined && { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } })
    });
    if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`);
    return (response.status === 204 ? undefined : await response.json()) as T;
  };

/** Calls the API of the application that all tests share. */
export const api = apiAt(() => inject('address'));

/** Deletes the sources that other tests have added, so that those which ship with Eave are all there are. */
export async function deleteAddedSources(): Promise<void> {
  const sources = await api<{ id: string; kind: string }[]>('GET', '/sources');
  for (const { id, kind } of sources) if (kind !== 'stand-in') await api('DELETE', `/sources/${id}`);
}

/**
 * Sets a check box of Carbon's by its key: the box itself is not seen, and what is drawn for it may still move when its dialog
 * opens, so that a click at a point can miss it.
 */
export async function setChecked(box: Locator, checked: boolean): Promise<void> {
  // A dialog that closes gives the focus back: what is pressed at that moment goes there.
  await expect
    .poll(
      async () => {
        if ((await box.isChecked()) !== checked) await box.press('Space');
        return box.isChecked();
      },
      { interval: 1000, timeout: 5000 }
    )
    .toBe(checked);
}

/** Opens what is folded, and leaves open what is open: a fold that says something already is. */
export async function unfold(page: Page, title: string): Promise<void> {
  const heading = page.getByRole('button', { name: title, exact: true });
  if ((await heading.getAttribute('aria-expanded')) !== 'true') await heading.click();
  await expect.poll(() => heading.getAttribute('aria-expanded')).toBe('true');
}

/** Replaces what stands in the string editor. */
export async function writeString(page: Page, text: string): Promise<void> {
  await page.locator('.cm-content').click();
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.press('Delete');
  await page.keyboard.insertText(text);
}

export const stringText = (page: Page) =>
  page
    .locator('.cm-line')
    .allInnerTexts()
    .then((lines) => lines.join('\n'));
