<script lang="ts">
  import { exportDialog as say } from './words';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import { call } from '$lib/api/call';
  import { saveFile } from '$lib/frame/save-file';
  import Refused from '$lib/frame/Refused.svelte';
  import Figure from '$lib/marks/Figure.svelte';
  import { count, moment } from '$lib/marks/format';
  import { Attempts } from '$lib/kept/attempts.svelte';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import NumberInput from '$lib/ui/NumberInput.svelte';
  import FileUploadButton from '$lib/ui/FileUploadButton.svelte';
  import Accordion from '$lib/ui/Accordion.svelte';
  import Select from '$lib/ui/Select.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import type { Answer } from '$api';
  import type { LeftOutReason } from '$api/list-fields';
  import { exclusionReasons } from './words';
  import ProfileEditor from './ProfileEditor.svelte';
  import type { ShortlistPage } from './shortlist-page.svelte';

  interface Props {
    desk: ShortlistPage;
    list: Answer<'readShortlist'>;
    open: boolean;
  }
  let { desk, list, open = $bindable() }: Props = $props();

  const forms = {
    csv: 'CSV',
    xlsx: 'XLSX',
    jsonl: say.jsonLines,
    vcf: say.vcard40,
    hashed: say.hashedAudienceSha256
  };
  let form = $state<keyof typeof forms>('csv');
  let addresses = $state<'any' | 'good' | 'good and uncertain'>('any');
  let profile = $state(say.standard);
  let everybody = $state<boolean>(false);
  let size: number | null = $state(null);
  let batch = $state(1);
  let salt = $state('');
  let profiles: Answer<'listProfiles'> = $state.raw([]);
  let look: Answer<'previewExport'> | null = $state.raw(null);
  let merged: Answer<'mergePreview'> | null = $state.raw(null);

  const query = $derived({
    form,
    addresses,
    ...(profile !== 'Standard' && { profile }),
    ...(everybody && { all: 'true' as const }),
    ...(size !== null && size > 0 && { size: Math.floor(size), batch }),
    ...(form === 'hashed' && salt !== '' && { salt })
  });
  const attempts = new Attempts();
  const { attempt } = attempts;
  const loadProfiles = () => attempt(async () => (profiles = await call('listProfiles')));
  $effect(() => {
    if (open) void loadProfiles();
  });
  /** What is asked, as text: the list is read again with every event, and equal questions don't discard a merge preview. */
  const asked = $derived(JSON.stringify({ ...desk.asked, ...query }));
  $effect(() => {
    void asked;
    merged = null;
  });
  $effect(() => {
    if (!open) return;
    const body = { ...desk.asked, ...query };
    void attempt(async () => (look = await call('previewExport', { params: desk.params, body })));
  });
  const why = (value: string) => exclusionReasons[value as LeftOutReason] ?? value;
  async function take() {
    await attempt(async () => {
      saveFile(await desk.file(query), `shortlist.${form === 'hashed' ? 'csv' : form}`, '');
      open = false;
    });
  }
  const merge = (file: File) =>
    attempt(async () => {
      merged = await call('mergePreview', {
        params: desk.params,
        body: { leaving: { ...desk.asked, ...query }, there: await file.text() }
      });
    });
</script>

<Modal
  bind:open
  modalHeading={say.exportText}
  primaryButtonText={look ? say.exportText2(count(look.people)) : say.exportText}
  primaryButtonDisabled={!look?.people}
  secondaryButtonText={say.cancel}
  size="lg"
  on:click:button--secondary={() => (open = false)}
  on:submit={take}
