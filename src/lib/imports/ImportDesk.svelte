<script lang="ts">
  import { importDesk as say } from './words';
  import FileUploaderDropContainer from 'carbon-components-svelte/src/FileUploader/FileUploaderDropContainer.svelte';
  import ProgressIndicator from 'carbon-components-svelte/src/ProgressIndicator/ProgressIndicator.svelte';
  import ProgressStep from 'carbon-components-svelte/src/ProgressIndicator/ProgressStep.svelte';
  import ProgressBar from 'carbon-components-svelte/src/ProgressBar/ProgressBar.svelte';
  import Button from '$lib/ui/Button.svelte';
  import ButtonSet from '$lib/ui/ButtonSet.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
  import { onMount, tick } from 'svelte';
  import { call } from '$lib/api/call';
  import { watchAll } from '$lib/kept/changes';
  import FilePreview from './FilePreview.svelte';
  import { readOnto } from './onto';
  import ImportValues from './ImportValues.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Refused from '$lib/frame/Refused.svelte';
  import { count } from '$lib/marks/format';
  import { mappingFault, writeCsv, type ColumnField, type StandardField } from '$core/formats';
  import { saveFile } from '$lib/frame/save-file';
  import type { Answer } from '$api';

  interface Props {
    /** Earlier imports that this file may update. */
    files: readonly { id: string; name: string }[];
    /** Briefs whose lists the people of the file can join. */
    briefs: readonly { id: string; name: string }[];
    /** The list chosen at first, as `contacted BRIEF`. */
    onto?: string;
    ondone: () => void;
  }
  let { files, briefs, onto = '', ondone }: Props = $props();
  type Import = Answer<'readImport'>;

  /** The file that was chosen: an import that was refused or stopped has cleared away what it had of it. */
  let chosen: File | null = null;
  let uploading = $state('');
  let job = $state<Import | null>(null);
  let mapping = $state<ColumnField[]>([]);
  let read = $state.raw<{ columns: string; answer: Answer<'readImportValues'> } | null>(null);
  let values = $state<{ field: StandardField; text: string; standard: string | null }[]>([]);
  let name = $state('');
  /** The imported file that the new one takes the place of; empty for a new source. */
  // svelte-ignore state_referenced_locally
  let into = $state(onto);
  const list = $derived(readOnto(into));
  /** What is done with a row that has a cell which is not what its column holds. */
  let badCells: 'empty' | 'skip' = $state('empty');
  let refused: unknown = $state(null);
  let beginning = $state(false);
  onMount(() =>
    watchAll((changed) => {
      if (changed.imports && job && isUnderWay(job)) void look();
    })
  );

  const isUnderWay = ({ state }: Import) => state === 'running';
  const step = $derived(!job ? 0 : isUnderWay(job) || job.state === 'done' ? 2 : 1);
  const fault = $derived(mapping.length ? mappingFault(mapping, list?.list === 'customers') : null);
  const share = $derived(job?.outcome && job.bytes ? Math.min(1, job.outcome.bytesRead / job.bytes) : 0);
  const separators: Record<string, string> = { ',': 'commas', ';': 'semicolons', '\t': 'tabs', '|': 'bars' };

  async function receive(file: File | undefined) {
    if (!file) return;
    refused = null;
    job = null;
    uploading = file.name;
    chosen = file;
    try {
      job = await call('receiveFile', { query: { name: file.name }, file });
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
    beginning = true;
    // Nobody reads the values of its file any more.
    await tick();
    try {
      const over = job.state === 'refused' || job.state === 'stopped';
      const { id } = over && chosen ? await call('receiveFile', { query: { name: chosen.name }, file: chosen }) : job;
      job = await call('startImport', {
        params: { id },
        body: {
          name,
          mapping: [...mapping],
          values: $state.snapshot(values),
          skipBadRows,
          badCells,
          into: list ? null : into || null,
          onto: list
        }
      });
      void look();
    } catch (problem) {
      refused = problem;
    } finally {
      beginning = false;
    }
  }

  async function look() {
    if (!job) return;
    const { id } = job;
    try {
      const now = await call('readImport', { params: { id } });
      // Another answer came first, or another file was chosen.
      if (job?.id !== id || !isUnderWay(job)) return;
      job = now;
      refused = null;
      if (now.state === 'done') ondone();
    } catch (problem) {
      refused = problem;
    }
  }

  const saveErrors = ({ errors }: NonNullable<Import['outcome']>) =>
    saveFile(
      writeCsv(
        [say.rowHeading, say.lineHeading, say.whatIsWrong, say.whatWasDone],
        errors.map(({ row, line, message, cell }) => [
          String(row),
          String(line),
          message,
          cell ? say.cellLeftEmpty : say.rowLeftOut
        ])
      ),
      'import-errors.csv',
      'text/csv'
    );

  async function stop() {
    if (!job) return;
    const stopping = job;
    try {
      await call('stopImport', { params: { id: stopping.id } });
      if (!isUnderWay(stopping)) job = null;
    } catch (problem) {
      refused = problem;
    }
  }
</script>

{#snippet errorsOf(outcome: NonNullable<Import['outcome']>)}
  {#if outcome.errors.length}
    <div class="tabled">
      <Table>
        <TableHead
          ><TableRow
            ><TableHeader>{say.row}</TableHeader><TableHeader>{say.line}</TableHeader><TableHeader
              >{say.problem}</TableHeader
            ></TableRow
          ></TableHead
        >
        <TableBody>
          {#each outcome.errors as error (`${error.row} ${error.line}`)}<TableRow
              ><TableCell class="number">{error.row}</TableCell><TableCell class="number">{error.line}</TableCell
              ><TableCell>{error.message}</TableCell></TableRow
            >{/each}
        </TableBody>
      </Table>
    </div>
    <Button onclick={() => saveErrors(outcome)}>{say.downloadCsv}</Button>
    {#if outcome.skipped + outcome.leftOut + outcome.emptied > outcome.errors.length}<p class="soft">
        {say.andMore(count(outcome.skipped + outcome.leftOut + outcome.emptied - outcome.errors.length))}
      </p>{/if}
  {/if}
{/snippet}

<section class="sheet" aria-label={say.importFilePeople}>
  <h2>{say.importFilePeople}</h2>
  <ProgressIndicator currentIndex={step} preventChangeOnClick>
    <ProgressStep label={say.chooseFile} complete={step > 0} current={step === 0} />
    <ProgressStep label={say.matchColumns} complete={step > 1} current={step === 1} />
    <ProgressStep label={say.reviewAndImport} complete={job?.state === 'done'} current={step === 2} />
  </ProgressIndicator>
  {#if !job || job.state === 'done'}
    {#if job?.state === 'done'}<p class="done" role="status">✓ {job.outcome?.message}</p>
      {#if job.outcome?.errors.length}{@render errorsOf(job.outcome)}{/if}{/if}
    <p class="soft">
      {say.csvOrXlsxWithHeaderRow}
    </p>
    <FileUploaderDropContainer
      labelText={uploading ? say.reading(uploading) : say.dropFilePeopleHereOrChoose}
      accept={['.csv', '.tsv', '.txt', '.jsonl', '.ndjson', '.xlsx', 'text/csv', 'application/jsonl']}
      on:change={({ detail }: CustomEvent<readonly File[]>) => receive(detail[0])}
    />
  {:else}
    <p>
      <b>{job.fileName}</b>
      <span class="soft">
        {say.bytes(count(job.bytes))}
        {job.reading.format === 'csv'
          ? `CSV with ${separators[job.reading.delimiter ?? ','] ?? job.reading.delimiter}`
          : say.jsonLines}{say.columns(job.reading.encoding, job.reading.columns.length)}
      </span>
    </p>
    {#if isUnderWay(job)}
      <p role="status">
        {job.outcome ? say.rowsRead(count(job.outcome.rows)) : say.starting}
        <ProgressBar size="sm" max={1} value={share} labelText={say.shareFileRead} hideLabel />
        <Button onclick={stop}>{say.stop}</Button>
      </p>
    {:else}
      {#if job.outcome?.message}
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <div class="errors" role="alert" tabindex="0">
          <p><b>{job.outcome.message}</b></p>
          {@render errorsOf(job.outcome)}
        </div>
      {/if}
      <FilePreview columns={job.reading.columns} bind:mapping />
      <ImportValues importId={job.id} {mapping} ready={job.state === 'ready' && !beginning} bind:read bind:values />
      {#if fault}<p class="fault" role="alert">{fault}</p>{/if}
      <div class="acts">
        <Select label={say.importAs} bind:value={into}>
          <option value="">{say.newSource}</option>
          {#each files as file (file.id)}<option value={file.id}>{say.update(file.name)}</option>{/each}
          {#each briefs as brief (brief.id)}
            <option value="contacted {brief.id}">{say.peopleAlreadyContactedFor(brief.name)}</option>
            <option value="known {brief.id}">{say.knownGoodsFor(brief.name)}</option>
            <option value="customers {brief.id}">{say.customersExcludedFromShortlists(brief.name)}</option>
          {/each}
          <option value="objected">{say.peopleWhoObjectedErasedEverywhere}</option>
        </Select>
        {#if !into}<TextInput label={say.sourceName} inline bind:value={name} maxlength="100" />{/if}
        <Select label={say.invalidCells} bind:value={badCells}>
          <option value="empty">{say.leaveEmpty}</option>
          <option value="skip">{say.skipRow}</option>
        </Select>
        <ButtonSet>
          <Button kind="primary" disabled={fault !== null || !name.trim()} onclick={() => start(false)}
            >{say.importText}</Button
          >
          {#if job.outcome?.errors.length}
            <Button disabled={fault !== null || !name.trim()} onclick={() => start(true)}
              >{say.importWithoutTheseRows}</Button
            >
          {/if}
          <Button onclick={stop}>{say.discardFile}</Button>
        </ButtonSet>
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
  .acts {
    display: flex;
    gap: 10px;
    align-items: center;
  }
  .acts :global(input) {
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
  .errors :global(th) {
    text-align: left;
    font-weight: 400;
    padding-right: 14px;
  }
  .errors :global(td) {
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
</style>
