<script lang="ts">
  import { peopleToJudge as say } from '../words';
  import DataTable from 'carbon-components-svelte/src/DataTable/DataTable.svelte';
  import Toolbar from 'carbon-components-svelte/src/DataTable/Toolbar.svelte';
  import ToolbarBatchActions from 'carbon-components-svelte/src/DataTable/ToolbarBatchActions.svelte';
  import ToolbarContent from 'carbon-components-svelte/src/DataTable/ToolbarContent.svelte';
  import ToolbarSearch from 'carbon-components-svelte/src/DataTable/ToolbarSearch.svelte';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { saveFile } from '$lib/frame/save-file';
  import { keepOnShortlist } from '$lib/shortlist/keep';
  import { verdicts } from '$lib/marks/verdicts';
  import Button from '$lib/ui/Button.svelte';
  import type { Verdict } from '$core/measure';
  import { peopleCsv, rowOf, type Listed, type PersonRow } from './people-rows';

  interface Props {
    briefId: string;
    sourceId: string;
    people: readonly Listed[];
    label: string;
    /** Called when a verdict was given, since figures follow from it. */
    onjudged: () => void;
  }
  let { briefId, sourceId, people, label, onjudged }: Props = $props();

  const rows = $derived(people.map(rowOf));
  const byId = $derived(new Map(people.map((one) => [one.person.id, one])));
  let selected: string[] = $state([]);
  const headers: { key: keyof PersonRow; value: string }[] = [
    { key: 'rank', value: say.shownAt },
    { key: 'name', value: say.name },
    { key: 'title', value: say.title },
    { key: 'company', value: say.firm },
    { key: 'country', value: say.country },
    { key: 'verdict', value: say.verdict }
  ];

  let refused: unknown = $state(null);
  async function keep() {
    refused = null;
    try {
      const records = selected.map((personId) => ({ sourceId, personId }));
      await keepOnShortlist(briefId, { kind: 'records', records }, label.toLowerCase());
      selected = [];
    } catch (problem) {
      refused = problem;
    }
  }
  /** Gives everybody the verdict, all or nobody; one who has it already has it taken back where they are alone. */
  async function judge(ids: readonly string[], verdict: Verdict) {
    refused = null;
    const given = ids.flatMap((personId) => {
      const one = byId.get(personId);
      if (!one) return [];
      const back = ids.length === 1 && one.verdict?.verdict === verdict;
      return [
        {
          sourceId,
          personId,
          verdict: back ? null : verdict,
          reason: back ? '' : (one.verdict?.reason ?? ''),
          revision: one.verdict?.revision ?? 0
        }
      ];
    });
    try {
      for (let from = 0; from < given.length; from += 500)
        await call('judgeMany', { params: { id: briefId }, body: { verdicts: given.slice(from, from + 500) } });
      selected = [];
    } catch (problem) {
      refused = problem;
    }
    onjudged();
  }
</script>

<Refused problem={refused} />
<div role="group" aria-label={label}>
  <DataTable
    size="compact"
    sortable
    selectable
    batchSelection
    stickyHeader={rows.length > 100}
    virtualize={rows.length > 100 ? { itemHeight: 32, maxVisibleRows: 12 } : undefined}
    {headers}
    {rows}
    bind:selectedRowIds={selected}
  >
    <Toolbar size="sm">
      <ToolbarBatchActions>
        {#each Object.entries(verdicts) as [verdict, { sign, word }] (verdict)}
          <Button onclick={() => judge(selected, verdict as Verdict)}>{say.all(sign, word.toLowerCase())}</Button>
        {/each}
        <Button onclick={keep}>{say.addToShortlist}</Button>
      </ToolbarBatchActions>
      <ToolbarContent>
        <ToolbarSearch persistent shouldFilterRows placeholder={say.findIn(label.toLowerCase())} />
        <Button
          onclick={() => saveFile(peopleCsv(people), `${label.toLowerCase().replaceAll(' ', '-')}.csv`, 'text/csv')}
          >{say.downloadCsv}</Button
        >
      </ToolbarContent>
    </Toolbar>
    <svelte:fragment slot="cell" let:row let:cell>
      {#if cell.key === 'verdict'}
        <span class="judge">
          {#each Object.entries(verdicts) as [verdict, { sign, word, colour }] (verdict)}
            <Button
              aria-pressed={(row as PersonRow).verdict === verdict}
              aria-label={say.is((row as PersonRow).name, verdict === 'unsure' ? '' : 'a ', word.toLowerCase())}
              style="color: {colour}"
              onclick={() => judge([(row as PersonRow).id], verdict as Verdict)}>{sign} {word}</Button
            >
          {/each}
        </span>
      {:else}{cell.value}{/if}
    </svelte:fragment>
  </DataTable>
</div>

<style>
  .judge {
    display: flex;
    gap: 4px;
  }
  .judge :global(.button.bx--btn) {
    min-height: 22px;
    padding: 0 7px;
    font-size: 12px;
  }
</style>
