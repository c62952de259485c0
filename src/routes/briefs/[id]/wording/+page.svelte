<script lang="ts">
  import { wordingPage as say } from '$lib/wording/words';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import Refused from '$lib/frame/Refused.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import { saveFile } from '$lib/frame/save-file';
  import KeptNotice from '$lib/kept/KeptNotice.svelte';
  import Act from '$lib/ui/Act.svelte';
  import FileButton from '$lib/ui/FileButton.svelte';
  import Hint from '$lib/ui/Hint.svelte';
  import PopOut from '$lib/ui/PopOut.svelte';
  import TextBox from '$lib/ui/TextBox.svelte';
  import Tick from '$lib/ui/Tick.svelte';
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
    {say.everyWayAWantedTitleIs}
  </p>
  <KeptNotice document={sets} />
  <Act onclick={async () => saveFile(await wording.written(), 'wordings.csv', 'text/csv')}>{say.exportCsv}</Act>
  <FileButton label={say.importCsv} accept={['.csv', '.txt']} onfile={wording.take} />
  <a class="next" href={briefPath(data.brief.id, 'string', { build: 1 })}>{say.writeTheString}</a>
</div>
<Refused problem={wording.refused} />

{#if !open}
  <div class="sheet empty">
    <h2>{say.noTitlesYet}</h2>
    <p>
      {say.wordSetsBelongToTheWanted} <a href={briefPath(data.brief.id, 'persona')}>{say.nameTheTitlesInThePersona}</a>
      {say.first}
    </p>
  </div>
{:else}
  <div class="titles" role="group" aria-label={say.titlesWanted}>
    {#each sets.value as set (set.id)}
      <Act
        aria-pressed={set.id === open.id}
        onclick={() =>
          goto(briefPath(data.brief.id, 'wording', { title: set.id }), { keepFocus: true, noScroll: true })}
        >{set.name} <span class="soft">{say.ofInUse(inUse(set), set.wordings.length)}</span></Act
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
      <TextBox
        rows="2"
        aria-label={say.newWordingsFor(open.name)}
        placeholder={say.typeOrPasteWordingsOneA}
        bind:value={wording.typed}
        onkeydown={(event) => {
          if (event.key === 'Enter' && !event.shiftKey) {
            event.preventDefault();
            wording.add();
          }
        }}
      />
      <Act type="submit">{say.add}</Act>
      <span class="soft" role="status">{wording.told}</span>
      <div class="languages">
        <PopOut
          title={say.proposeIn(
            wording.spoken.length === languages.length
              ? 'all languages'
              : wording.spoken.map((one) => languageNames[one]).join(', ') || 'no language'
          )}
        >
          {#each languages as language (language)}
            <Tick
              label={languageNames[language]}
              checked={wording.spoken.includes(language)}
              ontick={(on) =>
                (wording.spoken = languages.filter((one) => (one === language ? on : wording.spoken.includes(one))))}
            />
          {/each}
        </PopOut>
      </div>
      <Tick label={say.rememberForAllBriefs} bind:checked={wording.houseRemembers} />
    </form>
    {#each wording.ambiguous as { word, senses } (word)}
      <p class="warn">
        <b>{word.toUpperCase()}</b>
        {say.hasSeveralMeaningsAskForOne(senses.map(({ name }) => name).join('; '))}
        {senses[0]!.tells
          .slice(0, 4)
          .map((tell) => `“${tell}”`)
          .join(', ')}
        {say.besideItOrExclude}
        {senses[1]!.tells
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
      <p class="soft">{say.titlesOfPeopleJudgedFitThat}</p>
      <ul>
        {#each data.found.slice(0, 20) as one (one.title)}
          {@const there = open.wordings.some(({ text }) => wordingName(text) === wordingName(one.title))}
          <li>
            <Act
              disabled={there}
              aria-label={there ? say.isTaken(one.title) : say.take(one.title)}
              onclick={() => wording.takeFound(one.title)}>{there ? 'added' : '+'}</Act
            >
            <span class="mono">{one.title}</span>
            <Hint class="soft" says={one.people.map(({ name, company }) => `${name}, ${company}`).join('; ')}
              >{say.fit(
                one.people.length,
                one.people.length === 1 ? '' : 's',
                one.people
                  .slice(0, 3)
                  .map(({ name }) => name)
                  .join(', ')
              )}</Hint
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
  li :global(.act) {
    padding: 0 7px;
  }
</style>
