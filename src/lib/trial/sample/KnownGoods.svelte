<script lang="ts">
  import { knownGoods as say } from '../words';
  import { Table, TableBody, TableCell, TableRow } from '$lib/ui/table';
  import { call } from '$lib/api/call';
  import type { Answer } from '$api';

  interface Props {
    briefId: string;
    text: string;
    source: { id: string; name: string };
    stringPath: string;
  }
  let { briefId, text, source, stringPath }: Props = $props();

  let known: Answer<'knownAt'> = $state.raw([]);
  // The page reloads its sources after each verdict: they stay the same.
  const sourceId = $derived(source.id);
  $effect(() => {
    const asking = new AbortController();
    const body = { text, sourceId };
    call('knownAt', { params: { id: briefId }, body, signal: asking.signal }).then(
      (notice) => (known = notice),
      () => (known = [])
    );
    return () => asking.abort();
  });
  const there = $derived(known.filter(({ person }) => person).length);
  const found = $derived(known.filter(({ explanation }) => explanation?.found).length);
</script>

{#if known.length}
  <section class="sheet" aria-label={say.knownGoodsAtThisSource}>
    <h2>{say.knownGoods}</h2>
    <p>{say.areInThisStringFindsThem(there, known.length, source.name, found)}</p>
    <div class="tabled">
      <Table aria-label={say.knownGoodsNotFound}>
        <TableBody>
          {#each known.filter(({ explanation }) => !explanation?.found) as one (one.id)}
            <TableRow>
              <TableCell
                >{one.name}
                <div class="soft">{one.company}</div></TableCell
              >
              <TableCell>
                {#if !one.person}{say.notIn(source.name)}
                {:else if one.explanation?.letIn}
                  {say.toIncludeThem(one.explanation.letIn.says.join('; '))}
                {:else}{say.noSingleChangeIncludesThem}{/if}
              </TableCell>
              <TableCell class="soft"
                >{one.explanation?.parts
                  .filter(({ met }) => !met)
                  .map(
                    ({ part, unlisted }) =>
                      `part ${part + 1} doesn’t match${unlisted.length ? ` (${unlisted.join(', ')} not listed)` : ''}`
                  )
                  .join(', ') ?? ''}</TableCell
              >
            </TableRow>
          {/each}
        </TableBody>
      </Table>
    </div>
    <p class="soft"><a href={stringPath}>{say.changeString}</a></p>
  </section>
{/if}

<style>
  section {
    margin-top: 12px;
    padding: 10px 18px;
    font-size: 13px;
    display: grid;
    gap: 8px;
  }
  .tabled :global(td) {
    padding: 3px 10px;
  }
</style>
