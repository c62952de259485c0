import { readFileSync } from 'node:fs';
import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { greetingName } from './greeting-name';

const listed = readFileSync(new URL('../../../tests/greetings/names.txt', import.meta.url), 'utf8')
  .split('\n')
  .filter((line) => line && !line.startsWith('#'))
  .map((line) => {
    const cells = line.split(' | ').map((cell) => cell.replace(/ \|$/, '').trim());
    return {
      language: cells[0]!,
      name: cells.slice(1, -1).join(' | '),
      greeting: line.endsWith('| ') ? '' : cells.at(-1)!
    };
  })
  .map((one) => (one.name ? one : { ...one, name: one.greeting, greeting: '' }));

describe('the greeting of a full name', () => {
  it('is right for names of all languages', () => {
    const wrong = listed.filter(({ name, greeting }) => greetingName(name).greeting !== greeting);
    const given = listed.filter(({ name }) => greetingName(name).greeting);
    const right = given.filter(({ name, greeting }) => greetingName(name).greeting === greeting);
    console.log(
      `greetings: ${listed.length} names, ${listed.length - wrong.length} right; precision ${((right.length / given.length) * 100).toFixed(1)} %\n` +
        wrong
          .map(
            ({ language, name, greeting }) => `  ${language} ${name}: ${greetingName(name).greeting} for ${greeting}`
          )
          .join('\n')
    );
    expect(listed.length).toBeGreaterThanOrEqual(390);
    expect(right.length / given.length).toBeGreaterThan(0.97);
    expect(wrong.length / listed.length).toBeLessThan(0.05);
  });

  it('breaks on nothing, and is never a form of address or a sign', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60, unit: 'grapheme' }), (text) => {
        const { greeting, name } = greetingName(text);
        expect(greeting).not.toMatch(/[<>@|]{2}|\p{Extended_Pictographic}/u);
        expect(greetingName(name).name).toBe(greetingName(greetingName(name).name).name);
      })
    );
  });
});
