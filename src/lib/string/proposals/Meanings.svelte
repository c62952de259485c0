<script lang="ts">
  import { meanings as say } from '../words';
  import Loading from '$lib/ui/Loading.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
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
        (latest) => {
          answer = latest;
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
  const says = { asking: say.requireRelatedWord, excluding: say.excludeOthers };
  const losing = (before: number, change: Change) =>
    change.kept < before ? say.losesThisMeaning(count(before - change.kept)) : say.losesNoneThisMeaning;
</script>

<section class="sheet" aria-label={say.meaningsWordsInThisString}>
  <div class="line">
    <h2>{say.meanings}</h2>
    <Select label={say.amongPeopleFoundAt} bind:value={sourceId}>
      {#each sources as source (source.id)}<option value={source.id}>{source.name}</option>{/each}
    </Select>
  </div>
  {#if fault}<p class="fault" role="alert">{fault}</p>{/if}
  {#if answer}
    {#if answer.unmeasured}<p class="soft">
        {say.moreWaysToPickOneMeaning(answer.unmeasured)}
      </p>{/if}
    {#each answer.words as { word, people, senses } (word)}
      {@const clear = senses.reduce((sum, sense) => sum + sense.people, 0)}
      <h3>
        <span class="mono">{word}</span>
        <span class="soft"
          >{say.inProfilesShown(count(people))}{#if people > clear}{say.unclearIn(count(people - clear))}{/if}</span
        >
      </h3>
      <div class="tabled">
        <Table aria-label={say.meanings2(word)}>
          <TableHead
            ><TableRow
              ><TableHeader>{say.meaning}</TableHeader><TableHeader>{say.share}</TableHeader><TableHeader
                >{say.toKeepOnlyThis}</TableHeader
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
                      <Button
                        aria-label={say.as(says[change.how], word, sense.name)}
                        onclick={() => ontake(change.text)}>{says[change.how]}</Button
                      >
                      <span class="soft"
                        >{say.withOtherMeaningsStay(
                          about(answer.estimated[reading()]),
                          about(change.estimated[reading()]),
                          count(change.othersLeft),
                          losing(sense.people, change)
                        )}</span
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
      <p>{say.noWordInThisStringIs}</p>
    {/each}
  {:else if !fault}
    <Loading label={say.readingProfiles} lines={4} />
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
  .tabled :global(.changes .button.bx--btn) {
    padding: 1px 8px;
    white-space: nowrap;
  }
  .fault {
    color: var(--warm);
  }
</style>
