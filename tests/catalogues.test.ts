import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'svelte/compiler';
import { describe, expect, it } from 'vitest';

const files = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? files(path) : path.endsWith('.svelte') ? [path] : [];
  });

/** Attributes and properties of components that are shown or read aloud. */
const shown = new Set(
  `about alt aria-label description heading helperText hint iconDescription invalidText label labelText legendText modalHeading no
  placeholder primaryButtonText says secondaryButtonText text title tooltipText yes`.split(/\s+/)
);

interface Node {
  type: string;
  name?: string;
  data?: string;
  value?: unknown;
  [key: string]: unknown;
}

/** The texts of a component's markup that are written there instead of in its catalogue. */
function textsIn(source: string): string[] {
  const found: string[] = [];
  const walk = (node: unknown): void => {
    if (Array.isArray(node)) return node.forEach(walk);
    if (!node || typeof node !== 'object') return;
    const { type, name, data, value } = node as Node;
    if (type === 'Text' && /\p{L}{2,}/u.test(data!)) found.push(data!.trim());
    if (type === 'StyleDirective') return;
    if (type === 'Attribute') {
      if (shown.has(name!)) walk(value);
      return;
    }
    for (const [key, child] of Object.entries(node)) if (!['start', 'end', 'loc', 'css'].includes(key)) walk(child);
  };
  walk(parse(source, { modern: true }).fragment);
  return found;
}

describe('what components say', () => {
  it('is looked for where it is shown', () => {
    expect(textsIn('<p title="One">{say.two} three <b>{4}</b></p><Button text={five}>six</Button>')).toEqual([
      'One',
      'three',
      'six'
    ]);
    expect(textsIn('<p class="one two">{say.three} · {4}</p>')).toEqual([]);
  });

  it('comes from a catalogue', () => {
    const written = [...files('src/lib'), ...files('src/routes')].flatMap((path) =>
      textsIn(readFileSync(path, 'utf8')).map((text) => `${path}: ${text}`)
    );
    expect(written).toEqual([]);
  });
});
