<script lang="ts">
  import { sheetFact as say } from './words';
  import { bucketsFrom, type Fact } from '$core/dialect';
  import { isNumberFact } from '$core/language';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';

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
  <TextInput
    label={say.label}
    inline
    value={fact.label ?? ''}
    placeholder={fact.scope}
    maxlength="100"
    oninput={(e) => onchange({ label: e.currentTarget.value || undefined })}
  />
  {#if isNumberFact(fact.scope)}
    <Checkbox label={say.fromTo} checked={fact.range} onchange={(on) => onchange({ range: on })} />
    {#if !fact.range}
      <TextInput
        label={say.namedRanges}
        inline
        value={fact.buckets?.map(({ label }) => label).join('; ') ?? ''}
        placeholder={say.noneOr191049}
        invalid={unread !== ''}
        invalidText={say.hasNoNumbersWriteItLike(unread)}
        onchange={(e) => {
          const read = bucketsFrom(e.currentTarget.value);
          unread = 'unread' in read ? read.unread : '';
          if ('buckets' in read)
            onchange({ include: read.buckets.length > 0, buckets: read.buckets.length ? read.buckets : null });
        }}
      />
    {/if}
  {:else}
    <Checkbox label={say.include} checked={fact.include} onchange={(on) => onchange({ include: on })} />
    <Checkbox label={say.exclude} checked={fact.exclude} onchange={(on) => onchange({ exclude: on })} />
    <TextInput
      label={say.atMost}
      inline
      class="number"
      inputmode="numeric"
      value={fact.most ?? ''}
      placeholder={say.any}
      oninput={(e) => onchange({ most: e.currentTarget.value.trim() ? Number(e.currentTarget.value) : null })}
    />
    <TextInput
      label={say.values}
      inline
      value={fact.values?.join('; ') ?? ''}
      placeholder={say.anyOrListSeparatedBySemicolons}
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
  <Button type="button" onclick={onremove} aria-label={say.remove(fact.scope)}>{say.remove2}</Button>
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
