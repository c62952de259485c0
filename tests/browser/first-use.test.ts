import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { useBrowser } from './browser';

const { open } = useBrowser();

/** What a first user does, counted: a click, a text typed in one field, or a key. */
class Actions {
  readonly done: string[] = [];
  constructor(private readonly page: Page) {}
  async click(role: 'button' | 'link' | 'textbox', name: string | RegExp): Promise<void> {
    await this.page.getByRole(role, { name }).first().click();
    this.done.push(`click ${String(name)}`);
  }
  async type(text: string): Promise<void> {
    await this.page.keyboard.type(text);
    this.done.push(`type “${text}”`);
  }
  async press(key: string): Promise<void> {
    await this.page.keyboard.press(key);
    this.done.push(key);
  }
  /** Moves by Tab, as somebody without a mouse does, to something by its role and name. */
  async tabTo(role: 'button' | 'link' | 'textbox', name: string | RegExp, key = 'Tab'): Promise<void> {
    const target = this.page.getByRole(role, { name }).first();
    await target.waitFor();
    for (let i = 0; i < 80; i++) {
      if (await target.evaluate((element) => element === document.activeElement)) return;
      await this.press(key);
    }
    throw new Error(`${String(name)} isn’t reached by Tab`);
  }
}

const screens = (page: Page) => ({
  persona: () => page.waitForURL(/\/persona$/),
  wording: () => page.waitForURL(/\/wording$/),
  string: () => page.getByText('title:"Head of Quality"').waitFor(),
  trial: async () => {
    await page.waitForURL(/\/trial\?trial=/);
    await page.getByRole('button', { name: /^✓ Fit/ }).waitFor();
  },
  judged: () => page.getByText(/1 of \d+ judged/).waitFor()
});

describe('from nothing to the first judged person', () => {
  it('takes one decision a screen, by mouse', async () => {
    const page = await open('/');
    const user = new Actions(page);
    const at = screens(page);
    await user.click('textbox', 'Name of the new brief');
    await user.type('First by mouse');
    await user.click('button', 'New brief');
    await at.persona();
    await user.click('textbox', 'Job titles');
    await user.type('Head of Quality');
    await page.getByText('Saved', { exact: true }).waitFor();
    await user.click('link', 'Choose wordings');
    await at.wording();
    await user.click('link', 'Build string');
    await at.string();
    await user.click('button', /^Run on/);
    await at.trial();
    await user.click('button', /^✓ Fit/);
    await at.judged();
    console.log(`by mouse: ${user.done.length} actions: ${user.done.join(', ')}`);
    expect(user.done.length).toBeLessThanOrEqual(10);
  }, 120_000);

  it('needs no mouse', async () => {
    const page = await open('/');
    const user = new Actions(page);
    const at = screens(page);
    await user.tabTo('textbox', 'Name of the new brief');
    await user.type('First by keyboard');
    await user.press('Enter');
    await at.persona();
    await user.tabTo('textbox', 'Job titles');
    await user.type('Head of Quality');
    await page.getByText('Saved', { exact: true }).waitFor();
    await user.tabTo('link', 'Choose wordings', 'Shift+Tab');
    await user.press('Enter');
    await at.wording();
    await user.tabTo('link', 'Build string');
    await user.press('Enter');
    await at.string();
    await user.press('ControlOrMeta+Enter');
    await at.trial();
    await user.press('f');
    await at.judged();
    const tabs = user.done.filter((one) => one.endsWith('Tab')).length;
    console.log(`by keyboard: ${user.done.length - tabs} actions and ${tabs} times Tab`);
    expect(user.done.length - tabs).toBeLessThanOrEqual(10);
  }, 120_000);
});
