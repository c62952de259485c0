<script lang="ts">
  import { reading } from '$lib/frame/certain-only';
  import { goto, invalidate } from '$app/navigation';
  import { page } from '$app/state';
  import { ApiProblem, call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import { saveFile } from '$lib/frame/save-file';
  import KeptNotice from '$lib/kept/KeptNotice.svelte';
  import { KeptDocument } from '$lib/kept/kept-document.svelte';
  import WordingTable from '$lib/wording/WordingTable.svelte';
  import { readWordingsCsv, writeWordingsCsv } from '$core/formats';
  import type { Estimate } from '$core/measure';
  import { readWordingList, wordSetsSchema, type WordSet, type Wording, wordingTable } from '$core/persona';
  import { meanings, languageNames, languages, type Language } from '$core/titles';
  import { quoted, tokenKeys } from '$core/query';
  import { contract } from '$server/api/contract';

  let { data } = $props();

  // svelte-ignore state_referenced_locally
  const sets = new KeptDocument<WordSet[]>(data.wording, wordSetsSchema, async (body) => {
    const kept = await call(contract.writeWording, { params: { id: data.brief.id }, body });
    await invalidate('eave:brief');
    return kept;
  });
  let refused: unknown = $state(null);
  let typed = $state('');
  let told = $state('');
  let spoken: readonly Language[] = $state.raw(languages);
  let houseRemembers = $state(false);

  const open = $derived(sets.value.find(({ id }) => id === page.url.searchParams.get('title')) ?? sets.value[0]);
  const rows = $derived(open ? wordingTable(open, { languages: spoken }) : []);

  let answers: Record<string, Map<string, Record<'certain' | 'possible', Estimate> | null>> = $state({});
  const counts = $derived(
    Object.fromEntries(
      Object.entries(answers).map(([id, told]) => [
        id,
        new Map([...told].map(([text, count]) => [text, count && count[reading()]]))
      ])
    )
  );
  $effect(() => {
    const texts = rows.map(({ text }) => text);
    for (const { id, readiness } of data.sources) {
      if ('reason' in readiness) continue;
      const known = answers[id];
      const missing = texts.filter((text) => !known?.has(text));
      if (missing.length) void count(id, missing);
    }
  });
  const asked = new Set<string>();
  async function count(sourceId: string, texts: string[]) {
    const fresh = texts.filter((text) => !asked.has(`${sourceId} ${text}`)).slice(0, 1000);
    if (!fresh.length) return;
    for (const text of fresh) asked.add(`${sourceId} ${text}`);
    const answer = await call(contract.count, {
      body: { sourceId, texts: fresh.map((text) => `title:${quoted(text)}`) }
    }).catch(() => null);
    if (!answer) return;
    const next = new Map(answers[sourceId]);
    fresh.forEach((text, i) => next.set(text, answer.counts[i] ?? null));
    answers[sourceId] = next;
  }

  let house: ReadonlyMap<string, boolean> = $state.raw(new Map());
  $effect(() => {
    const title = open?.name;
    if (title)
      call(contract.houseWordings, { query: { title } }).then(
        (known) => (house = new Map(known.map(({ wording, taken }) => [wording, taken]))),
        () => {}
      );
  });
  async function remember(wordings: string[], taken: boolean) {
    if (!houseRemembers || !open) return;
    const known = await call(contract.rememberWordings, { body: { title: open.name, wordings, taken } }).catch(
      (problem: unknown) => {
        refused = problem;
        return null;
      }
    );
    if (known) house = new Map(known.map((one) => [one.wording, one.taken]));
  }

  const nameOf = (text: string) => tokenKeys(text).join(' ');
  const change = (edit: (set: WordSet) => WordSet) => {
    const id = open?.id;
    sets.change(sets.value.map((set) => (set.id === id ? edit(set) : set)));
  };
  /** The origin of a wording that is taken out of the table. */
  function originOf(text: string): Wording['origin'] {
    const row = rows.find((one) => one.text === text);
    return row?.nearness === 'translated' ? 'translated' : row && row.nearness !== 'own' ? 'lexicon' : 'typed';
  }
  function put(set: WordSet, fresh: readonly Wording[]): WordSet {
    const names = new Set(fresh.map(({ text }) => nameOf(text)));
    const there = new Set(set.wordings.map(({ text }) => nameOf(text)));
    return {
      ...set,
      wordings: [
        ...set.wordings.map((one) =>
          names.has(nameOf(one.text))
            ? { ...one, inUse: fresh.find(({ text }) => nameOf(text) === nameOf(one.text))!.inUse }
            : one
        ),
        ...fresh.filter(({ text, inUse }) => inUse && !there.has(nameOf(text)))
      ],
      refused: set.refused.filter((text) => !names.has(nameOf(text)))
    };
  }
  function use(texts: string[], inUse: boolean) {
    change((set) =>
      put(
        set,
        texts.map((text) => ({ text, origin: originOf(text), inUse }))
      )
    );
    if (inUse) void remember(texts, true);
  }
  function refuse(texts: string[]) {
    const names = new Set(texts.map(nameOf));
    change((set) => ({
      ...set,
      wordings: set.wordings.filter(({ text }) => !names.has(nameOf(text))),
      refused: [...new Set([...set.refused, ...texts])]
    }));
    void remember(texts, false);
  }
  function remove(texts: string[]) {
    const names = new Set(texts.map(nameOf));
    change((set) => ({ ...set, wordings: set.wordings.filter(({ text }) => !names.has(nameOf(text))) }));
  }
  function add() {
    const list = readWordingList(typed);
    if (!list.length || !open) return;
    const there = new Set(open.wordings.map(({ text }) => nameOf(text)));
    const fresh = list.filter((text) => !there.has(nameOf(text)));
    change((set) =>
      put(
        set,
        fresh.map((text) => ({ text, origin: 'typed', inUse: true }))
      )
    );
    const known = list.length - fresh.length;
    told = `${fresh.length} added${known ? `, ${known} there already` : ''}.`;
    typed = '';
  }

  async function take(event: Event & { currentTarget: HTMLInputElement }) {
    const input = event.currentTarget;
    const file = input.files?.[0];
    if (!file) return;
    refused = null;
    try {
      const found = readWordingsCsv(await file.text());
      const byName = new Map([...found].map(([title, list]) => [title.toLowerCase(), list]));
      const known = sets.value.filter(({ name }) => byName.has(name.toLowerCase()));
      sets.change(sets.value.map((set) => put(set, byName.get(set.name.toLowerCase()) ?? [])));
      const strange = found.size - known.length;
      told = `${file.name}: wordings of ${known.length} title${known.length === 1 ? '' : 's'} taken${strange ? `; ${strange} title${strange === 1 ? ' is' : 's are'} not in the persona` : ''}.`;
    } catch (problem) {
      refused = new ApiProblem(0, 'Not imported', `${file.name}: ${(problem as Error).message} Nothing was changed.`);
    }
    input.value = '';
  }
  const inUse = (set: WordSet) => set.wordings.filter((one) => one.inUse).length;
  const ambiguous = $derived(
    [
      ...new Set(
        open?.wordings
          .filter((one) => one.inUse)
          .flatMap(({ text }) => (tokenKeys(text).length === 1 ? tokenKeys(text) : [])) ?? []
      )
    ]
      .map((word) => ({ word, senses: meanings(word) }))
      .filter(({ senses }) => senses.length)
  );
</script>

<div class="strip">
  <h1>Wording</h1>
  <p class="soft">
    Every way a wanted title is written, with what the lexicon proposes and how often each stands in a current title.
    Several words are quoted by themselves.
  </p>
  <KeptNotice document={sets} />
  <button class="quiet" onclick={() => saveFile(writeWordingsCsv(sets.value), 'wordings.csv', 'text/csv')}
    >Export CSV</button
  >
  <label class="file">Import CSV <input type="file" accept=".csv,.txt" onchange={take} /></label>
  <a class="next" href={briefPath(data.brief.id, 'string', { build: 1 })}>Write the string</a>
</div>
<Refused problem={refused} />

{#if !open}
  <div class="sheet empty">
    <h2>No titles yet</h2>
    <p>
      Word sets belong to the wanted titles. <a href={briefPath(data.brief.id, 'persona')}
        >Name the titles in the persona</a
      > first.
    </p>
  </div>
{:else}
  <div class="titles" role="group" aria-label="Titles wanted">
    {#each sets.value as set (set.id)}
      <button
        class="quiet"
        aria-pressed={set.id === open.id}
        onclick={() =>
          goto(briefPath(data.brief.id, 'wording', { title: set.id }), { keepFocus: true, noScroll: true })}
        >{set.name} <span class="soft">{inUse(set)} of {set.wordings.length} in use</span></button
      >
    {/each}
  </div>
  <section class="sheet" aria-label={open.name}>
    <form
      class="fields"
      onsubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <textarea
        rows="2"
        aria-label="New wordings for {open.name}"
        placeholder="Type or paste wordings: one a line, with commas, or cells of a spreadsheet"
        bind:value={typed}
        onkeydown={(event) => {
          if (event.key === 'Enter' && !event.shiftKey) {
            event.preventDefault();
            add();
          }
        }}></textarea>
      <button class="quiet" type="submit">Add</button>
      <span class="soft told" role="status">{told}</span>
      <details class="languages">
        <summary
          >Propose in {spoken.length === languages.length
            ? 'all languages'
            : spoken.map((one) => languageNames[one]).join(', ') || 'no language'}</summary
        >
        {#each languages as language (language)}
          <label
            ><input
              type="checkbox"
              checked={spoken.includes(language)}
              onchange={(event) =>
                (spoken = languages.filter((one) =>
                  one === language ? event.currentTarget.checked : spoken.includes(one)
                ))}
            />
            {languageNames[language]}</label
          >
        {/each}
      </details>
      <label><input type="checkbox" bind:checked={houseRemembers} /> remember for the house</label>
    </form>
    {#each ambiguous as { word, senses } (word)}
      <p class="warn">
        <b>{word.toUpperCase()}</b> has several meanings: {senses.map(({ name }) => name).join('; ')}. Ask for one of
        {senses[0]!.tells
          .slice(0, 4)
          .map((tell) => `“${tell}”`)
          .join(', ')} beside it, or exclude
        {senses[1]!.tells
          .slice(0, 3)
          .map((tell) => `“${tell}”`)
          .join(', ')}.
      </p>
    {/each}
    <WordingTable {rows} sources={data.sources} {counts} {house} onuse={use} onrefuse={refuse} onremove={remove} />
  </section>
  {#if data.found.length}
    <section class="sheet found" aria-label="Found in results">
      <h2>Found in results</h2>
      <p class="soft">Titles of people judged fit that no wording in use covers.</p>
      <ul>
        {#each data.found.slice(0, 20) as one (one.title)}
          {@const there = open.wordings.some(({ text }) => nameOf(text) === nameOf(one.title))}
          <li>
            <button
              class="quiet"
              disabled={there}
              aria-label={there ? `${one.title} is taken` : `Take ${one.title}`}
              onclick={() =>
                change((set) => put(set, [{ text: one.title.slice(0, 200), origin: 'found', inUse: true }]))}
              >{there ? 'taken' : '+'}</button
            >
            <span class="mono">{one.title}</span>
            <span class="soft" title={one.people.map(({ name, company }) => `${name}, ${company}`).join('\n')}
              >{one.people.length} fit{one.people.length === 1 ? '' : 's'}: {one.people
                .slice(0, 3)
                .map(({ name }) => name)
                .join(', ')}</span
            >
          </li>
        {/each}
      </ul>
    </section>
  {/if}
{/if}

<style>
  .next {
    font-size: 13px;
    background: var(--accent);
    color: var(--on-accent);
    padding: 5px 12px;
    text-decoration: none;
    white-space: nowrap;
  }
  .titles {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin-bottom: 10px;
  }
  .titles [aria-pressed='true'] {
    background: var(--accent-2);
    border-color: var(--accent);
  }
  section {
    padding: 12px 16px;
  }
  .found {
    margin-top: 12px;
  }
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    align-items: center;
    margin-bottom: 10px;
    font-size: 13px;
  }
  textarea {
    width: 420px;
    resize: vertical;
  }
  .told {
    min-width: 130px;
  }
  .languages {
    position: relative;
  }
  .languages label {
    display: block;
  }
  .languages[open] {
    background: var(--sheet-2);
    padding: 4px 8px;
  }
  .warn {
    background: var(--warm-2);
    padding: 6px 12px;
    margin-bottom: 8px;
    font-size: 13px;
  }
  ul {
    list-style: none;
    padding: 0;
    margin: 6px 0 0;
  }
  li {
    display: flex;
    gap: 10px;
    align-items: baseline;
    padding: 2px 0;
    font-size: 13px;
  }
  li .quiet {
    padding: 0 7px;
  }
  input[type='checkbox'] {
    accent-color: var(--accent);
  }
</style>
