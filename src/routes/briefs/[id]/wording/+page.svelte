<script lang="ts">
  import { invalidate } from '$app/navigation';
  import { call } from '$lib/api/call';
  import { brief as briefPath } from '$lib/frame/paths';
  import KeptNotice from '$lib/kept/KeptNotice.svelte';
  import { KeptDocument } from '$lib/kept/kept-document.svelte';
  import { readWordingList, wordSetsSchema, type WordSet } from '$core/persona/word-set';
  import { quoted } from '$core/query/print';
  import { tokenKeys } from '$core/query/tokens';
  import { contract } from '$server/api/contract';

  let { data } = $props();

  // svelte-ignore state_referenced_locally
  const sets = new KeptDocument<WordSet[]>(data.wording, wordSetsSchema, async (body) => {
    const kept = await call(contract.writeWording, { params: { id: data.brief.id }, body });
    await invalidate('eave:brief');
    return kept;
  });

  // A set may be named like something every object has.
  const key = (set: WordSet) => `set ${set.id}`;
  let typed: Record<string, string> = $state({});
  let told: Record<string, string> = $state({});

  const changeSet = (id: string, change: (set: WordSet) => WordSet) =>
    sets.change(sets.value.map((set) => (set.id === id ? change(set) : set)));

  function add(set: WordSet) {
    const wordings = readWordingList(typed[key(set)] ?? '');
    if (!wordings.length) return;
    const there = new Set(set.wordings.map(({ text }) => text.toLowerCase()));
    const fresh = wordings.filter((text) => !there.has(text.toLowerCase()));
    if (fresh.length)
      changeSet(set.id, (old) => ({
        ...old,
        wordings: [...old.wordings, ...fresh.map((text) => ({ text, origin: 'typed' as const, inUse: true }))]
      }));
    const known = wordings.length - fresh.length;
    told[key(set)] = `${fresh.length} added${known ? `, ${known} there already` : ''}.`;
    typed[key(set)] = '';
  }

  const use = (set: WordSet, text: string, inUse: boolean) =>
    changeSet(set.id, (old) => ({
      ...old,
      wordings: old.wordings.map((one) => (one.text === text ? { ...one, inUse } : one))
    }));
  const remove = (set: WordSet, text: string) =>
    changeSet(set.id, (old) => ({ ...old, wordings: old.wordings.filter((one) => one.text !== text) }));

  const written = (text: string) => (tokenKeys(text).length > 1 ? quoted(text) : text);
  const group = (set: WordSet) =>
    `(${set.wordings
      .filter((one) => one.inUse)
      .map((one) => written(one.text))
      .join(' OR ')})`;

  let copied = $state('');
  async function copy(set: WordSet) {
    await navigator.clipboard.writeText(group(set));
    copied = set.id;
  }
</script>

<div class="strip">
  <h1>Wording</h1>
  <p class="soft">
    Every way a wanted title is written. Several words are quoted by themselves; a wording set aside stays here and out
    of the string.
  </p>
  <KeptNotice document={sets} />
  <a class="next" href={briefPath(data.brief.id, 'string', { build: 1 })}>Write the string</a>
</div>

{#if sets.value.length === 0}
  <div class="sheet empty">
    <h2>No titles yet</h2>
    <p>
      Word sets belong to the wanted titles. <a href={briefPath(data.brief.id, 'persona')}
        >Name the titles in the persona</a
      > first.
    </p>
  </div>
{/if}

<div class="sets">
  {#each sets.value as set (set.id)}
    <section class="sheet" aria-label={set.name}>
      <header>
        <h2>{set.name}</h2>
        <span class="soft">{set.wordings.filter((one) => one.inUse).length} of {set.wordings.length} in use</span>
        <button class="quiet" onclick={() => copy(set)}>{copied === set.id ? 'Copied' : 'Copy as a group'}</button>
      </header>
      <ul>
        {#each set.wordings as one (one.text)}
          <li class:aside={!one.inUse}>
            <label>
              <input
                type="checkbox"
                checked={one.inUse}
                onchange={(event) => use(set, one.text, event.currentTarget.checked)}
              />
              <span class="mono">{written(one.text)}</span>
            </label>
            <span class="origin">{one.inUse ? one.origin : 'set aside'}</span>
            <button class="plain" aria-label="Delete {one.text}" onclick={() => remove(set, one.text)}>✕</button>
          </li>
        {/each}
      </ul>
      <form
        onsubmit={(event) => {
          event.preventDefault();
          add(set);
        }}
      >
        <textarea
          rows="2"
          aria-label="New wordings for {set.name}"
          placeholder="Type or paste wordings: one a line, or with commas"
          bind:value={typed[key(set)]}
          onkeydown={(event) => {
            if (event.key === 'Enter' && !event.shiftKey) {
              event.preventDefault();
              add(set);
            }
          }}></textarea>
        <button class="quiet" type="submit">Add</button>
      </form>
      <p class="soft told" role="status">{told[key(set)] ?? ''}</p>
    </section>
  {/each}
</div>

<style>
  .next {
    font-size: 13px;
    background: var(--accent);
    color: var(--on-accent);
    padding: 5px 12px;
    text-decoration: none;
  }
  .sets {
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    gap: 14px;
    align-items: start;
  }
  section {
    padding: 12px 16px;
  }
  header {
    display: flex;
    align-items: baseline;
    gap: 10px;
    margin-bottom: 6px;
  }
  header span {
    flex: 1;
    font-size: 12.5px;
  }
  ul {
    list-style: none;
    padding: 0;
  }
  li {
    display: flex;
    align-items: center;
    gap: 10px;
    border-top: 1px solid var(--rule);
    padding: 4px 0;
  }
  li label {
    flex: 1;
    display: flex;
    gap: 8px;
    align-items: center;
  }
  li.aside .mono {
    color: var(--grey);
    text-decoration: line-through;
  }
  input[type='checkbox'] {
    accent-color: var(--accent);
  }
  .origin {
    font-size: 11.5px;
    color: var(--soft);
  }
  form {
    display: flex;
    gap: 8px;
    margin-top: 8px;
    align-items: end;
  }
  textarea {
    flex: 1;
    font: inherit;
    color: inherit;
    background: var(--sheet-2);
    border: 1px solid var(--line);
    padding: 5px 8px;
    resize: vertical;
  }
  .told {
    font-size: 12.5px;
    min-height: 18px;
  }
</style>
