<script lang="ts">
  import { causes as say } from '../words';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import { partGlyph, partTint } from '$lib/marks/parts';
  import { percent } from '$lib/marks/format';
  import type { Person } from '$core/people';
  import { type Query } from '$core/language';
  import { matchingOf, type MatchingRules } from '$core/semantics';
  import { causesOf } from '$core/suggest';
  import { fieldWords } from '../field-words';

  interface Props {
    query: Query;
    matching: MatchingRules;
    misses: readonly Person[];
    fits: readonly Person[];
    proposalsPath: string;
  }
  let { query, matching, misses, fits, proposalsPath }: Props = $props();

  const rules = $derived(matchingOf(matching));
  const causes = $derived(causesOf(query, misses, rules));
  const ofFits = $derived(
    new Map(causesOf(query, fits, rules).map(({ term, field, people }) => [`${term} ${field}`, people]))
  );
</script>

<section class="sheet" aria-label={say.causesMisses}>
  <h2>{say.whyMissesWereFound(misses.length)}</h2>
  <div class="tabled">
    <Table aria-label={say.termsAndFieldsThatMatchedMisses}>
      <TableHead
        ><TableRow
          ><TableHeader>{say.term}</TableHeader><TableHeader>{say.foundIn}</TableHeader><TableHeader
            >{say.misses}</TableHeader
          ><TableHeader>{say.fits}</TableHeader></TableRow
        ></TableHead
      >
      <TableBody>
        {#each causes.slice(0, 8) as { part, term, field, people } (`${part} ${term} ${field}`)}
          {@const good = ofFits.get(`${term} ${field}`) ?? 0}
          <TableRow>
            <TableCell
              ><span style:color={partTint(part)}>{partGlyph(part)}</span> <span class="mono">{term}</span></TableCell
            >
            <TableCell>{fieldWords[field] ?? field}</TableCell>
            <TableCell class="number">{people} <span class="soft">{percent(people / misses.length)}</span></TableCell>
            <TableCell class="number"
              >{good} <span class="soft">{fits.length ? percent(good / fits.length) : '–'}</span></TableCell
            >
          </TableRow>
        {/each}
      </TableBody>
    </Table>
  </div>
  <p class="soft"><a href={proposalsPath}>{say.proposalsToRemoveThem}</a>{say.measuredBeforeYouApplyThem}</p>
</section>

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
