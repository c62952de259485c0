<script lang="ts">
  import { wordingPage as say } from '$lib/wording/words';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import Refused from '$lib/frame/Refused.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import { saveFile } from '$lib/frame/save-file';
  import KeptNotice from '$lib/kept/KeptNotice.svelte';
  import Button from '$lib/ui/Button.svelte';
  import FileUploadButton from '$lib/ui/FileUploadButton.svelte';
  import Tooltip from '$lib/ui/Tooltip.svelte';
  import Popover from '$lib/ui/Popover.svelte';
  import TextArea from '$lib/ui/TextArea.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
  import WordingTable from '$lib/wording/WordingTable.svelte';
  import { wordingName } from '$lib/wording/word-set-edits';
  import { WordingPage } from '$lib/wording/wording-page.svelte';
  import type { WordSet } from '$core/persona';
  import { languageNames, languages } from '$core/titles';

  let { data } = $props();

  const wording = new WordingPage(
    () => data,
    () => page.url.searchParams.get('title')
  );
  const { sets } = wording;
  const open = $derived(wording.open);
  $effect(() => wording.countRows());
  $effect(() => wording.askHouse());
  const inUse = (set: WordSet) => set.wordings.filter((one) => one.inUse).length;
</script>

<div class="strip">
  <h1>{say.wording}</h1>
  <p class="soft">
    {say.allWaysToWriteEachTitle}
  </p>
  <KeptNotice document={sets} />
  <Button onclick={async () => saveFile(await wording.written(), 'wordings.csv', 'text/csv')}>{say.exportCsv}</Button>
  <FileUploadButton label={say.importCsv} accept={['.csv', '.txt']} onfile={wording.take} />
  <a class="next" href={briefPath(data.brief.id, 'string', { build: 1 })}>{say.buildString}</a>
</div>
<Refused problem={wording.refused} />

{#if !open}
  <div class="sheet empty">
    <h2>{say.noTitlesYet}</h2>
    <p>
      {say.wordSetsBelongToJobTitles} <a href={briefPath(data.brief.id, 'persona')}>{say.addTitlesToPersona}</a>
      {say.first}
    </p>
  </div>
{:else}
  <div class="titles" role="group" aria-label={say.jobTitles}>
    {#each sets.value as set (set.id)}
      <Button
        aria-pressed={set.id === open.id}
        onclick={() =>
          goto(briefPath(data.brief.id, 'wording', { title: set.id }), { keepFocus: true, noScroll: true })}
        >{set.name} <span class="soft">{say.inUse(inUse(set), set.wordings.length)}</span></Button
      >
    {/each}
  </div>
  <section class="sheet" aria-label={open.name}>
    <form
      onsubmit={(event) => {
        event.preventDefault();
        wording.add();
      }}
    >
      <TextArea
        rows="2"
        aria-label={say.newWordingsFor(open.name)}
        placeholder={say.typeOrPasteWordingsOnePer}
        bind:value={wording.typed}
        onkeydown={(event) => {
          if (event.key === 'Enter' && !event.shiftKey) {
            event.preventDefault();
            wording.add();
          }
        }}
      />
      <Button type="submit">{say.add}</Button>
      <span class="soft" role="status">{wording.status}</span>
      <div class="languages">
        <Popover
          title={say.suggestIn(
            wording.spoken.length === languages.length
              ? 'all languages'
              : wording.spoken.map((one) => languageNames[one]).join(', ') || 'no language'
          )}
        >
          {#each languages as language (language)}
            <Checkbox
              label={languageNames[language]}
              checked={wording.spoken.includes(language)}
              onchange={(on) =>
                (wording.spoken = languages.filter((one) => (one === language ? on : wording.spoken.includes(one))))}
            />
          {/each}
        </Popover>
      </div>
      <Checkbox label={say.rememberForAllBriefs} bind:checked={wording.houseRemembers} />
    </form>
    {#each wording.ambiguous as { word, senses } (word)}
      <p class="warn">
        <b>{word.toUpperCase()}</b>
        {say.hasSeveralMeaningsRequireOne(senses.map(({ name }) => name).join('; '))}
        {senses[0]!.indicators
          .slice(0, 4)
          .map((tell) => `“${tell}”`)
          .join(', ')}
        {say.withItOrExclude}
        {senses[1]!.indicators
          .slice(0, 3)
          .map((tell) => `“${tell}”`)
          .join(', ')}.
      </p>
    {/each}
    <WordingTable
      rows={wording.rows}
      sources={data.sources}
      counts={wording.counts}
      house={wording.house}
      onuse={wording.use}
      onrefuse={wording.refuse}
      onremove={wording.remove}
    />
  </section>
  {#if data.found.length}
    <section class="sheet found" aria-label={say.foundInResults}>
      <h2>{say.foundInResults}</h2>
      <p class="soft">{say.titlesFitsThatNoWordingCovers}</p>
      <ul>
        {#each data.found.slice(0, 20) as one (one.title)}
          {@const there = open.wordings.some(({ text }) => wordingName(text) === wordingName(one.title))}
          <li>
            <Button
              disabled={there}
              aria-label={there ? say.added(one.title) : say.add2(one.title)}
              onclick={() => wording.takeFound(one.title)}>{there ? 'added' : '+'}</Button
            >
            <span class="mono">{one.title}</span>
            <Tooltip class="soft" text={one.people.map(({ name, company }) => `${name}, ${company}`).join('; ')}
              >{say.titleOfFits(
                one.people.length,
                one.people
                  .slice(0, 3)
                  .map(({ name }) => name)
                  .join(', ')
              )}</Tooltip
            >
          </li>
        {/each}
      </ul>
    </section>
  {/if}
{/if}

<style>
  .titles {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin-bottom: 10px;
  }
  .titles :global([aria-pressed='true']) {
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
  form > :global(.bx--form-item:first-child) {
    flex: 1;
    min-width: 400px;
  }
  .languages :global(label) {
    display: block;
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
  li :global(.button) {
    padding: 0 7px;
  }
</style>
