<script lang="ts">
  import Breadcrumb from 'carbon-components-svelte/src/Breadcrumb/Breadcrumb.svelte';
  import BreadcrumbItem from 'carbon-components-svelte/src/Breadcrumb/BreadcrumbItem.svelte';
  import ComboBox from 'carbon-components-svelte/src/ComboBox/ComboBox.svelte';
  import Refused from '$lib/frame/Refused.svelte';
  import { saveFile } from '$lib/frame/save-file';
  import KeptNotice from '$lib/kept/KeptNotice.svelte';
  import { LexiconPage } from '$lib/library/lexicon-page.svelte';
  import { count, percent } from '$lib/marks/format';
  import Act from '$lib/ui/Act.svelte';
  import Field from '$lib/ui/Field.svelte';
  import FileButton from '$lib/ui/FileButton.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import TextBox from '$lib/ui/TextBox.svelte';
  import { functions, languageNames, languages, ranks, type Language } from '$core/titles';

  let { data } = $props();
  // svelte-ignore state_referenced_locally
  const lexicon = new LexiconPage(data.lexicon);

  const senseExample = 'male bee: hive, queen\naircraft: rotor, pilot';
  let language: Language = $state('en');
  let title = $state('');
  let rank = $state('head');
  let job: string | undefined = $state();
  let jobTyped = $state('');
  let name = $state('');
  let named = $state('');
  let word = $state('');
  let senses = $state('');
  const own = $derived(lexicon.document.value);
  const all = $derived(
    [...new Set([...functions().map(({ id }) => id), ...own.functions.map(({ id }) => id)])]
      .sort()
      .map((id) => ({ id, text: id }))
  );
  const few = (texts: readonly string[]) => texts.slice(0, 6).join(', ') + (texts.length > 6 ? ' …' : '');

  function addTitle(event: SubmitEvent) {
    event.preventDefault();
    if (job && lexicon.addTitle({ rank, function: job }, language, title)) title = '';
  }
  function addName(event: SubmitEvent) {
    event.preventDefault();
    if (lexicon.addName(named.trim(), language, name)) name = '';
  }
  function addMeaning(event: SubmitEvent) {
    event.preventDefault();
    if (lexicon.addMeaning(word, senses)) word = senses = '';
  }
</script>

