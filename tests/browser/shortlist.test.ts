import pg from 'pg';
import { describe, expect, inject, it } from 'vitest';
import { api, expectAccessible, setChecked, useBrowser } from './browser';

const { open } = useBrowser();

interface Named {
  id: string;
}
/** A brief with one version run at a source, whose first people are judged fits. */
async function judgedBrief(name: string, fits: number) {
  const brief = await api<Named>('POST', '/briefs', { name });
  await api('POST', `/briefs/${brief.id}/versions`, { text: 'title:("quality manager" OR "head of quality" OR QA)' });
  const trial = await api<Named>('POST', `/briefs/${brief.id}/trials`, {
    version: 1,
    sourceId: 'quillbank',
    sampleSize: 40
  });
  let received: { state: string; sample: { person: { id: string; name: string } }[] };
  do {
    await new Promise((done) => setTimeout(done, 100));
    received = await api('GET', `/briefs/${brief.id}/trials/${trial.id}`);
  } while (received.state !== 'done');
  const verdicts = received.sample
    .slice(0, fits)
    .map(({ person }) => ({ sourceId: 'quillbank', personId: person.id, verdict: 'fit', revision: 0 }));
  if (verdicts.length) await api('PUT', `/briefs/${brief.id}/verdict-lists`, { verdicts });
  return { id: brief.id, trial: trial.id, people: received.sample.map(({ person }) => person) };
}

