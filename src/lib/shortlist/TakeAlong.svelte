<script lang="ts">
  import { takeAlong as say } from './words';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import { call } from '$lib/api/call';
  import { saveFile } from '$lib/frame/save-file';
  import Refused from '$lib/frame/Refused.svelte';
  import Figure from '$lib/marks/Figure.svelte';
  import { count, moment } from '$lib/marks/format';
  import { Attempts } from '$lib/kept/attempts.svelte';
  import Act from '$lib/ui/Act.svelte';
  import Field from '$lib/ui/Field.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import FileButton from '$lib/ui/FileButton.svelte';
  import Fold from '$lib/ui/Fold.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import type { Answer } from '$api';
  import type { LeftOutReason } from '$api/list-fields';
  import { leftOutShort } from './list-query';
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
  let look: Answer<'lookAlong'> | null = $state.raw(null);
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
  $effect(() => {
    if (!open) return;
    const asked = { ...desk.asked, ...query };
    merged = null;
    void attempt(async () => (look = await call('lookAlong', { params: desk.params, body: asked })));
  });
  const why = (value: string) => leftOutShort[value as LeftOutReason] ?? value;
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
  modalHeading={say.takeAlong}
  primaryButtonText={look ? say.takeAlong2(count(look.people)) : say.takeAlong}
  primaryButtonDisabled={!look?.people}
  secondaryButtonText={say.notNow}
  size="lg"
  on:click:button--secondary={() => (open = false)}
  on:submit={take}
>
  {#if open}
    <Refused problem={attempts.refused} />
    <div class="line">
      <Pick label={say.as} value={form} onpick={(picked) => (form = picked)}>
        {#each Object.entries(forms) as [name, word] (name)}<option value={name}>{word}</option>{/each}
      </Pick>
      <Pick label={say.addresses} value={addresses} onpick={(picked) => (addresses = picked)}>
        <option value="any">{say.checkedOrNot}</option><option value="good">{say.goodOnly}</option><option
          value="good and uncertain">{say.goodAndUncertain}</option
        >
      </Pick>
      {#if form === 'csv' || form === 'xlsx'}
        <Pick label={say.columns} value={profile} onpick={(picked) => (profile = picked)}>
          {#each profiles as one (one.name)}<option value={one.name}>{one.name}</option>{/each}
        </Pick>
      {/if}
      {#if form === 'hashed'}<Field
          label={say.salt}
          inline
          value={salt}
          onchange={(event: Event) => (salt = (event.currentTarget as HTMLInputElement).value)}
        />{/if}
      <NumberField label={say.inBatchesOf} min={1} placeholder={say.all} bind:value={size} />
      {#if look && look.batches > 1}
        <Pick label={say.batch} value={batch} onpick={(picked) => (batch = picked)}>
          {#each { length: look.batches }, i (i)}<option value={i + 1}>{say.ofText(i + 1, look.batches)}</option>{/each}
        </Pick>
      {/if}
      <Tick label={say.alsoThoseWhoAreLeftOut} checked={everybody} ontick={(on) => (everybody = on)} />
    </div>
    {#if look}
      <p class="soft" role="status">
        <Figure name="to export" value={look.people}>{count(look.people)}</Figure>
        {say.people}{look.leftOut.length
          ? `. Excluded: ${look.leftOut.map(({ value, people }) => `${count(people)} ${why(value)}`).join(', ')}`
          : ''}{form === 'hashed' ? say.addressesInSmallLettersAndNumbers : '.'}
      </p>
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="preview" tabindex="0" role="region" aria-label={say.theFirstLines}>
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
      <Fold title={say.columnsOfThisFile}>
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
      </Fold>
      <Fold title={say.whatAMergeWouldDo} open={merged !== null}>
        <div class="line">
          <FileButton label={say.aCsvOfTheReceivingSystem} accept={['.csv', 'text/csv']} onfile={merge} />
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
              {say.columnsThatNothingHereFills(merged.onlyThere.join(', '))}
            </p>{/if}
          {#if merged.onlyHere.length}<p class="soft">{say.columnsThatAreNotThere(merged.onlyHere.join(', '))}</p>{/if}
          <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
          <ul class="merged" tabindex="0" aria-label={say.lineByLine}>
            {#each merged.lines.filter(({ what }) => what !== 'same') as { who, what, why: reason, changes }, i (i)}
              <li>
                <b>{what}</b>
                {who}{reason && ` (${reason})`}{#each changes as { header, there, here } (header)}
                  <span class="change">{header}: <s>{there || 'empty'}</s> → {here}</span>{/each}
              </li>
            {/each}
          </ul>
        {/if}
      </Fold>
    {/if}
    {#if list.takings.length}
      <Fold title={say.takenAlongBefore(list.takings.length)}>
        <ul>
          {#each list.takings as { at, form: as, people, what }, i (i)}<li>
              {say.as2(moment(at), count(people), as)}{what && `, ${what}`}
            </li>{/each}
        </ul>
      </Fold>
    {/if}
    <Act
      look="plain"
      onclick={() => window.open(`/api/briefs/${desk.params.id}/shortlists/${desk.params.list}/processing`, '_blank')}
      >{say.recordOfProcessingToPrint}</Act
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
