<script lang="ts">
  import { sheetView as say } from './words';
  import { count } from '$lib/marks/format';
  import { factLabel, type Sheet } from '$core/dialect';

  let { sheet }: { sheet: Sheet } = $props();

  const limit = (value: number | null | undefined) => (value === null || value === undefined ? say.none : count(value));
  const sign = (value: string | null) => value ?? say.notPossible;
  const counts = $derived(
    sheet.counting.kind === 'exact'
      ? say.countsExactly
      : sheet.counting.kind === 'rounded'
        ? say.roundsCountsAboveToSignificant(count(sheet.counting.above), sheet.counting.figures)
        : say.guessesCountsUpToTimesOff(sheet.counting.factor)
  );
</script>

<!-- A sheet that cannot be changed: its values as plain text. -->
<p>{sheet.about}</p>
<h2>{say.boxes}</h2>
{#each sheet.boxes as box (box.id)}
  <dl>
    <dt>{box.label}</dt>
    <dd>
      {say.searches(box.searches === 'any' ? say.wholeProfile : box.searches)}
      {#if box.scoped}{say.acceptsEavesNotationAsIs}{:else}
        {say.andOrNot(box.and ?? say.none, sign(box.or), sign(box.not))}
        {[
          box.phrase && say.quotesMakePhrases,
          box.group && say.bracketsMakeGroups,
          box.prefix && say.matchesWordEndings,
          box.binding === 'or-first' && say.orBindsFirst,
          box.opening && say.everySearchStartsWith(box.opening)
        ]
          .filter(Boolean)
          .join(' · ')}
      {/if}
    </dd>
  </dl>
{:else}<p class="soft">{say.none}</p>{/each}
<h2>{say.factsAndLists}</h2>
{#each sheet.facts as fact (fact.scope)}
  <dl>
    <dt>{factLabel(fact)}</dt>
    <dd>
      {[
        fact.range && say.fromTo,
        fact.include && say.include,
        fact.exclude && say.exclude,
        fact.most && say.atMostValues(count(fact.most)),
        fact.values?.join(', '),
        fact.buckets?.map(({ label }) => label).join(', ')
      ]
        .filter(Boolean)
        .join(' · ')}
    </dd>
  </dl>
{:else}<p class="soft">{say.none}</p>{/each}
<h2>{say.whatItsResultsList}</h2>
<p>{sheet.lists.map((scope) => (scope === 'any' ? say.wholeProfile : scope)).join(', ')}</p>
<h2>{say.limits}</h2>
{#each [[say.charactersPerBox, sheet.limits.characters], [say.wordsPerSearch, sheet.limits.words], [say.operatorsPerSearch, sheet.limits.operators], [say.resultsShown, sheet.limits.shown], [say.resultsPerPage, sheet.limits.page], [say.requestsPerMinute, sheet.limits.perMinute], [say.searchesPerString, sheet.limits.searches]] as const as [name, value] (name)}
  <dl>
    <dt>{name}</dt>
    <dd>{limit(value)}</dd>
  </dl>
{/each}
<h2>{say.matchingCountingAndPrice}</h2>
<p>
  {[
    sheet.matching.stemming ? say.matchesOtherWordEndings : say.matchesWordsExactlyAsWritten,
    sheet.matching.diacritics === 'folded' ? say.treatsEAsE : say.keepsAccentsApart,
    sheet.matching.stopWords.length && say.ignores(sheet.matching.stopWords.join(', ')),
    counts,
    sheet.price && say.sPerSearchPerRecord(sheet.price.perSearch, sheet.price.perRecord, sheet.price.unit)
  ]
    .filter(Boolean)
    .join(' · ')}
</p>

<style>
  h2 {
    margin: 12px 0 4px;
    border-bottom: 1px solid var(--rule);
  }
  dl {
    display: grid;
    grid-template-columns: 190px 1fr;
    gap: 10px;
    padding: 2px 0;
  }
  dt {
    color: var(--soft);
  }
</style>