describe('a shortlist', () => {
  it('takes people from a trial by a key and all fits, is tagged, filtered and undone, and leaves as a CSV after a look at the merge', async () => {
    const { id, trial, people } = await judgedBrief('Kept', 12);
    const page = await open(`/briefs/${id}/trial?trial=${trial}`);
    await page.getByRole('article').waitFor();
    await page.keyboard.press('k');
    await page.getByText('1 added to the new shortlist.').waitFor();
    await page.getByRole('link', { name: /^Shortlist/ }).click();
    await page.getByRole('heading', { level: 1, name: 'Shortlist' }).waitFor();
    const table = page.getByRole('region', { name: 'People', exact: true });
    await table.getByRole('row').nth(1).waitFor();
    await page.getByRole('button', { name: 'Add all fits' }).click();
    await page.getByText(/\d+ added, \d+ already there/).waitFor();
    const count = async () => Number((await page.getByText(/^[\d,]+ people$/).innerText()).replace(/\D/g, ''));
    await expect.poll(count).toBeGreaterThan(8);
    const all = await count();
    await expectAccessible(page);

    // Two chosen by a range, tagged; then only they are shown; undone, nobody is.
    await setChecked(table.getByRole('checkbox').nth(1), true);
    await setChecked(table.getByRole('checkbox').nth(2), true);
    const bar = page.getByRole('toolbar', { name: 'Actions for selected people' });
    await bar.getByText('2 selected').waitFor();
    await bar.getByLabel('Add tag').fill('first wave');
    await page.keyboard.press('Enter');
    await table.getByText('first wave').first().waitFor();
    await page.getByLabel('By', { exact: true }).selectOption('tag');
    await page.getByRole('button', { name: /^first wave/ }).click();
    await expect.poll(count).toBe(2);
    expect(page.url()).toContain('tag=first+wave');
    await page.reload({ waitUntil: 'networkidle' });
    await expect.poll(count).toBe(2);
    await page.getByRole('button', { name: 'Remove filter tag first wave' }).click();
    await expect.poll(count).toBe(all);
    await page.getByRole('button', { name: /^Undo: 2 people tagged/ }).click();
    await expect.poll(() => table.getByText('first wave').count()).toBe(0);

    // The card: how somebody is written in a letter, and a next step.
    // Two people may bear one name.
    await table.getByRole('button', { name: people[0]!.name }).first().click();
    const card = page.getByRole('region', { name: 'Person' });
    await card.getByLabel('Greeting in a letter').fill('Dear one');
    await page.keyboard.press('Tab');
    await card.getByRole('button', { name: /^suggested:/ }).waitFor();
    await expectAccessible(page);
    await card.getByRole('button', { name: 'Close card' }).click();

    // Merge preview, and then the file.
    await page.getByRole('button', { name: 'Export', exact: true }).click();
    const dialog = page.getByRole('dialog');
    await dialog
      .getByText(/people/)
      .first()
      .waitFor();
    await dialog.getByText('Include excluded people').click();
    await dialog.getByRole('button', { name: 'Merge preview' }).click();
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      dialog.getByText('Choose a CSV from the receiving system').click()
    ]);
    await chooser.setFiles({
      name: 'crm.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        `Name,Company,Title,Owner\r\n${people[0]!.name},Nowhere,Old title,me\r\nSomebody Else,Elsewhere,x,me\r\n`
      )
    });
    await dialog.getByText(/\d+ new · \d+ would change · \d+ same · \d+ conflict/).waitFor();
    await expectAccessible(page);
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      dialog.getByRole('button', { name: /^Export \d+$/ }).click()
    ]);
    const text = await (
      await file.createReadStream()
    )
      .toArray()
      .then((parts) => Buffer.concat(parts as Buffer[]).toString('utf8'));
    expect(text.split('\r\n')[0]).toBe(
      'Name,Greeting,Title,Company,Country,Place,Mail,Mail state,Phone,Tags,Sources,Kept on,Kept because,Provenance'
    );
    expect(text.split('\r\n')).toHaveLength(all + 2);
    expect(text).toContain('Dear one');
    const list = (await api<Named[]>('GET', `/briefs/${id}/shortlists`))[0]!;
    await expect
      .poll(
        async () => (await api<{ road: { taken: number } }>('GET', `/briefs/${id}/shortlists/${list.id}`)).road.taken
      )
      .toBe(all);
  }, 90_000);

  it('checks addresses within its plan, and says more like these as a string that is kept as a version', async () => {
    const { id } = await judgedBrief('Checked', 25);
    const { id: list } = await api<Named>('POST', `/briefs/${id}/shortlists`, { name: 'To check' });
    await api('POST', `/briefs/${id}/shortlists/${list}/people`, { from: { kind: 'fits' } });
    await api('POST', `/briefs/${id}/shortlists/${list}/people`, {
      from: {
        kind: 'people',
        people: Array.from({ length: 9 }, (_, i) => ({
          id: String(i),
          name: `Ann${'abcdefghi'[i]} Check`,
          country: 'NL',
          jobs: [{ title: 'Quality Manager', company: `Checks ${i}` }],
          contact: [`ann${i}@checks${i}.example`]
        }))
      }
    });
    const page = await open(`/briefs/${id}/shortlist`);
    await page.getByRole('button', { name: 'Check addresses' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByText(/addresses to check, for/).waitFor();
    await expectAccessible(page);
    const { mail } = await api<{ mail: { plan: { today: number } } }>('GET', `/briefs/${id}/shortlists/${list}`);
    await dialog.getByLabel('Checks per day').fill(String(mail.plan.today + 4));
    await dialog.getByRole('button', { name: /^Check \d+$/ }).click();
    await dialog.getByText(/checks for today are used up; it resumes tomorrow/).waitFor({ timeout: 30_000 });
    await dialog.getByLabel('Checks per day').fill('5000');
    await dialog.getByRole('button', { name: 'Save limits' }).click();
    await dialog.getByText(/Check finished/).waitFor({ timeout: 30_000 });
    await dialog.getByRole('button', { name: 'Close', exact: true }).last().click();
    await setChecked(page.getByRole('checkbox', { name: 'Everyone matching the filter' }), true);
    await page.getByRole('button', { name: 'More like these' }).click();
    const like = page.getByRole('dialog').filter({ hasText: 'In common' });
    await like
      .getByText(/title:/)
      .first()
      .waitFor();
    await expectAccessible(page);
    await like.getByRole('button', { name: 'Save as version and test' }).click();
    await page.waitForURL(/\/string\?version=2/);
  }, 90_000);

  it('erases somebody who objected, and shows a hundred thousand people', async () => {
    const { id } = await judgedBrief('Many', 0);
    const { id: list } = await api<Named>('POST', `/briefs/${id}/shortlists`, { name: 'Many' });
    await api('POST', `/briefs/${id}/shortlists/${list}/people`, {
      from: {
        kind: 'people',
        people: [
          {
            id: 'o',
            name: 'Odette Objector',
            jobs: [{ title: 'QA', company: 'Gone' }],
            contact: ['odette@gone.example']
          }
        ]
      }
    });
    const client = new pg.Client({ connectionString: inject('databaseUrl') });
    await client.connect();
    await client.query(
      `INSERT INTO shortlist_people (shortlist_id, number, records, keys, name, title, company, country, mail, kept_from)
       SELECT $1, i, jsonb_build_array(jsonb_build_object('sourceId', 'list', 'seenAt', '2026-01-01T00:00:00Z', 'person', jsonb_build_object('id', 'p' || i, 'name', 'Person ' || i))),
         ARRAY['p' || i], 'Person ' || lpad(i::text, 6, '0'), 'Quality Manager ' || i % 97, 'Firm ' || i % 5000, 'NL', 'p' || i || '@x.example', 'file'
       FROM generate_series(1, 100000) i`,
      [list]
    );
    await client.query(`UPDATE shortlists SET next_number = 100001, exclusions_mark = '' WHERE id = $1`, [list]);
    await client.query('ANALYZE shortlist_people');
    const page = await open(`/briefs/${id}/shortlist`);
    await page.getByText('100,001 people', { exact: true }).waitFor({ timeout: 30_000 });
    const table = page.getByRole('region', { name: 'People', exact: true });
    await page.getByRole('button', { name: 'Name', exact: true }).click();
    await table.getByRole('button', { name: 'Odette Objector' }).waitFor();
    await table.evaluate((box) => (box.scrollTop = box.scrollHeight / 2));
    await table
      .getByRole('button', { name: /Person 0(49|50)/ })
      .first()
      .waitFor();
    expect(await table.getByRole('row').count()).toBeLessThan(80);

    await page.getByRole('searchbox', { name: 'Search all fields' }).fill('objector');
    await page.getByText('1 people', { exact: true }).waitFor();
    await table.getByRole('button', { name: 'Odette Objector' }).click();
    const card = page.getByRole('region', { name: 'Person' });
    await card.getByRole('button', { name: /^Exclude, remove or erase/ }).click();
    await card.getByRole('button', { name: 'Erase on objection…' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Erase' }).click();
    await page.getByText('0 people', { exact: true }).waitFor({ timeout: 30_000 });
    const left = await client.query(`SELECT 1 FROM shortlist_people WHERE records::text LIKE '%Objector%'`);
    expect(left.rowCount).toBe(0);
    await client.query('DELETE FROM shortlists WHERE id = $1', [list]);
    await client.end();
  }, 120_000);
});
