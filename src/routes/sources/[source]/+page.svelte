<script lang="ts">
  import Breadcrumb from 'carbon-components-svelte/src/Breadcrumb/Breadcrumb.svelte';
  import BreadcrumbItem from 'carbon-components-svelte/src/Breadcrumb/BreadcrumbItem.svelte';
  import { reload } from '$lib/kept/reload';
  import FileButton from '$lib/ui/FileButton.svelte';
  import Act from '$lib/ui/Act.svelte';
  import TextBox from '$lib/ui/TextBox.svelte';
  import ServiceConnection from '$lib/sources/ServiceConnection.svelte';
  import { goto } from '$app/navigation';
  import { ApiProblem, call } from '$lib/api/call';
  import CopyButton from '$lib/frame/CopyButton.svelte';
  import Refused from '$lib/frame/Refused.svelte';
  import { readJsonFile } from '$lib/frame/read-json-file';
  import { saveFile } from '$lib/frame/save-file';
  import SheetFields from '$lib/sheets/SheetFields.svelte';
  import SourceCard from '$lib/string/SourceCard.svelte';
  import { render, read, writeText, sheetSchema, upgradedSheet, type Sheet } from '$core/dialect';
  import { sourceProblems } from '$core/lint';
  import { layOut, parse } from '$core/language';

  let { data } = $props();

  // svelte-ignore state_referenced_locally
  let sheet: Sheet = $state.raw(data.source.sheet);
  // svelte-ignore state_referenced_locally
  let revision = $state(data.source.revision);
  let refused: unknown = $state(null);
  let told = $state('');
  const own = $derived(data.source.kind === 'by-hand');
  const checked = $derived(sheetSchema.safeParse(sheet));
  const wrong = $derived(
    checked.success
      ? []
      : checked.error.issues.map(({ path, message }) => `${path.join(' ') || 'The sheet'}: ${message}`)
  );
  const changed = $derived(JSON.stringify(sheet) !== JSON.stringify(data.source.sheet));

  let sample = $state(
    'title:("head of quality" OR "quality director" OR QA) AND ("cold chain" OR pharma*) AND country:(Denmark OR Sweden) AND headcount:[51 TO 1000] NOT (intern OR "test engineer")'
  );
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
  let native = $state('quality OR qa pharma');
  const understood = $derived(checked.success && native.trim() ? read(native, checked.data) : null);

  async function keep() {
    if (!checked.success) return;
    refused = null;
    told = '';
    try {
      const kept = await call('writeSheet', {
        params: { source: data.source.id },
        body: { sheet: checked.data, revision }
      });
      revision = kept.revision;
      sheet = kept.sheet;
      await reload('eave:sources');
      told = 'Kept.';
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
      const hint = 'Choose a sheet that was exported here, or one written after its schema.';
      const given = await readJsonFile(file, sheetSchema, { kind: 'capability sheet', hint, upgrade: upgradedSheet });
      sheet = { ...given, id: sheet.id };
    } catch (problem) {
      refused = problem;
    }
  }
</script>

<Breadcrumb noTrailingSlash>
  <BreadcrumbItem href="/sources">Sources</BreadcrumbItem>
  <BreadcrumbItem isCurrentPage>{data.source.name}</BreadcrumbItem>
</Breadcrumb>
<div class="strip">
  <h1>{data.source.name}</h1>
  <p class="soft">
    {own
      ? 'A place that you run by hand: its sheet says how it is asked.'
      : data.source.kind === 'connected'
        ? 'A connected service: it gives its sheet itself.'
        : 'Its sheet says how it is searched here and stays as it is. Copy it to change it.'}
  </p>
  {#if told && !changed}<span class="soft" role="status">{told}</span>{/if}
  <Act onclick={() => saveFile(JSON.stringify(sheet, null, 2), `${sheet.name}.json`, 'application/json')}
    >Export JSON</Act
  >
  {#if own}<FileButton label="Import JSON" accept={['.json']} onfile={take} />{/if}
  <a href="/api/sheet.schema.json">Schema</a>
  <Act onclick={copyToOwn}>Copy to a place of my own</Act>
  {#if own}<Act look="main" disabled={!checked.success || !changed} onclick={keep}>Keep</Act>{/if}
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
  <section class="sheet" aria-label="Capability sheet">
    <SheetFields {sheet} disabled={!own} onchange={(next) => (sheet = next)} />
    {#if wrong.length}
      <div class="wrong" role="alert">
        <ul>
          {#each wrong.slice(0, 6) as line (line)}<li>{line}</li>{/each}
        </ul>
      </div>
    {/if}
  </section>
  <div class="live">
    <section class="sheet" aria-label="What follows from it">
      <h2>What follows from it</h2>
      <TextBox label="A string in Eave’s notation" rows="3" bind:value={sample} spellcheck="false" />
      {#if !query}<p class="soft">Write a string to see how it would be asked.</p>{/if}
    </section>
    {#if reading}<SourceCard source={{ ...data.source, name: sheet.name, sheet }} {reading} stale={false} />{/if}
    <section class="sheet" aria-label="Reading back">
      <TextBox label="A text as it would be typed there" rows="2" bind:value={native} spellcheck="false" />
      {#if understood?.query}
        <p>
          is read as <code>{layOut(understood.query)}</code>
          <CopyButton text={layOut(understood.query)} of="what was understood" />
        </p>
      {:else}<p class="soft">asks nothing.</p>{/if}
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
