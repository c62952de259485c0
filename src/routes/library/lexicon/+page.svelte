<script lang="ts">
  import { libraryLexiconPage as say } from '$lib/library/words';
  import Breadcrumb from 'carbon-components-svelte/src/Breadcrumb/Breadcrumb.svelte';
  import BreadcrumbItem from 'carbon-components-svelte/src/Breadcrumb/BreadcrumbItem.svelte';
  import ComboBox from 'carbon-components-svelte/src/ComboBox/ComboBox.svelte';
  import Refused from '$lib/frame/Refused.svelte';
  import { saveFile } from '$lib/frame/save-file';
  import KeptNotice from '$lib/kept/KeptNotice.svelte';
  import { LexiconPage } from '$lib/library/lexicon-page.svelte';
  import { count, percent } from '$lib/marks/format';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import FileUploadButton from '$lib/ui/FileUploadButton.svelte';
  import Select from '$lib/ui/Select.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import TextArea from '$lib/ui/TextArea.svelte';
  import { functions, languageNames, languages, ranks, type Language } from '$core/titles';

  let { data } = $props();
  // svelte-ignore state_referenced_locally
  const lexicon = new LexiconPage(data.lexicon);

  const senseExample = say.maleBeeHiveQueenAircraftRotor;
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
  <Select label={say.language} value={language} onchange={(picked) => (language = picked as Language)}>
    {#each languages as one (one)}<option value={one}>{languageNames[one]}</option>{/each}
  </Select>
{/snippet}

<Breadcrumb noTrailingSlash>
  <BreadcrumbItem href="/library">{say.library}</BreadcrumbItem>
  <BreadcrumbItem isCurrentPage>{say.yourLexicon}</BreadcrumbItem>
</Breadcrumb>
<div class="strip">
  <h1>{say.yourLexicon}</h1>
  <p class="soft">
    {say.addTitlesFieldsWorkAndMeanings}
  </p>
  <KeptNotice document={lexicon.document} />
  <Button
    disabled={!lexicon.texts.length && !own.meanings.length}
    onclick={() => saveFile(lexicon.json, 'lexicon.json', 'application/json')}>{say.exportJson}</Button
  >
  <FileUploadButton label={say.importJson} accept={['.json']} onfile={lexicon.take} />
</div>
<Refused problem={lexicon.refused} />

<div class="columns">
  <div class="stack">
    <form class="sheet" aria-label={say.addTitle} onsubmit={addTitle}>
      <h2>{say.title}</h2>
      <p class="soft">{say.jobTitleThatFollowsNoPattern}</p>
      <TextInput label={say.title2} maxlength="200" bind:value={title} />
      <div class="line">
        {@render inLanguage()}
        <Select label={say.rank} bind:value={rank}>
          {#each ranks as { id } (id)}<option value={id}>{id}</option>{/each}
        </Select>
      </div>
      <ComboBox
        size="sm"
        labelText={say.functionText}
        placeholder={say.fieldWork}
        items={all}
        bind:selectedId={job}
        bind:value={jobTyped}
        shouldFilterItem={(item: { text: string }, typed: string) => item.text.includes(typed.toLowerCase())}
      />
      <Button type="submit" disabled={!title.trim() || !job}>{say.addTitle2}</Button>
    </form>
    <form class="sheet" aria-label={say.addFunction} onsubmit={addName}>
      <h2>{say.functionOrAnotherNameForOne}</h2>
      <p class="soft">{say.thisAddsAllItsTitlesSuch}</p>
      <TextInput label={say.functionText} placeholder={say.beekeeping} maxlength="100" bind:value={named} />
      <div class="line">
        {@render inLanguage()}
        <TextInput label={say.nameInThatLanguage} placeholder={say.imkerei} maxlength="200" bind:value={name} />
      </div>
      <Button type="submit" disabled={!named.trim() || !name.trim()}>{say.addName}</Button>
    </form>
    <form class="sheet" aria-label={say.addMeanings} onsubmit={addMeaning}>
      <h2>{say.wordWithSeveralMeanings}</h2>
      <TextInput label={say.word} placeholder={say.drone} maxlength="30" bind:value={word} />
      <TextArea label={say.oneMeaningPerLineWithWords} rows="3" placeholder={senseExample} bind:value={senses} />
      <Button type="submit" disabled={!word.trim() || !senses.trim()}>{say.addMeanings2}</Button>
    </form>
  </div>
  <div class="stack">
    <section class="sheet" aria-label={say.tryTitle}>
      <h2>{say.tryTitle}</h2>
      <TextInput label={say.anyTitle} bind:value={lexicon.tried} />
      <p role="status">
        {#if lexicon.reading}
          {#if lexicon.reading.rank || lexicon.reading.function}
            {say.readAs} <b>{lexicon.reading.rank ?? say.noRank}</b>
            {say.ofText} <b>{lexicon.reading.function ?? say.notRecognized}</b>,
            <span class="soft">{say.sure(percent(lexicon.reading.confidence))}</span>
          {:else}{say.notRecognized2}{/if}
        {/if}
      </p>
    </section>
    <section class="sheet" aria-label={say.yourAdditions}>
      <h2>{say.yourAdditions}</h2>
      {#if lexicon.texts.length}
        <Table aria-label={say.titlesAndNamesYouAdded}>
          <TableHead
            ><TableRow
              ><TableHeader>{say.text}</TableHeader><TableHeader>{say.language}</TableHeader><TableHeader
                >{say.means}</TableHeader
              ><TableHeader></TableHeader></TableRow
            ></TableHead
          >
          <TableBody>
            {#each lexicon.texts as one (`${one.kind} ${one.rank} ${one.function} ${one.language} ${one.text}`)}
              <TableRow>
                <TableCell>{one.text}</TableCell>
                <TableCell>{languageNames[one.language]}</TableCell>
                <TableCell
                  >{one.kind === 'title' ? `${one.rank}, ${one.function}` : say.nameFor(one.function)}</TableCell
                >
                <TableCell
                  ><Button kind="ghost" aria-label={say.remove(one.text)} onclick={() => lexicon.remove(one)}>✕</Button
                  ></TableCell
                >
              </TableRow>
            {/each}
          </TableBody>
        </Table>
      {/if}
      {#each own.meanings as { word: of, senses: several } (of)}
        <p>
          <b>{of}</b>: {several.map(({ name: means, indicators }) => `${means} (${few(indicators)})`).join('; ')}
          <Button kind="ghost" aria-label={say.removeMeanings(of)} onclick={() => lexicon.removeMeaning(of)}>✕</Button>
        </p>
      {/each}
      {#if !lexicon.texts.length && !own.meanings.length}
        <p class="soft">
          {say.nothingYetEaveShipsWithFunctions(count(functions().length), languages.length)}
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
