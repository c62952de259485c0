import { expect } from 'vitest';
import type { Page } from 'playwright-core';
import type { Figures } from '../../src/core/measure/figures';
import { api } from './browser';

/** Opens a page of the application. */
type Open = (path: string) => Promise<Page>;

// One meaning for each figure: the screens and the API of a brief are walked, and held to each other.

/** Every figure seen, by name and source: where, and the value. */
export class Seen {
  private readonly values = new Map<string, Map<string, number>>();

  note(figure: string, where: string, value: number | null): void {
    if (value === null) return;
    const list = this.values.get(figure) ?? new Map<string, number>();
    this.values.set(figure, list.set(where, value));
  }

  /** The figures that are not the same everywhere, and how many places each of the others was seen in. */
  different(): { different: string[]; places: Record<string, number> } {
    const different: string[] = [];
    const places: Record<string, number> = {};
    for (const [figure, list] of this.values) {
      const all = [...list];
      places[figure] = all.length;
      const [, first] = all[0]!;
      if (all.some(([, value]) => Math.abs(value - first) > 1e-6 * Math.max(1, Math.abs(first))))
        different.push(`${figure}: ${all.map(([where, value]) => `${value} on ${where}`).join(', ')}`);
    }
    return { different, places };
  }
}

/** What a page shows of figures, of one version. */
export async function collect(
  page: Page,
  where: string,
  version: number,
  seen: Seen,
  names: ReadonlyMap<string, string>
) {
  const shown = await page.locator('[data-figure]').evaluateAll((nodes) =>
    nodes.map((node) => ({
      name: node.getAttribute('data-figure')!,
      value: node.getAttribute('data-value'),
      source: node.getAttribute('data-source'),
      version: node.getAttribute('data-version'),
      text: node.textContent
    }))
  );
  for (const { name, value, source, version: of, text } of shown) {
    if (of !== null && Number(of) !== version) continue;
    expect(text!.trim(), `${name} on ${where}`).not.toBe('');
    const id = source === null ? '' : (names.get(source) ?? source);
    seen.note(`${name} ${id}`.trim(), where, value === null ? null : Number(value));
  }
}

export interface Brief {
  id: string;
  text: string;
  sources: { id: string; name: string }[];
  /** Those whose people are here; all that are not run by hand, where it is left out. */
  counted?: readonly string[];
}
export interface Trial {
  id: string;
  sourceId: string;
  found: Pick<Figures, 'reported' | 'shown' | 'certain' | 'possible' | 'estimated'>;
  figures: Figures | null;
  sample: { person: { id: string; name: string }; verdict: unknown }[];
}

/** Walks every screen of a brief whose first version was run, and the API, and holds their figures to each other. */
export async function walk(open: Open, { id, text, sources, counted: here }: Brief, reading: 'certain' | 'possible') {
  const seen = new Seen();
  const names = new Map(sources.map((source) => [source.name, source.id]));
  const note = (where: string, source: string, figures: Partial<Figures>) => {
    const { reported, shown, certain, possible, estimated, precision, fits } = figures;
    if (reported) seen.note(`reported ${source}`, where, reported.middle);
    if (shown !== undefined) seen.note(`shown ${source}`, where, shown);
    if (certain !== undefined) seen.note(`certain ${source}`, where, certain);
    if (certain !== undefined && possible !== undefined)
      seen.note(`possible only ${source}`, where, possible - certain);
    if (estimated) seen.note(`estimated ${source}`, where, estimated[reading].middle);
    if (precision) seen.note(`precision ${source}`, where, precision[reading].share);
    if (fits) seen.note(`fits ${source}`, where, fits[reading]?.middle ?? null);
  };

  const trials = (await api<(Trial & { version: number })[]>('GET', `/briefs/${id}/trials`)).filter(
    ({ version }) => version === 1
  );
  const compare = await api<{ judged: number; cells: { version: number; sourceId: string; figures: Figures }[] }>(
    'GET',
    `/briefs/${id}/compare?certain=${reading === 'certain'}`
  );
  seen.note('judged', 'API compare', compare.judged);
  for (const { version, sourceId, figures } of compare.cells) if (version === 1) note('API compare', sourceId, figures);
  const report = await api<{ judged: number; entries: { version: number; source: string; figures: Figures }[] }>(
    'GET',
    `/briefs/${id}/report?certain=${reading === 'certain'}`
  );
  seen.note('judged', 'API report', report.judged);
  for (const { version, source, figures } of report.entries)
    if (version === 1) note('API report', names.get(source)!, figures);
  const brief = await api<{ judged: number }>('GET', `/briefs/${id}`);
  seen.note('judged', 'API brief', brief.judged);

  for (const { id: trialId, sourceId } of trials) {
    const trial = await api<Trial>('GET', `/briefs/${id}/trials/${trialId}`);
    note('API trial', sourceId, { ...trial.found, ...trial.figures });
    const page = await open(`/briefs/${id}/trial?trial=${trialId}`);
    await page.getByRole('heading', { name: /^Version 1 on/ }).waitFor();
    await collect(page, 'Trial', 1, seen, names);
    await page.close();
  }
  const counted = sources.filter(({ id: sourceId }) => here?.includes(sourceId) ?? !sourceId.startsWith('hand-'));
  for (const { id: sourceId } of counted) {
    const ledger = await api<{
      found: Trial['found'];
      rows: object | null;
      narrowing: { estimated: Figures['estimated'] }[];
    }>('POST', `/briefs/${id}/ledger`, { text, sourceId });
    note('API ledger', sourceId, ledger.found);
    seen.note(`estimated ${sourceId}`, 'API narrowing', ledger.narrowing.at(-1)!.estimated[reading].middle);
  }
  for (const panel of ['worth', 'narrowing', 'proposals']) {
    if (!counted.length) break;
    const page = await open(`/briefs/${id}/string?panel=${panel}`);
    if (panel === 'narrowing') await page.getByRole('table', { name: 'Count after each part' }).waitFor();
    if (panel === 'worth')
      for (const { id: sourceId } of counted)
        await page.locator(`th [data-figure=estimated][data-source="${sourceId}"]`).waitFor();
    if (panel === 'proposals')
      await Promise.race([
        page.getByRole('table', { name: 'Proposals, best first' }).waitFor(),
        page.getByText(/Your verdicts support no change|Run the string and judge/).waitFor()
      ]);
    await collect(page, panel, 1, seen, names);
    await page.close();
  }
  for (const screen of ['compare', 'report']) {
    const page = await open(`/briefs/${id}/${screen}`);
    await page.locator('[data-figure=judged]').waitFor();
    await collect(page, screen, 1, seen, names);
    const header = await page.getByRole('link', { name: /^Trial/ }).innerText();
    const judged = /(\d+) judged/.exec(header)?.[1];
    seen.note('judged', `header of ${screen}`, judged === undefined ? null : Number(judged));
    await page.close();
  }
  return seen.different();
}

export const judge = (id: string, sourceId: string, personId: string, verdict: string) =>
  api('PUT', `/briefs/${id}/verdicts`, { sourceId, personId, verdict, reason: '', revision: 0 });

export async function run(id: string, text: string, sourceIds: string[]) {
  await api('POST', `/briefs/${id}/versions`, { text });
  await api('PUT', `/briefs/${id}/draft`, { body: { text, from: 1 }, revision: 1 });
  const trials = [];
  for (const sourceId of sourceIds)
    trials.push(await api<Trial>('POST', `/briefs/${id}/trials`, { version: 1, sourceId, sampleSize: 30, wait: 60 }));
  return trials;
}
