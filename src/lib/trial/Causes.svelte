<script lang="ts">
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import { partGlyph, partTint } from '$lib/marks/parts';
  import { percent } from '$lib/marks/format';
  import type { Person } from '$core/people';
  import { type Query } from '$core/language';
  import { matchingOf, type MatchingRules } from '$core/semantics';
  import { causesOf } from '$core/suggest';
  import { fieldWords } from './field-words';

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

<section class="sheet" aria-label="Why misses came">
  <h2>Why the {misses.length === 1 ? 'one miss' : `${misses.length} misses`} came</h2>
  <div class="tabled">
    <Table aria-label="Terms and fields that brought misses">
      <TableHead
        ><TableRow
          ><TableHeader>Term</TableHeader><TableHeader>found in</TableHeader><TableHeader>Misses</TableHeader
          ><TableHeader>Fits</TableHeader></TableRow
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
  <p class="soft"><a href={proposalsPath}>What would keep them away</a>, measured before it is taken.</p>
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
