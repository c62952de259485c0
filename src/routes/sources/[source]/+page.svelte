<script lang="ts">
  import { sourcesSourcePage as say } from '$lib/sources/words';
  import Breadcrumb from 'carbon-components-svelte/src/Breadcrumb/Breadcrumb.svelte';
  import BreadcrumbItem from 'carbon-components-svelte/src/Breadcrumb/BreadcrumbItem.svelte';
  import { reload } from '$lib/kept/reload';
  import FileUploadButton from '$lib/ui/FileUploadButton.svelte';
  import Button from '$lib/ui/Button.svelte';
  import TextArea from '$lib/ui/TextArea.svelte';
  import ServiceConnection from '$lib/sources/ServiceConnection.svelte';
  import { goto } from '$app/navigation';
  import { ApiProblem, call } from '$lib/api/call';
  import CopyButton from '$lib/frame/CopyButton.svelte';
  import Refused from '$lib/frame/Refused.svelte';
  import { readJsonFile } from '$lib/frame/read-json-file';
  import { saveFile } from '$lib/frame/save-file';
  import SheetFields from '$lib/sheets/SheetFields.svelte';
  import SheetView from '$lib/sheets/SheetView.svelte';
  import SourceCard from '$lib/string/searches/SourceCard.svelte';
  import { render, read, writeText, sheetSchema, upgradedSheet, type Sheet } from '$core/dialect';
  import { sourceProblems } from '$core/lint';
  import { layOut, parse } from '$core/language';

  let { data } = $props();

  // svelte-ignore state_referenced_locally
  let sheet: Sheet = $state.raw(data.source.sheet);
  // svelte-ignore state_referenced_locally
  let revision = $state(data.source.revision);
  let refused: unknown = $state(null);
  let notice = $state('');
  const own = $derived(data.source.kind === 'by-hand');
  const checked = $derived(sheetSchema.safeParse(sheet));
  const wrong = $derived(
    checked.success ? [] : checked.error.issues.map(({ path, message }) => `${path.join(' ') || say.sheet}: ${message}`)
  );
  const changed = $derived(JSON.stringify(sheet) !== JSON.stringify(data.source.sheet));

  let sample = $state(say.titleHeadQualityOrQualityDirector);
  const query = $derived(parse(sample).query);
  const reading = $derived.by(() => {
    if (!query || !checked.success) return null;
    const rendering = render(query, checked.data);
    return {
      rendering,
      copy: writeText(rendering.searches, checked.data),
      problems: sourceProblems(sample, query, checked.data, rendering)
    };
  });
  let native = $state(say.qualityOrQaPharma);
  const understood = $derived(checked.success && native.trim() ? read(native, checked.data) : null);

  async function keep() {
    if (!checked.success) return;
    refused = null;
    notice = '';
    try {
      const kept = await call('writeSheet', {
        params: { source: data.source.id },
        body: { sheet: checked.data, revision }
      });
      revision = kept.revision;
      sheet = kept.sheet;
      await reload('eave:sources');
      notice = say.saved;
    } catch (problem) {
      refused = problem;
      if (problem instanceof ApiProblem && problem.status === 409) {
        const theirs = problem.body.current as { revision: number } | undefined;
        if (theirs) revision = theirs.revision;
      }
    }
  }
  async function copyToOwn() {
    refused = null;
    try {
      const made = await call('createByHand', {
        body: { sheet: { ...sheet, name: `${sheet.name.slice(0, 90)} (copy)` } }
      });
      await goto(`/sources/${made.id}`, { invalidateAll: true });
      sheet = made.sheet;
      revision = made.revision;
    } catch (problem) {
      refused = problem;
    }
  }
  async function take(file: File) {
    refused = null;
    try {
      const hint = say.chooseSheetExportedFromEaveOr;
      const given = await readJsonFile(file, sheetSchema, { kind: say.aCapabilitySheet, hint, upgrade: upgradedSheet });
      sheet = { ...given, id: sheet.id };
    } catch (problem) {
      refused = problem;
    }
  }
</script>

<Breadcrumb noTrailingSlash>
  <BreadcrumbItem href="/sources">{say.sources}</BreadcrumbItem>
  <BreadcrumbItem isCurrentPage>{data.source.name}</BreadcrumbItem>
</Breadcrumb>
<div class="strip">
  <h1>{data.source.name}</h1>
  <p class="soft">
    {own
      ? say.manualSourceItsSheetSaysHow
      : data.source.kind === 'connected'
        ? say.connectedServiceItProvidesItsOwn
        : say.thisSheetSaysHowSourceIs}
  </p>
  {#if notice && !changed}<span class="soft" role="status">{notice}</span>{/if}
  <Button onclick={() => saveFile(JSON.stringify(sheet, null, 2), `${sheet.name}.json`, 'application/json')}
    >{say.exportJson}</Button
  >
  {#if own}<FileUploadButton label={say.importJson} accept={['.json']} onfile={take} />{/if}
  <a href="/api/sheet.schema.json">{say.schema}</a>
  <Button onclick={copyToOwn}>{say.duplicateAsManualSource}</Button>
  {#if own}<Button kind="primary" disabled={!checked.success || !changed} onclick={keep}>{say.save}</Button>{/if}
</div>
<Refused problem={refused} />
{#if data.connection}
  <ServiceConnection
    source={data.source.id}
    connection={data.connection}
    ondone={async () => {
      await reload('eave:sources');
      ({ sheet, revision } = data.source);
    }}
  />
{/if}

<div class="grid">
  <section class="sheet" aria-label={say.capabilitySheet}>
    {#if own}<SheetFields {sheet} onchange={(next) => (sheet = next)} />{:else}<SheetView {sheet} />{/if}
    {#if wrong.length}
      <div class="wrong" role="alert">
        <ul>
          {#each wrong.slice(0, 6) as line (line)}<li>{line}</li>{/each}
        </ul>
      </div>
    {/if}
  </section>
  <div class="live">
    <section class="sheet" aria-label={say.tryIt}>
      <h2>{say.tryIt}</h2>
      <TextArea label={say.stringInEavesNotation} rows="3" bind:value={sample} spellcheck="false" />
      {#if !query}<p class="soft">{say.enterStringToSeeHowIt}</p>{/if}
    </section>
    {#if reading}<SourceCard source={{ ...data.source, name: sheet.name, sheet }} {reading} stale={false} />{/if}
    <section class="sheet" aria-label={say.readingSearch}>
      <TextArea label={say.searchAsTypedAtSource} rows="2" bind:value={native} spellcheck="false" />
      {#if understood?.query}
        <p>
          {say.isReadAs} <code>{layOut(understood.query)}</code>
          <CopyButton text={layOut(understood.query)} of={say.query} />
        </p>
      {:else}<p class="soft">{say.searchesForNothing}</p>{/if}
      {#each understood?.problems ?? [] as problem, i (i)}<p class="soft">{problem.message}</p>{/each}
    </section>
  </div>
</div>

<style>
  .grid {
    display: grid;
    grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
    gap: 14px;
    align-items: start;
  }
  section {
    padding: 12px 16px;
  }
  .live {
    display: grid;
    gap: 12px;
    position: sticky;
    top: 8px;
  }
  p {
    font-size: 13px;
    margin-top: 4px;
  }
  code {
    font:
      13px/1.5 'IBM Plex Mono',
      monospace;
    overflow-wrap: anywhere;
    white-space: pre-wrap;
  }
  .wrong {
    color: var(--warm);
    font-size: 13px;
    margin-top: 10px;
    padding-left: 18px;
  }
  .strip a {
    font-size: 13px;
  }
</style>
