<script lang="ts">
  import { factsRead as say } from './words';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Button from '$lib/ui/Button.svelte';
  import ButtonSet from '$lib/ui/ButtonSet.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
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
    title: say.title,
    function: say.functionOf,
    rank: say.rank,
    industry: say.industry,
    country: say.country,
    place: say.place,
    size: say.firmSize,
    revenue: say.revenue,
    'must have': say.mustHave,
    exclusion: say.exclude,
    'firm left out': say.firmToExclude,
    offer: say.whatYouSell
  };
  const valueOf = ({ value, kind, words }: BriefFact): string => {
    if (typeof value === 'string') return kind === 'industry' ? words : kind === 'country' ? countryName(value) : value;
    const { from, to } = value;
    const unit = kind === 'size' ? say.people : say.million;
    return from === null ? say.upTo(to, unit) : to === null ? say.orMore(from, unit) : say.toText(from, to, unit);
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
      <Table aria-label={say.factsFoundInText}>
        <TableHead
          ><TableRow
            ><TableHeader></TableHeader><TableHeader>{say.fact}</TableHeader><TableHeader>{say.readFrom}</TableHeader
            ></TableRow
          ></TableHead
        >
        <TableBody>
          {#each reading.facts as fact (keyOf(fact))}
            <TableRow class={refused.has(keyOf(fact)) ? 'off' : ''}>
              <TableCell
                ><Checkbox
                  label={say.accept(kinds[fact.kind], valueOf(fact))}
                  hideLabel
                  disabled={!canTake(fact)}
                  checked={canTake(fact) && !refused.has(keyOf(fact))}
                  onchange={() => toggle(fact)}
                /></TableCell
              >
              <TableCell
                ><span class="soft">{kinds[fact.kind]}</span> <b>{valueOf(fact)}</b>
                {#if !canTake(fact)}<span class="soft">{say.noSourceCanSearchThis}</span>{/if}</TableCell
              >
              <TableCell class="soft">“{text.slice(fact.from, fact.to)}”</TableCell>
            </TableRow>
          {:else}
            <TableRow><TableCell class="soft" colspan={3}>{say.couldntFindAnyFactsMentionTitles}</TableCell></TableRow>
          {/each}
        </TableBody>
      </Table>
    </div>
  {:else}
    <p class="soft">{say.factsAppearHereAsYouPaste}</p>
  {/if}
  <ButtonSet>
    <Button kind="primary" disabled={!accepted.length} onclick={() => ontake(accepted)}
      >{say.addFacts(accepted.length)}</Button
    >
    <Button onclick={onclose}>{say.close}</Button>
  </ButtonSet>
</div>

<style>
  div > :global(.button-set) {
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