>
  {#if open}
    <Refused problem={attempts.refused} />
    <div class="line">
      <Select label={say.format} value={form} onchange={(picked) => (form = picked)}>
        {#each Object.entries(forms) as [name, word] (name)}<option value={name}>{word}</option>{/each}
      </Select>
      <Select label={say.addresses} value={addresses} onchange={(picked) => (addresses = picked)}>
        <option value="any">{say.checkedOrNot}</option><option value="good">{say.goodOnly}</option><option
          value="good and uncertain">{say.goodAndUncertain}</option
        >
      </Select>
      {#if form === 'csv' || form === 'xlsx'}
        <Select label={say.columns} value={profile} onchange={(picked) => (profile = picked)}>
          {#each profiles as one (one.name)}<option value={one.name}>{one.name}</option>{/each}
        </Select>
      {/if}
      {#if form === 'hashed'}<TextInput
          label={say.salt}
          inline
          value={salt}
          onchange={(event: Event) => (salt = (event.currentTarget as HTMLInputElement).value)}
        />{/if}
      <NumberInput label={say.batchSize} min={1} placeholder={say.all} bind:value={size} />
      {#if look && look.batches > 1}
        <Select label={say.batch} value={batch} onchange={(picked) => (batch = picked)}>
          {#each { length: look.batches }, i (i)}<option value={i + 1}>{say.ofText(i + 1, look.batches)}</option>{/each}
        </Select>
      {/if}
      <Checkbox label={say.includeExcludedPeople} checked={everybody} onchange={(on) => (everybody = on)} />
    </div>
    {#if look}
      <p class="soft" role="status">
        <Figure name="to export" value={look.people}>{count(look.people)}</Figure>
        {say.people}{look.leftOut.length
          ? `. Excluded: ${look.leftOut.map(({ value, people }) => `${count(people)} ${why(value)}`).join(', ')}`
          : ''}{form === 'hashed' ? say.lowerCaseAddressesAndE164 : '.'}
      </p>
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="preview" tabindex="0" role="region" aria-label={say.preview}>
        <Table>
          <TableHead
            ><TableRow
              >{#each look.headers as header, i (i)}<TableHeader>{header}</TableHeader>{/each}</TableRow
            ></TableHead
          >
          <TableBody>
            {#each look.rows as row, i (i)}<TableRow
                >{#each row as cell, j (j)}<TableCell>{cell}</TableCell>{/each}</TableRow
              >{/each}
          </TableBody>
        </Table>
      </div>
    {/if}
    {#if form === 'csv' || form === 'xlsx'}
      <Accordion title={say.columnsInThisFile}>
        <ProfileEditor
          {list}
          {profiles}
          name={profile}
          onkept={async (name) => {
            await loadProfiles();
            profile = name;
          }}
          onrefused={(problem) => (attempts.refused = problem)}
        />
      </Accordion>
      <Accordion title={say.mergePreview} open={merged !== null}>
        <div class="line">
          <FileUploadButton label={say.chooseCsvFromReceivingSystem} accept={['.csv', 'text/csv']} onfile={merge} />
          {#if merged}<b
              >{Object.entries(merged.counts)
                .map(([what, n]) => `${count(n)} ${what}`)
                .join(' · ')}</b
            >{/if}
        </div>
        {#if merged}
          <p class="soft">
            {say.compared}
            {merged.compared.map(({ here, there }) => (here === there ? here : say.withText(here, there))).join(', ') ||
              say.noColumn}.
          </p>
          {#if merged.onlyThere.length}<p class="soft">
              {say.columnsNotFilledFromHere(merged.onlyThere.join(', '))}
            </p>{/if}
          {#if merged.onlyHere.length}<p class="soft">{say.columnsMissingThere(merged.onlyHere.join(', '))}</p>{/if}
          <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
          <ul class="merged" tabindex="0" aria-label={say.rowByRow}>
            {#each merged.lines.filter(({ what }) => what !== 'same') as { who, what, why: reason, changes }, i (i)}
              <li>
                <b>{what}</b>
                {who}{reason && ` (${reason})`}{#each changes as { header, there, here } (header)}
                  <span class="change">{header}: <s>{there || 'empty'}</s> → {here}</span>{/each}
              </li>
            {/each}
          </ul>
        {/if}
      </Accordion>
    {/if}
    {#if list.exports.length}
      <Accordion title={say.exportHistory(list.exports.length)}>
        <ul>
          {#each list.exports as { at, form: as, people, what }, i (i)}<li>
              {say.as(moment(at), count(people), as)}{what && `, ${what}`}
            </li>{/each}
        </ul>
      </Accordion>
    {/if}
    <Button
      kind="ghost"
      onclick={() => window.open(`/api/briefs/${desk.params.id}/shortlists/${desk.params.list}/processing`, '_blank')}
      >{say.recordProcessingToPrint}</Button
    >
  {/if}
</Modal>

<style>
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 14px;
    align-items: center;
  }
  .preview {
    overflow: auto;
    max-height: 230px;
    border: 1px solid var(--rule);
  }
  .preview :global(:is(td, th)) {
    white-space: nowrap;
  }
  .preview :global(.bx--data-table-content) {
    overflow: visible;
  }
  .merged {
    max-height: 220px;
    overflow: auto;
  }
  .change {
    margin-left: 8px;
  }
</style>
