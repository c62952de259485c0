<script lang="ts">
  import { onDestroy } from 'svelte';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { count } from '$lib/marks/format';
  import { columnFields, mappingFault, type ColumnField } from '$core/formats';
  import { contract, type Answer } from '$server/api/contract';

  interface Props {
    /** Files imported before, which a newer one may take the place of. */
    files: readonly { id: string; name: string }[];
    ondone: () => void;
  }
  let { files, ondone }: Props = $props();
  type Import = Answer<'readImport'>;

  let uploading = $state('');
  let job = $state<Import | null>(null);
  let mapping = $state<ColumnField[]>([]);
  let name = $state('');
  /** The imported file that the new one takes the place of; empty for a new source. */
  let into = $state('');
  let refused: unknown = $state(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  onDestroy(() => clearTimeout(timer));

  const fault = $derived(mapping.length ? mappingFault(mapping) : null);
  const rows = $derived(Math.max(0, ...(job?.reading.columns.map(({ samples }) => samples.length) ?? [])));
  const share = $derived(job?.outcome && job.bytes ? Math.min(1, job.outcome.bytesRead / job.bytes) : 0);
  const separators: Record<string, string> = { ',': 'commas', ';': 'semicolons', '\t': 'tabs', '|': 'bars' };

  async function receive(file: File | undefined) {
    if (!file) return;
    refused = null;
    job = null;
    uploading = file.name;
    try {
      job = await call(contract.receiveFile, { query: { name: file.name }, file });
      mapping = job.reading.columns.map(({ field }) => field);
      name = file.name.replace(/\.[^.]+$/, '').slice(0, 100);
    } catch (problem) {
      refused = problem;
    } finally {
      uploading = '';
    }
  }

  async function start(skipBadRows: boolean) {
    if (!job) return;
    refused = null;
    try {
      job = await call(contract.startImport, {
        params: { id: job.id },
        body: { name, mapping: [...mapping], skipBadRows, into: into || null }
      });
      void watch();
    } catch (problem) {
      refused = problem;
    }
  }

  async function watch() {
    if (!job) return;
    try {
      job = await call(contract.readImport, { params: { id: job.id } });
      refused = null;
    } catch (problem) {
      refused = problem;
    }
    if (job.state === 'running') timer = setTimeout(() => void watch(), 300);
    else if (job.state === 'done') ondone();
  }

  async function stop() {
    if (!job) return;
    const stopping = job;
    try {
      await call(contract.stopImport, { params: { id: stopping.id } });
      if (stopping.state !== 'running') job = null;
    } catch (problem) {
      refused = problem;
    }
  }
</script>

<section class="sheet" aria-label="Import a file of people">
  <h2>Import a file of people</h2>
  {#if !job || job.state === 'done'}
    {#if job?.state === 'done'}<p class="done" role="status">✓ {job.outcome?.message}</p>{/if}
    <p class="soft">CSV with a heading line, or JSON Lines, up to 500,000 people. The file stays on this machine.</p>
    <label class="drop">
      <span class="visually-hidden">File of people</span>
      <input
        type="file"
        accept=".csv,.tsv,.txt,.jsonl,.ndjson,text/csv,application/jsonl"
        onchange={(event) => receive(event.currentTarget.files?.[0])}
      />
      {uploading ? `Reading ${uploading}…` : ''}
    </label>
  {:else}
    <p>
      <b>{job.fileName}</b>
      <span class="soft">
        {count(job.bytes)} bytes, {job.reading.format === 'csv'
          ? `CSV with ${separators[job.reading.delimiter ?? ','] ?? job.reading.delimiter}`
          : 'JSON Lines'}, {job.reading.encoding},
        {job.reading.columns.length} columns
      </span>
    </p>
    {#if job.state === 'running'}
      <p role="status">
        {job.outcome ? `${count(job.outcome.rows)} rows read` : 'Starting'}
        <progress max="1" value={share} aria-label="Share of the file read"></progress>
        <button class="quiet" onclick={stop}>Stop</button>
      </p>
    {:else}
      {#if job.outcome?.message}
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <div class="errors" role="alert" tabindex="0">
          <p><b>{job.outcome.message}</b></p>
          {#if job.outcome.errors.length}
            <table>
              <thead><tr><th>Row</th><th>Line</th><th>What is wrong</th></tr></thead>
              <tbody>
                {#each job.outcome.errors as error (`${error.row} ${error.line}`)}<tr
                    ><td class="number">{error.row}</td><td class="number">{error.line}</td><td>{error.message}</td></tr
                  >{/each}
              </tbody>
            </table>
            {#if job.outcome.skipped > job.outcome.errors.length}<p class="soft">
                and {count(job.outcome.skipped - job.outcome.errors.length)} more
              </p>{/if}
          {/if}
        </div>
      {/if}
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="preview" role="region" aria-label="First rows of the file" tabindex="0">
        <table class="board">
          <thead>
            <tr>
              {#each job.reading.columns as column, i (i)}
                <th>
                  <b>{column.name || `column ${i + 1}`}</b>
                  <select aria-label="What column {column.name || i + 1} holds" bind:value={mapping[i]}>
                    {#each Object.entries(columnFields) as [field, words] (field)}<option value={field}>{words}</option
                      >{/each}
                  </select>
                </th>
              {/each}
            </tr>
          </thead>
          <tbody>
            {#each Array.from({ length: rows }).keys() as row (row)}
              <tr
                >{#each job.reading.columns as column, i (i)}<td class:out={mapping[i] === 'ignore'}
                    >{column.samples[row] ?? ''}</td
                  >{/each}</tr
              >
            {/each}
          </tbody>
        </table>
      </div>
      {#if fault}<p class="fault" role="alert">{fault}</p>{/if}
      <div class="acts">
        {#if files.length}
          <label
            >It is <select bind:value={into}>
              <option value="">a new source</option>
              {#each files as file (file.id)}<option value={file.id}>a newer file of {file.name}</option>{/each}
            </select></label
          >
        {/if}
        {#if !into}<label>Name of the source <input bind:value={name} maxlength="100" /></label>{/if}
        <button class="quiet main" disabled={fault !== null || !name.trim()} onclick={() => start(false)}>Import</button
        >
        {#if job.outcome?.errors.length}
          <button class="quiet" disabled={fault !== null || !name.trim()} onclick={() => start(true)}
            >Import without those rows</button
          >
        {/if}
        <button class="quiet" onclick={stop}>Throw the file away</button>
      </div>
    {/if}
  {/if}
  <Refused problem={refused} />
</section>

<style>
  section {
    padding: 14px 18px;
    display: grid;
    gap: 10px;
  }
  .preview {
    overflow: auto;
    max-height: 300px;
  }
  th select {
    display: block;
    margin-top: 4px;
    font: inherit;
    font-size: 12.5px;
    color: var(--ink);
    background: var(--sheet-2);
    border: 1px solid var(--line);
  }
  td {
    white-space: nowrap;
    max-width: 240px;
    overflow: hidden;
    text-overflow: ellipsis;
    font-size: 12.5px;
  }
  td.out {
    color: var(--grey);
    text-decoration: line-through;
  }
  .acts {
    display: flex;
    gap: 10px;
    align-items: center;
  }
  .acts input {
    font: inherit;
    color: inherit;
    background: var(--sheet-2);
    border: 1px solid var(--line);
    padding: 4px 8px;
    width: 240px;
  }
  .errors {
    background: var(--warm-2);
    border-left: 4px solid var(--warm);
    padding: 10px 14px;
    max-height: 240px;
    overflow: auto;
  }
  .errors th {
    text-align: left;
    font-weight: 400;
    padding-right: 14px;
  }
  .errors td {
    white-space: normal;
    max-width: none;
    padding-right: 14px;
    vertical-align: top;
  }
  .fault {
    color: var(--warm);
  }
  .done {
    color: var(--accent);
    font-weight: 600;
  }
  progress {
    accent-color: var(--accent);
    width: 240px;
  }
</style>
