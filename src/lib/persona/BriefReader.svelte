<script lang="ts">
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Act from '$lib/ui/Act.svelte';
  import TextBox from '$lib/ui/TextBox.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import { countryName, type Regions } from '$core/people';
  import { personaFromText, type BriefFact, canTake } from '$core/persona';

  interface Props {
    regions: Regions;
    ontake: (facts: BriefFact[]) => void;
    onclose: () => void;
  }
  let { regions, ontake, onclose }: Props = $props();

  let text = $state('');
  let refused: ReadonlySet<number> = $state.raw(new Set());
  const reading = $derived(text.trim() ? personaFromText(text.slice(0, 50_000), regions) : null);
  const accepted = $derived(reading?.facts.filter((fact, i) => canTake(fact) && !refused.has(i)) ?? []);
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
    offer: 'what is sold'
  };
  const valueOf = ({ value, kind, words }: BriefFact): string => {
    if (typeof value === 'string') return kind === 'industry' ? words : kind === 'country' ? countryName(value) : value;
    const { from, to } = value;
    const unit = kind === 'size' ? ' people' : ' million';
    return from === null ? `up to ${to}${unit}` : to === null ? `${from}${unit} or more` : `${from} to ${to}${unit}`;
  };
  function toggle(index: number) {
    const next = new Set(refused);
    if (!next.delete(index)) next.add(index);
    refused = next;
  }
</script>

<section class="sheet" aria-label="Read a written brief">
  <div>
    <h2>Read a written brief</h2>
    <TextBox
      rows="9"
      aria-label="The brief as it was written"
      placeholder="Paste a page of text: what is sold, who the best customers are, who is spoken to, who is not wanted. It is read here, by rules, and goes nowhere."
      value={text}
      oninput={(event) => {
        text = event.currentTarget.value;
        refused = new Set();
      }}
    />
    {#if reading?.unread.length}
      <p class="soft">Not understood: {reading.unread.map((one) => `“${one.text.slice(0, 120)}”`).join(' ')}</p>
    {/if}
  </div>
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
            {#each reading.facts as fact, i (i)}
              <TableRow class={refused.has(i) ? 'off' : ''}>
                <TableCell
                  ><Tick
                    label="Accept {kinds[fact.kind]} {valueOf(fact)}"
                    hideLabel
                    disabled={!canTake(fact)}
                    checked={canTake(fact) && !refused.has(i)}
                    ontick={() => toggle(i)}
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
    <div class="line">
      <Act look="main" disabled={!accepted.length} onclick={() => ontake(accepted)}
        >Take {accepted.length} fact{accepted.length === 1 ? '' : 's'} into the persona</Act
      >
      <Act onclick={onclose}>Close</Act>
    </div>
  </div>
</section>

<style>
  section {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 16px;
    padding: 14px 18px;
    margin-bottom: 14px;
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
  .line {
    display: flex;
    gap: 10px;
    margin-top: 10px;
  }
</style>