{#snippet inLanguage()}
  <Pick label="Language" value={language} onpick={(picked) => (language = picked as Language)}>
    {#each languages as one (one)}<option value={one}>{languageNames[one]}</option>{/each}
  </Pick>
{/snippet}

<Breadcrumb noTrailingSlash>
  <BreadcrumbItem href="/library">Library</BreadcrumbItem>
  <BreadcrumbItem isCurrentPage>Your lexicon</BreadcrumbItem>
</Breadcrumb>
<div class="strip">
  <h1>Your lexicon</h1>
  <p class="soft">
    Titles, fields of work and meanings of your trade, beside those that Eave brings. They hold in all briefs: titles
    are read by them, and wordings proposed.
  </p>
  <KeptNotice document={lexicon.document} />
  <Act
    disabled={!lexicon.texts.length && !own.meanings.length}
    onclick={() => saveFile(lexicon.json, 'lexicon.json', 'application/json')}>Export JSON</Act
  >
  <FileButton label="Import JSON" accept={['.json']} onfile={lexicon.take} />
</div>
<Refused problem={lexicon.refused} />

<div class="columns">
  <div class="stack">
    <form class="sheet" aria-label="Add a title" onsubmit={addTitle}>
      <h2>A title</h2>
      <p class="soft">What a job is called that follows no pattern: “Hive Steward”, a head of beekeeping.</p>
      <Field label="Title" maxlength="200" bind:value={title} />
      <div class="line">
        {@render inLanguage()}
        <Pick label="Rank" bind:value={rank}>
          {#each ranks as { id } (id)}<option value={id}>{id}</option>{/each}
        </Pick>
      </div>
      <ComboBox
        size="sm"
        labelText="Function"
        placeholder="field of work"
        items={all}
        bind:selectedId={job}
        bind:value={jobTyped}
        shouldFilterItem={(item: { text: string }, typed: string) => item.text.includes(typed.toLowerCase())}
      />
      <Act type="submit" disabled={!title.trim() || !job}>Add the title</Act>
    </form>
    <form class="sheet" aria-label="Add a function" onsubmit={addName}>
      <h2>A function, or one more name of one</h2>
      <p class="soft">With it come all titles of the kind: head of …, … manager.</p>
      <Field label="Function" placeholder="beekeeping" maxlength="100" bind:value={named} />
      <div class="line">
        {@render inLanguage()}
        <Field label="Its name there" placeholder="Imkerei" maxlength="200" bind:value={name} />
      </div>
      <Act type="submit" disabled={!named.trim() || !name.trim()}>Add the name</Act>
    </form>
    <form class="sheet" aria-label="Add meanings" onsubmit={addMeaning}>
      <h2>A word with several meanings</h2>
      <Field label="Word" placeholder="drone" maxlength="30" bind:value={word} />
      <TextBox
        label="Its meanings, a line each, with the words that tell it"
        rows="3"
        placeholder={senseExample}
        bind:value={senses}
      />
      <Act type="submit" disabled={!word.trim() || !senses.trim()}>Add the meanings</Act>
    </form>
  </div>
  <div class="stack">
    <section class="sheet" aria-label="Try a title">
      <h2>Try a title</h2>
      <Field label="Any title" bind:value={lexicon.tried} />
      <p role="status">
        {#if lexicon.reading}
          {#if lexicon.reading.rank || lexicon.reading.function}
            read as <b>{lexicon.reading.rank ?? 'no rank'}</b> of <b>{lexicon.reading.function ?? 'nothing known'}</b>,
            <span class="soft">sure to {percent(lexicon.reading.confidence)}</span>
          {:else}nothing in it is known{/if}
        {/if}
      </p>
    </section>
    <section class="sheet" aria-label="What you added">
      <h2>What you added</h2>
      {#if lexicon.texts.length}
        <Table aria-label="Titles and names that you added">
          <TableHead
            ><TableRow
              ><TableHeader>Text</TableHeader><TableHeader>Language</TableHeader><TableHeader>Means</TableHeader
              ><TableHeader></TableHeader></TableRow
            ></TableHead
          >
          <TableBody>
            {#each lexicon.texts as one (`${one.kind} ${one.rank} ${one.function} ${one.language} ${one.text}`)}
              <TableRow>
                <TableCell>{one.text}</TableCell>
                <TableCell>{languageNames[one.language]}</TableCell>
                <TableCell
                  >{one.kind === 'title' ? `${one.rank}, ${one.function}` : `a name of ${one.function}`}</TableCell
                >
                <TableCell
                  ><Act look="plain" aria-label="Take {one.text} out" onclick={() => lexicon.remove(one)}>✕</Act
                  ></TableCell
                >
              </TableRow>
            {/each}
          </TableBody>
        </Table>
      {/if}
      {#each own.meanings as { word: of, senses: several } (of)}
        <p>
          <b>{of}</b>: {several.map(({ name: means, tells }) => `${means} (${few(tells)})`).join('; ')}
          <Act look="plain" aria-label="Take the meanings of {of} out" onclick={() => lexicon.removeMeaning(of)}>✕</Act>
        </p>
      {/each}
      {#if !lexicon.texts.length && !own.meanings.length}
        <p class="soft">
          Nothing yet. Eave brings {count(functions().length)} functions in {languages.length} languages; what your trade
          says otherwise is added here, or taken from a file.
        </p>
      {/if}
    </section>
  </div>
</div>

<style>
  .columns {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
    gap: 14px;
    align-items: start;
  }
  .stack {
    display: grid;
    gap: 14px;
  }
  .sheet {
    padding: 12px 16px;
    display: grid;
    gap: 8px;
    justify-items: start;
    font-size: 13px;
  }
  .sheet > :global(*) {
    max-width: 100%;
  }
  h2 {
    font-size: 15px;
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 14px;
    align-items: end;
  }
</style>
