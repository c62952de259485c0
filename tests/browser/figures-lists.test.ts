import { describe, expect, it } from 'vitest';
import { api, setChecked, useBrowser } from './browser';
import { collect, Seen } from './figures-walk';

const { open } = useBrowser();

interface Named {
  id: string;
}
interface Run {
  state: string;
  people: number | null;
}

describe('figures of harvests, shortlists and watches', () => {
  it('mean the same on every screen, in the API, in the exported file and in the merge preview', async () => {
    const { id } = await api<Named>('POST', '/briefs', { name: 'Lists' });
    await api('POST', `/briefs/${id}/versions`, { text: 'title:(quality OR QA)' });
    const faults = { slow: false, timeOuts: false, refusals: false, repeats: false, drift: false };
    await api('PUT', '/sources/marlow-register/faults', faults);
    const { id: harvest } = await api<Named>('POST', `/briefs/${id}/harvests`, {
      name: 'All',
      from: [{ sourceId: 'marlow-register', version: 1 }],
      budget: { requestsPerDay: null, records: null, spend: null }
    });
    const readHarvest = () => api<Run>('GET', `/briefs/${id}/harvests/${harvest}`);
    await expect.poll(readHarvest, { timeout: 60_000 }).toMatchObject({ state: 'done' });
    const { id: list } = await api<Named>('POST', `/briefs/${id}/shortlists`, { name: 'Everybody' });
    await api('POST', `/briefs/${id}/shortlists/${list}/people`, { from: { kind: 'harvest', harvest } });

    const seen = new Seen();
    const { people } = await readHarvest();
    seen.note('harvested', 'API harvest', people);
    const brief = await api<{ harvested: number; shortlisted: number }>('GET', `/briefs/${id}`);
    seen.note('harvested', 'API brief', brief.harvested);
    seen.note('shortlisted', 'API brief', brief.shortlisted);
    const listed = await api<{ people: number; counted: { leftOut: { value: string; people: number }[] } }>(
      'GET',
      `/briefs/${id}/shortlists/${list}`
    );
    seen.note('shortlisted', 'API list', listed.people);
    // Everybody whom the harvest collected was added to the list.
    seen.note('harvested', 'API list', listed.people);
    seen.note('to export', 'API list', listed.counted.leftOut.find(({ value }) => value === 'in')!.people);
    const kept = await api<{ of: number }>('GET', `/briefs/${id}/shortlists/${list}/people?leftOut=in`);
    seen.note('to export', 'API people', kept.of);

    const { id: watch } = await api<Named>('POST', `/briefs/${id}/watches`, {
      name: 'The same string',
      from: [{ sourceId: 'marlow-register', version: 1 }],
      rhythm: { rule: 'FREQ=WEEKLY', from: '2026-01-05', hour: 6, zone: 'Europe/Oslo' },
      budget: { requestsPerDay: null, records: null, spend: null }
    });
    const readWatch = async () =>
      (await api<(Named & { lastRun: Run | null })[]>('GET', '/watches')).find((one) => one.id === watch)!.lastRun;
    await expect.poll(readWatch, { timeout: 60_000 }).toMatchObject({ state: 'done' });
    seen.note('harvested', 'API watch', (await readWatch())!.people);

    for (const screen of ['harvest', 'shortlist']) {
      const page = await open(`/briefs/${id}/${screen}`);
      await page.locator('[data-figure=harvested]').waitFor();
      await collect(page, screen, 1, seen, new Map());
      for (const [step, figure] of [
        ['Harvest', 'harvested'],
        ['Shortlist', 'shortlisted']
      ] as const) {
        const received = await page.getByRole('link', { name: new RegExp(`^${step}`) }).innerText();
        seen.note(
          figure,
          `header of ${screen}`,
          Number(/([\d,]+) (people|listed)/.exec(received)![1]!.replaceAll(',', ''))
        );
      }
      await page.close();
    }
    const page = await open(`/briefs/${id}/shortlist?group=leftOut`);
    await page.locator('[data-figure="to export"]').waitFor();
    await collect(page, 'groups', 1, seen, new Map());
    await page.getByRole('button', { name: 'Export', exact: true }).click();
    const dialog = page.getByRole('dialog');
    await dialog.locator('[data-figure="to export"]').waitFor();
    await setChecked(dialog.getByRole('checkbox', { name: 'Include excluded people' }), false);
    await collect(page, 'export dialog', 1, seen, new Map());
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      dialog.getByRole('button', { name: /^Export [\d,]+$/ }).click()
    ]);
    const text = Buffer.concat((await (await file.createReadStream()).toArray()) as Buffer[]).toString('utf8');
    const rows = text.split('\r\n').filter(Boolean).length - 1;
    seen.note('to export', 'CSV', rows);

    // The file that was just exported has everybody, unchanged.
    await page.getByRole('button', { name: 'Export', exact: true }).click();
    // People who were exported count as contacted now, so the next export excludes them unless it is told otherwise.
    await setChecked(dialog.getByRole('checkbox', { name: 'Include excluded people' }), true);
    await dialog.getByRole('button', { name: 'Merge preview' }).click();
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      dialog.getByText('Choose a CSV from the receiving system').click()
    ]);
    await chooser.setFiles({ name: 'back.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
    const said = await dialog.getByText(/[\d,]+ new · [\d,]+ would change · [\d,]+ same · [\d,]+ conflict/).innerText();
    const [, fresh, change, same, conflict] = /([\d,]+) new · ([\d,]+) would change · ([\d,]+) same · ([\d,]+)/.exec(
      said
    )!;
    expect([change, conflict].map(Number)).toEqual([0, 0]);
    seen.note('to export', 'merge preview', Number(same));
    seen.note('shortlisted', 'merge preview', Number(fresh) + Number(same));
    await page.close();

    const { different, places } = seen.different();
    expect(different).toEqual([]);
    expect(places.harvested).toBeGreaterThanOrEqual(8);
    expect(places.shortlisted).toBeGreaterThanOrEqual(5);
    expect(places['to export']).toBeGreaterThanOrEqual(6);
  }, 180_000);
});
