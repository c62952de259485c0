<script lang="ts">
  import { sheetCounting as say } from './words';
  import type { Sheet } from '$core/dialect';
  import Field from '$lib/ui/Field.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import Tick from '$lib/ui/Tick.svelte';

  interface Props {
    sheet: Sheet;
    put: <K extends keyof Sheet>(key: K, value: Sheet[K]) => void;
  }
  let { sheet, put }: Props = $props();
</script>

<div class="form-line">
  <Tick
    label={say.findsOtherEndingsEnglish}
    checked={sheet.matching.stemming !== null}
    ontick={(on) => put('matching', { ...sheet.matching, stemming: on ? 'english' : null })}
  />
  <Tick
    label={say.takesEForE}
    checked={sheet.matching.diacritics === 'folded'}
    ontick={(on) => put('matching', { ...sheet.matching, diacritics: on ? 'folded' : 'kept' })}
  />
  <Pick
    label={say.counts}
    value={sheet.counting.kind}
    onpick={(picked) =>
      put(
        'counting',
        picked === 'rounded'
          ? { kind: 'rounded', above: 1000, figures: 2 }
          : picked === 'guess'
            ? { kind: 'guess', factor: 3 }
            : { kind: 'exact' }
      )}
  >
    <option value="exact">{say.exactly}</option><option value="rounded">{say.rounded}</option><option value="guess"
      >{say.byAGuess}</option
    >
  </Pick>
  {#if sheet.counting.kind === 'rounded'}
    {@const counting = sheet.counting}
    <Field
      label={say.above}
      inline
      class="number"
      inputmode="numeric"
      value={counting.above}
      oninput={(e) => put('counting', { ...counting, above: Number(e.currentTarget.value) })}
    />
    <Field
      label={say.toFigures}
      inline
      class="number"
      inputmode="numeric"
      value={counting.figures}
      oninput={(e) => put('counting', { ...counting, figures: Number(e.currentTarget.value) })}
    />
  {:else if sheet.counting.kind === 'guess'}
    {@const counting = sheet.counting}
    <Field
      label={say.upToTimesOff}
      inline
      class="number"
      inputmode="decimal"
      value={counting.factor}
      oninput={(e) => put('counting', { ...counting, factor: Number(e.currentTarget.value) })}
    />
  {/if}
</div>
<div class="form-line">
  <Field
    label={say.wordsItDropsInsideQuotesToo}
    inline
    value={sheet.matching.stopWords.join(' ')}
    placeholder={say.ofTheAnd}
    onchange={(e) =>
      put('matching', {
        ...sheet.matching,
        stopWords: e.currentTarget.value
          .toLowerCase()
          .split(/[\s,;]+/)
          .filter(Boolean)
      })}
  />
  <Tick
    label={say.charges}
    checked={sheet.price !== null}
    ontick={(on) => put('price', on ? { perSearch: 0, perRecord: 0, unit: 'EUR' } : null)}
  />
  {#if sheet.price}
    {@const price = sheet.price}
    <Field
      label={say.aSearch}
      inline
      class="number"
      inputmode="decimal"
      value={price.perSearch}
      oninput={(e) => put('price', { ...price, perSearch: Number(e.currentTarget.value) })}
    />
    <Field
      label={say.aRecord}
      inline
      class="number"
      inputmode="decimal"
      value={price.perRecord}
      oninput={(e) => put('price', { ...price, perRecord: Number(e.currentTarget.value) })}
    />
    <Field
      label={say.inText}
      inline
      class="number"
      value={price.unit}
      maxlength="20"
      oninput={(e) => put('price', { ...price, unit: e.currentTarget.value })}
    />
  {/if}
</div>
