<script lang="ts">
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
  // The page loads its sources anew after each verdict: they are the same ones.
  const sourceId = $derived(source.id);
  $effect(() => {
    const asking = new AbortController();
    const body = { text, sourceId };
    call('knownAt', { params: { id: briefId }, body, signal: asking.signal }).then(
      (told) => (known = told),
      () => (known = [])
    );
    return () => asking.abort();
  });
  const there = $derived(known.filter(({ person }) => person).length);
  const found = $derived(known.filter(({ explanation }) => explanation?.found).length);
</script>

{#if known.length}
  <section class="sheet" aria-label="Known-goods here">
    <h2>Known-goods</h2>
    <p>{there} of {known.length} are in {source.name}; this string finds {found} of them.</p>
    <div class="tabled">
      <Table aria-label="Known-goods not found">
        <TableBody>
          {#each known.filter(({ explanation }) => !explanation?.found) as one (one.id)}
            <TableRow>
              <TableCell
                >{one.name}
                <div class="soft">{one.company}</div></TableCell
              >
              <TableCell>
                {#if !one.person}not in {source.name}
                {:else if one.explanation?.letIn}
                  to let them in: {one.explanation.letIn.says.join('; ')}
                {:else}no single change lets them in{/if}
              </TableCell>
              <TableCell class="soft"
                >{one.explanation?.parts
                  .filter(({ met }) => !met)
                  .map(
                    ({ part, untold }) =>
                      `part ${part + 1} fails${untold.length ? ` (${untold.join(', ')} not told)` : ''}`
                  )
                  .join(', ') ?? ''}</TableCell
              >
            </TableRow>
          {/each}
        </TableBody>
      </Table>
    </div>
    <p class="soft"><a href={stringPath}>Change the string</a></p>
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
