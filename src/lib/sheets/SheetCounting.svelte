<script lang="ts">
  import { sheetCounting as say } from './words';
  import type { Sheet } from '$core/dialect';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';

  interface Props {
    sheet: Sheet;
    put: <K extends keyof Sheet>(key: K, value: Sheet[K]) => void;
  }
  let { sheet, put }: Props = $props();
</script>

<div class="form-line">
  <Checkbox
    label={say.matchesOtherEndingsEnglish}
    checked={sheet.matching.stemming !== null}
    onchange={(on) => put('matching', { ...sheet.matching, stemming: on ? 'english' : null })}
  />
  <Checkbox
    label={say.treatsEAsE}
    checked={sheet.matching.diacritics === 'folded'}
    onchange={(on) => put('matching', { ...sheet.matching, diacritics: on ? 'folded' : 'kept' })}
  />
  <Select
    label={say.counts}
    value={sheet.counting.kind}
    onchange={(picked) =>
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
      >{say.asGuess}</option
    >
  </Select>
  {#if sheet.counting.kind === 'rounded'}
    {@const counting = sheet.counting}
    <TextInput
      label={say.above}
      inline
      class="number"
      inputmode="numeric"
      value={counting.above}
      oninput={(e) => put('counting', { ...counting, above: Number(e.currentTarget.value) })}
    />
    <TextInput
      label={say.toSignificantFigures}
      inline
      class="number"
      inputmode="numeric"
      value={counting.figures}
      oninput={(e) => put('counting', { ...counting, figures: Number(e.currentTarget.value) })}
    />
  {:else if sheet.counting.kind === 'guess'}
    {@const counting = sheet.counting}
    <TextInput
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
  <TextInput
    label={say.wordsItIgnoresAlsoInsideQuotes}
    inline
    value={sheet.matching.stopWords.join(' ')}
    placeholder={say.and}
    onchange={(e) =>
      put('matching', {
        ...sheet.matching,
        stopWords: e.currentTarget.value
          .toLowerCase()
          .split(/[\s,;]+/)
          .filter(Boolean)
      })}
  />
  <Checkbox
    label={say.price}
    checked={sheet.price !== null}
    onchange={(on) => put('price', on ? { perSearch: 0, perRecord: 0, unit: 'EUR' } : null)}
  />
  {#if sheet.price}
    {@const price = sheet.price}
    <TextInput
      label={say.perSearch}
      inline
      class="number"
      inputmode="decimal"
      value={price.perSearch}
      oninput={(e) => put('price', { ...price, perSearch: Number(e.currentTarget.value) })}
    />
    <TextInput
      label={say.perRecord}
      inline
      class="number"
      inputmode="decimal"
      value={price.perRecord}
      oninput={(e) => put('price', { ...price, perRecord: Number(e.currentTarget.value) })}
    />
    <TextInput
      label={say.inText}
      inline
      class="number"
      value={price.unit}
      maxlength="20"
      oninput={(e) => put('price', { ...price, unit: e.currentTarget.value })}
    />
  {/if}
</div>
