<script lang="ts">
  import { libraryPage as say } from '$lib/library/words';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import { reload } from '$lib/kept/reload';
  import FileUploadButton from '$lib/ui/FileUploadButton.svelte';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import { saveFile } from '$lib/frame/save-file';
  import WordSetForm from '$lib/library/WordSetForm.svelte';
  import { count } from '$lib/marks/format';
  import type { NamedSet } from '$core/language';

  let { data } = $props();
  let refused: unknown = $state(null);
  let notice = $state('');
  let filter = $state('');
  const shown = $derived(
    data.wordSets.filter(({ name, note, wordings }) =>
      [name, note, ...wordings].some((text) => text.toLowerCase().includes(filter.trim().toLowerCase()))
    )
  );
  const openName = $derived(page.url.searchParams.get('set'));
  const opened = $derived(data.wordSets.find(({ name }) => name === openName) ?? null);
  const open = (name: string | null) =>
    goto(name === null ? '/library' : `/library?set=${encodeURIComponent(name)}`, { keepFocus: true, noScroll: true });

  async function attempt(work: () => Promise<string>) {
    refused = null;
    notice = '';
    try {
      notice = await work();
      await reload('eave:word-sets');
      return true;
    } catch (problem) {
      refused = problem;
      return false;
    }
  }

  const create = (set: NamedSet) =>
    attempt(async () => {
      await call('createWordSet', { body: set });
      return say.addedToLibrary(set.name);
    });
  const change = (set: NamedSet, revision: number, seen: string[]) =>
    attempt(async () => {
      const { name, ...rest } = set;
      await call('writeWordSet', { params: { name }, body: { ...rest, revision, seen } });
      return say.saved(name, seen.length);
    });
  const remove = (name: string) =>
    attempt(async () => {
      await call('deleteWordSet', { params: { name } });
      await open(null);
      return say.deleted(name);
    });

  async function save(format: 'json' | 'csv') {
    await attempt(async () => {
      const { text } = await call('exportWordSets', { query: { format } });
      saveFile(text, `word-sets.${format}`, format === 'json' ? 'application/json' : 'text/csv');
      return '';
    });
  }
  async function take(file: File) {
    await attempt(async () => {
      const { added, extended, unchanged, wordings } = await call('importWordSets', {
        body: { text: await file.text() }
      });
      return say.addedExtendedUnchanged(file.name, added, extended, unchanged, wordings);
    });
  }
</script>

<div class="strip">
  <h1>{say.library}</h1>
  <p class="soft">
    {say.useWordSetInAnyString}
    <code>{say.titleQualityHeadsNotNeverInterns}</code>{say.changingSetChangesEveryStringThat}
  </p>
  <a href="/library/lexicon">{say.yourLexicon}</a>
  <a href="/library/places">{say.regionsAndConsent}</a>
  <Button onclick={() => save('json')}>{say.exportJson}</Button>
  <Button onclick={() => save('csv')}>{say.exportCsv}</Button>
  <FileUploadButton label={say.importText} accept={['.json', '.csv', '.txt']} onfile={take} />
  <Button kind="primary" onclick={() => open('')}>{say.newWordSet}</Button>
</div>
<Refused problem={refused} />
{#if notice}<p class="notice" role="status">{notice}</p>{/if}

<div class="grid">
  <div>
    <TextInput
      class="filter"
      type="search"
      placeholder={say.findSetOrWording}
      aria-label={say.findSetOrWording}
      bind:value={filter}
    />
    <div class="tabled">
      <Table aria-label={say.wordSets}>
        <TableHead
          ><TableRow
            ><TableHeader>{say.set}</TableHeader><TableHeader>{say.wordings}</TableHeader><TableHeader
              >{say.usedIn}</TableHeader
            ></TableRow
          ></TableHead
        >
        <TableBody>
          {#each shown as set (set.name)}
            <TableRow aria-current={set.name === openName ? 'true' : undefined}>
              <TableCell>
                <Button kind="ghost" onclick={() => open(set.name)} class="name mono">@{set.name}</Button>
                <div class="soft">
                  {set.kind === 'unwanted' ? say.excludePeople : 'wanted'}{set.note ? ` · ${set.note}` : ''}
                </div>
              </TableCell>
              <TableCell>
                {count(set.wordings.length)}
                <div class="soft few">{set.wordings.slice(0, 5).join(', ')}{set.wordings.length > 5 ? ' …' : ''}</div>
              </TableCell>
              <TableCell>
                {#each set.usedIn as brief (brief.id)}<a href={briefPath(brief.id, 'string')}>{brief.name}</a><br
                  />{:else}<span class="soft">{say.noString}</span>{/each}
              </TableCell>
            </TableRow>
          {:else}
            <TableRow
              ><TableCell class="soft" colspan={3}>{filter ? say.noMatches : say.noWordSetsYetCreateOne}</TableCell
              ></TableRow
            >
          {/each}
        </TableBody>
      </Table>
    </div>
  </div>
  {#if openName !== null}
    {#key `${openName} ${opened?.revision}`}
      <WordSetForm set={opened} oncreate={create} onchange={change} onremove={remove} onopen={open} />
    {/key}
  {/if}
</div>

<style>
  .grid {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 14px;
    align-items: start;
  }
  .grid > :only-child {
    grid-column: 1 / -1;
  }
  div :global(.filter) {
    font: inherit;
    color: var(--ink);
    background: var(--sheet);
    border: 1px solid var(--line);
    padding: 5px 10px;
    width: 320px;
    margin-bottom: 10px;
  }
  .notice {
    margin-bottom: 10px;
  }
  div :global(.name) {
    font-weight: 600;
    color: var(--accent);
  }
  .tabled :global(tr[aria-current]) {
    background: var(--accent-2);
  }
  .tabled :global(td) {
    font-size: 13px;
  }
  .few {
    overflow-wrap: anywhere;
  }
</style>
