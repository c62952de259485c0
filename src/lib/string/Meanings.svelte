<script lang="ts">
  import Waiting from '$lib/ui/Waiting.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Act from '$lib/ui/Act.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import { reading } from '$lib/frame/certain-only';
  import { call } from '$lib/api/call';
  import { about, count, percent, percentRange } from '$lib/marks/format';
  import type { Answer } from '$api';

  type Senses = Answer<'senses'>;
  interface Props {
    text: string;
    sources: readonly { id: string; name: string }[];
    ontake: (text: string) => void;
  }
  let { text, sources, ontake }: Props = $props();

  // svelte-ignore state_referenced_locally
  let sourceId = $state(sources[0]?.id ?? '');
  let answer: Senses | null = $state.raw(null);
  let fault = $state('');
  $effect(() => {
    const asking = new AbortController();
    const body = { text, sourceId };
    const timer = setTimeout(() => {
      call('senses', { body, signal: asking.signal }).then(
        (told) => {
          answer = told;
          fault = '';
        },
        (problem: Error) => {
          if (!asking.signal.aborted) fault = problem.message;
        }
      );
    }, 150);
    return () => {
      clearTimeout(timer);
      asking.abort();
    };
  });
  type Change = Senses['words'][number]['senses'][number]['changes'][number];
  const says = { asking: 'Want a word of it too', excluding: 'Leave the others out' };
  const losing = (before: number, change: Change) =>
    change.kept < before ? `loses ${count(before - change.kept)} of this meaning` : 'loses none of this meaning';
</script>

<section class="sheet" aria-label="Meanings of words in this string">
  <div class="line">
    <h2>Meanings</h2>
    <Pick label="among the people found at" bind:value={sourceId}>
      {#each sources as source (source.id)}<option value={source.id}>{source.name}</option>{/each}
    </Pick>
  </div>
  {#if fault}<p class="fault" role="alert">{fault}</p>{/if}
  {#if answer}
    {#if answer.unmeasured}<p class="soft">
        {answer.unmeasured} more ways to want one meaning would take too long to measure here.
      </p>{/if}
    {#each answer.words as { word, people, senses } (word)}
      {@const told = senses.reduce((sum, sense) => sum + sense.people, 0)}
      <h3>
        <span class="mono">{word}</span>
        <span class="soft"
          >in {count(people)} of the profiles shown{#if people > told}; {count(people - told)} do not tell what it means{/if}</span
        >
      </h3>
      <div class="tabled">
        <Table aria-label="Meanings of {word}">
          <TableHead
            ><TableRow
              ><TableHeader>Meaning</TableHeader><TableHeader>Share</TableHeader><TableHeader
                >If only this is wanted</TableHeader
              ></TableRow
            ></TableHead
          >
          <TableBody>
            {#each senses as sense (sense.name)}
              <TableRow>
                <TableCell>{sense.name}</TableCell>
                <TableCell class="number"
                  >{people ? percent(sense.people / people) : '–'}
                  <span class="soft">{people ? percentRange(sense.interval) : ''}, {count(sense.people)}</span
                  ></TableCell
                >
                <TableCell class="changes">
                  {#each sense.changes as change (change.how)}
                    <div>
                      <Act aria-label="{says[change.how]}: {word} as {sense.name}" onclick={() => ontake(change.text)}
                        >{says[change.how]}</Act
                      >
                      <span class="soft"
                        >{about(answer.estimated[reading()])} → {about(change.estimated[reading()])}; {count(
                          change.othersLeft
                        )} of other meanings stay; {losing(sense.people, change)}</span
                      >
                    </div>
                  {/each}
                </TableCell>
              </TableRow>
            {/each}
          </TableBody>
        </Table>
      </div>
    {:else}
      <p>No word of this string is known to have several meanings by itself.</p>
    {/each}
  {:else if !fault}
    <Waiting says="Reading the people found…" lines={4} />
  {/if}
</section>

<style>
  section {
    margin-top: 12px;
    padding: 10px 16px;
    font-size: 13px;
  }
  .line {
    display: flex;
    gap: 14px;
    align-items: baseline;
  }
  .line :global(label) {
    flex: 1;
  }
  h3 {
    margin: 8px 0 2px;
    font-size: 13px;
  }
  .tabled :global(td) {
    padding: 3px 10px;
    vertical-align: top;
  }
  .tabled :global(.changes div) {
    display: flex;
    gap: 10px;
    align-items: baseline;
    margin-bottom: 2px;
  }
  .tabled :global(.changes .act.bx--btn) {
    padding: 1px 8px;
    white-space: nowrap;
  }
  .fault {
    color: var(--warm);
  }
</style>
