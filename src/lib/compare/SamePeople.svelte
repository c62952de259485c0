<script lang="ts">
  import { samePeople as say } from './words';
  import Loading from '$lib/ui/Loading.svelte';
  import { leadingJob } from '$core/people';
  import { Table, TableBody, TableCell, TableRow } from '$lib/ui/table';
  import Checkbox from '$lib/ui/Checkbox.svelte';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import type { Answer } from '$api';

  interface Props {
    briefId: string;
    sources: readonly { id: string; name: string }[];
    /** Changes when something of the brief did. */
    turn: number;
    onchanged: () => void;
  }
  let { briefId, sources, turn, onchanged }: Props = $props();

  type Pairs = Answer<'listPairs'>;
  type Pair = Pick<Pairs['doubtful'][number], 'first' | 'second' | 'people'>;
  let pairs: Pairs | null = $state.raw(null);
  let refused: unknown = $state(null);
  async function load() {
    try {
      pairs = await call('listPairs', { params: { id: briefId } });
      refused = null;
    } catch (problem) {
      refused = problem;
    }
  }
  $effect(() => {
    void turn;
    void load();
  });
  async function decide({ first, second }: Pair, same: boolean | null) {
    refused = null;
    try {
      await call('decidePair', { body: { first, second, same } });
      onchanged();
    } catch (problem) {
      refused = problem;
      return;
    }
    await load();
  }
  let name = $state('');
  let named: Answer<'recordsNamed'> | null = $state.raw(null);
  let picked: readonly Answer<'recordsNamed'>[number][] = $state.raw([]);
  async function find() {
    refused = null;
    picked = [];
    if (name.trim().length < 2) {
      named = null;
      return;
    }
    try {
      named = await call('recordsNamed', { params: { id: briefId }, query: { name } });
    } catch (problem) {
      refused = problem;
    }
  }
  function pick(one: Answer<'recordsNamed'>[number], on: boolean) {
    picked = on ? [...picked, one].slice(-2) : picked.filter((other) => other !== one);
  }
  async function decidePicked(same: boolean) {
    const [first, second] = picked;
    if (!first || !second) return;
    await decide(
      {
        first: { sourceId: first.sourceId, personId: first.person.id },
        second: { sourceId: second.sourceId, personId: second.person.id },
        people: [first.person, second.person]
      },
      same
    );
    await find();
  }
  const together = $derived(picked.length === 2 && picked[0]!.number === picked[1]!.number);
  const nameOf = (id: string) => sources.find((source) => source.id === id)?.name ?? id;
  const said = (person: Pair['people'][number]) => {
    const now = leadingJob(person);
    return [
      person.name,
      now ? `${now.title}, ${now.company}` : '',
      person.place ?? '',
      person.contact?.find((text) => text.includes('@')) ?? ''
    ]
      .filter(Boolean)
      .join(' · ');
  };
</script>

{#snippet both(pair: Pair)}
  <TableCell><b>{nameOf(pair.first.sourceId)}</b> {said(pair.people[0])}</TableCell>
  <TableCell><b>{nameOf(pair.second.sourceId)}</b> {said(pair.people[1])}</TableCell>
{/snippet}

<section class="sheet panel" aria-label={say.samePersonAtSeveralSources}>
  <h2>{say.samePersonAtSeveralSources}</h2>
  <p class="soft">
    {say.recordsWithSameEmailOrPage}
  </p>
  <Refused problem={refused} />
  <form
    onsubmit={(event) => {
      event.preventDefault();
      void find();
    }}
  >
    <TextInput label={say.name} inline bind:value={name} maxlength="100" placeholder={say.toMergeOrSplit} />
    <Button type="submit">{say.find}</Button>
    {#if named}
      <Button type="button" disabled={picked.length < 2 || together} onclick={() => decidePicked(true)}
        >{say.samePerson}</Button
      >
      <Button type="button" disabled={!together} onclick={() => decidePicked(false)}>{say.differentPeople}</Button>
    {/if}
  </form>
  {#if named?.length}
    <div class="list">
      <div class="tabled">
        <Table aria-label={say.recordsWithThatName}>
          <TableBody>
            {#each named as one, i (`${one.sourceId} ${one.person.id}`)}
              <TableRow class={i > 0 && named[i - 1]!.number === one.number ? 'follows' : ''}>
                <TableCell
                  ><Checkbox
                    label="{nameOf(one.sourceId)}: {said(one.person)}"
                    checked={picked.includes(one)}
                    onchange={(on) => pick(one, on)}
                  /></TableCell
                >
                <TableCell class="soft"
                  >{i > 0 && named[i - 1]!.number === one.number ? say.samePersonAsAbove : ''}</TableCell
                >
              </TableRow>
            {/each}
          </TableBody>
        </Table>
      </div>
    </div>
  {:else if named}<p>{say.noVersionThisBriefFoundAnybody}</p>{/if}
  {#if pairs}
    {#if pairs.doubtful.length}
      <div class="list">
        <div class="tabled">
          <Table aria-label={say.possibleDuplicates}>
            <TableBody>
              {#each pairs.doubtful as pair (JSON.stringify([pair.first, pair.second]))}
                <TableRow>
                  {@render both(pair)}
                  <TableCell class="soft">{pair.why}</TableCell>
                  <TableCell class="acts">
                    <Button onclick={() => decide(pair, true)}>{say.samePerson2}</Button>
                    <Button onclick={() => decide(pair, false)}>{say.different}</Button>
                  </TableCell>
                </TableRow>
              {/each}
            </TableBody>
          </Table>
        </div>
      </div>
    {:else}<p>{say.noPossibleDuplicates}</p>{/if}
    {#if pairs.decided.length}
      <h3>{say.decided}</h3>
      <div class="list">
        <div class="tabled">
          <Table aria-label={say.decidedPairs}>
            <TableBody>
              {#each pairs.decided as pair (JSON.stringify([pair.first, pair.second]))}
                <TableRow>
                  {@render both(pair)}
                  <TableCell>{pair.same ? say.samePerson3 : say.differentPeople2}</TableCell>
                  <TableCell class="acts"><Button onclick={() => decide(pair, null)}>{say.undo}</Button></TableCell>
                </TableRow>
              {/each}
            </TableBody>
          </Table>
        </div>
      </div>
    {/if}
  {:else if !refused}<Loading label={say.comparingRecords} lines={4} />{/if}
</section>

<style>
  form {
    display: flex;
    gap: 8px;
    align-items: baseline;
    margin: 8px 0;
  }
  .tabled :global(.follows td) {
    border-top-style: dotted;
  }
</style>
