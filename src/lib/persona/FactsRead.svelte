<script lang="ts">
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Act from '$lib/ui/Act.svelte';
  import Acts from '$lib/ui/Acts.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import { countryName } from '$core/people';
  import { canTake, type BriefFact, type BriefReading } from '$core/persona';

  interface Props {
    /** What was read, and the text it was read from; null while there is no text. */
    reading: BriefReading | null;
    text: string;
    ontake: (facts: BriefFact[]) => void;
    onclose: () => void;
  }
  let { reading, text, ontake, onclose }: Props = $props();

  const keyOf = ({ kind, value }: BriefFact) => `${kind} ${JSON.stringify(value)}`;
  let refused: ReadonlySet<string> = $state.raw(new Set());
  const accepted = $derived(reading?.facts.filter((fact) => canTake(fact) && !refused.has(keyOf(fact))) ?? []);
  const kinds: Record<BriefFact['kind'], string> = {
    title: 'title',
    function: 'function',
    rank: 'rank',
    industry: 'industry',
    country: 'country',
    place: 'place',
    size: 'size of firm',
    revenue: 'revenue',
    'must have': 'must have',
    exclusion: 'must not come',
    'firm left out': 'firm to leave out',
    offer: 'what is sold'
  };
  const valueOf = ({ value, kind, words }: BriefFact): string => {
    if (typeof value === 'string') return kind === 'industry' ? words : kind === 'country' ? countryName(value) : value;
    const { from, to } = value;
    const unit = kind === 'size' ? ' people' : ' million';
    return from === null ? `up to ${to}${unit}` : to === null ? `${from}${unit} or more` : `${from} to ${to}${unit}`;
  };
  function toggle(fact: BriefFact) {
    const next = new Set(refused);
    if (!next.delete(keyOf(fact))) next.add(keyOf(fact));
    refused = next;
  }
</script>

<div>
  {#if reading}
    <div class="tabled">
      <Table aria-label="What the brief says">
        <TableHead
          ><TableRow
            ><TableHeader></TableHeader><TableHeader>Fact</TableHeader><TableHeader>Read from</TableHeader></TableRow
          ></TableHead
        >
        <TableBody>
          {#each reading.facts as fact (keyOf(fact))}
            <TableRow class={refused.has(keyOf(fact)) ? 'off' : ''}>
              <TableCell
                ><Tick
                  label="Accept {kinds[fact.kind]} {valueOf(fact)}"
                  hideLabel
                  disabled={!canTake(fact)}
                  checked={canTake(fact) && !refused.has(keyOf(fact))}
                  ontick={() => toggle(fact)}
                /></TableCell
              >
              <TableCell
                ><span class="soft">{kinds[fact.kind]}</span> <b>{valueOf(fact)}</b>
                {#if !canTake(fact)}<span class="soft">(no source can be asked for it)</span>{/if}</TableCell
              >
              <TableCell class="soft">“{text.slice(fact.from, fact.to)}”</TableCell>
            </TableRow>
          {:else}
            <TableRow
              ><TableCell class="soft" colspan={3}
                >Nothing was understood. Name titles, trades, countries and sizes, in English.</TableCell
              ></TableRow
            >
          {/each}
        </TableBody>
      </Table>
    </div>
  {:else}
    <p class="soft">Facts appear here as you paste, each with the words it was read from.</p>
  {/if}
  <Acts>
    <Act look="main" disabled={!accepted.length} onclick={() => ontake(accepted)}
      >Take {accepted.length} fact{accepted.length === 1 ? '' : 's'} into the persona</Act
    >
    <Act onclick={onclose}>Close</Act>
  </Acts>
</div>

<style>
  div > :global(.act-set) {
    margin-top: 10px;
  }
  .tabled :global(table) {
    display: block;
    max-height: 300px;
    overflow: auto;
    font-size: 13px;
  }
  .tabled :global(td) {
    padding: 3px 10px;
  }
  .tabled :global(.off b) {
    text-decoration: line-through;
    font-weight: 400;
  }
  p {
    font-size: 13px;
  }
</style>
