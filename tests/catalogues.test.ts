import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'svelte/compiler';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

const files = (folder: string, ending: RegExp): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? files(path, ending) : ending.test(path) ? [path] : [];
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

/** The sentences of a module, or of the scripts of a component, that stand there instead of in a catalogue. */
function sentencesIn(source: string): string[] {
  const found: string[] = [];
  const walk = (node: ts.Node): void => {
    const text = ts.isTemplateExpression(node)
      ? [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join('…')
      : ts.isStringLiteralLike(node)
        ? node.text
        : '';
    if (/^\p{Lu}[\p{Ll}’]+ [\p{L}’“]/u.test(text) && (/ .+ /.test(text) || /[.?!]$/.test(text))) found.push(text);
    node.forEachChild(walk);
  };
  walk(ts.createSourceFile('', source, ts.ScriptTarget.Latest));
  return found;
}
const scriptsOf = (source: string) =>
  [...source.matchAll(/<script[^>]*>(.*?)<\/script>/gs)].map(([, script]) => script).join('\n');

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
    const written = [...files('src/lib', /\.svelte$/), ...files('src/routes', /\.svelte$/)].flatMap((path) =>
      textsIn(readFileSync(path, 'utf8')).map((text) => `${path}: ${text}`)
    );
    expect(written).toEqual([]);
  });

  it('is looked for in code', () => {
    expect(sentencesIn("const a = ['Not saved yet', 'not-saved', `Could not read ${b}.`, 'Fit'];")).toEqual([
      'Not saved yet',
      'Could not read ….'
    ]);
  });

  it('comes from a catalogue where code says it', () => {
    const ending = /(?<!words|\.test|\.d|invented-page)\.(svelte|ts)$/;
    const written = [...files('src/lib', ending), ...files('src/routes', ending)].flatMap((path) => {
      const source = readFileSync(path, 'utf8');
      return sentencesIn(path.endsWith('.svelte') ? scriptsOf(source) : source).map((text) => `${path}: ${text}`);
    });
    expect(written).toEqual([]);
  });
});
