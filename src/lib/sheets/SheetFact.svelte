<script lang="ts">
  import { sheetFact as say } from './words';
  import { bucketsFrom, type Fact } from '$core/dialect';
  import { isNumberFact } from '$core/language';
  import Act from '$lib/ui/Act.svelte';
  import Field from '$lib/ui/Field.svelte';
  import Tick from '$lib/ui/Tick.svelte';

  interface Props {
    fact: Fact;
    onchange: (change: Partial<Fact>) => void;
    onremove: () => void;
  }
  let { fact, onchange, onremove }: Props = $props();
  let unread = $state('');
</script>

<div class="fact">
  <b>{fact.scope}</b>
  <Field
    label={say.label}
    inline
    value={fact.label ?? ''}
    placeholder={fact.scope}
    maxlength="100"
    oninput={(e) => onchange({ label: e.currentTarget.value || undefined })}
  />
  {#if isNumberFact(fact.scope)}
    <Tick label={say.fromTo} checked={fact.range} ontick={(on) => onchange({ range: on })} />
    {#if !fact.range}
      <Field
        label={say.namedRanges}
        inline
        value={fact.buckets?.map(({ label }) => label).join('; ') ?? ''}
        placeholder={say.noneOr191049}
        invalid={unread !== ''}
        invalidText={say.tellsNoNumbersWriteItAs(unread)}
        onchange={(e) => {
          const read = bucketsFrom(e.currentTarget.value);
          unread = 'unread' in read ? read.unread : '';
          if ('buckets' in read)
            onchange({ include: read.buckets.length > 0, buckets: read.buckets.length ? read.buckets : null });
        }}
      />
    {/if}
  {:else}
    <Tick label={say.include} checked={fact.include} ontick={(on) => onchange({ include: on })} />
    <Tick label={say.exclude} checked={fact.exclude} ontick={(on) => onchange({ exclude: on })} />
    <Field
      label={say.atMost}
      inline
      class="number"
      inputmode="numeric"
      value={fact.most ?? ''}
      placeholder={say.any}
      oninput={(e) => onchange({ most: e.currentTarget.value.trim() ? Number(e.currentTarget.value) : null })}
    />
    <Field
      label={say.values}
      inline
      value={fact.values?.join('; ') ?? ''}
      placeholder={say.anyOrAListWithSemicolons}
      onchange={(e) =>
        onchange({
          values: e.currentTarget.value.trim()
            ? e.currentTarget.value
                .split(';')
                .map((v) => v.trim())
                .filter(Boolean)
            : null
        })}
    />
  {/if}
  <Act type="button" onclick={onremove} aria-label={say.takeOut(fact.scope)}>{say.takeOut2}</Act>
</div>

<style>
  .fact {
    border-top: 1px solid var(--rule);
    padding-top: 6px;
    display: flex;
    flex-wrap: wrap;
    gap: 6px 12px;
    align-items: baseline;
  }
  .fact b {
    width: 82px;
    font-size: 13px;
  }
  .fact :global(input:not([type='checkbox']):not(.number)) {
    width: 130px;
  }
</style>
