<script lang="ts">
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
    label="label"
    inline
    value={fact.label ?? ''}
    placeholder={fact.scope}
    maxlength="100"
    oninput={(e) => onchange({ label: e.currentTarget.value || undefined })}
  />
  {#if isNumberFact(fact.scope)}
    <Tick label="from – to" checked={fact.range} ontick={(on) => onchange({ range: on })} />
    {#if !fact.range}
      <Field
        label="named ranges"
        inline
        value={fact.buckets?.map(({ label }) => label).join('; ') ?? ''}
        placeholder="none; or 1–10; 11–50; 51+"
        invalid={unread !== ''}
        invalidText="“{unread}” tells no numbers. Write it as in 11–50 or 501+."
        onchange={(e) => {
          const read = bucketsFrom(e.currentTarget.value);
          unread = 'unread' in read ? read.unread : '';
          if ('buckets' in read)
            onchange({ include: read.buckets.length > 0, buckets: read.buckets.length ? read.buckets : null });
        }}
      />
    {/if}
  {:else}
    <Tick label="include" checked={fact.include} ontick={(on) => onchange({ include: on })} />
    <Tick label="exclude" checked={fact.exclude} ontick={(on) => onchange({ exclude: on })} />
    <Field
      label="at most"
      inline
      class="number"
      inputmode="numeric"
      value={fact.most ?? ''}
      placeholder="any"
      oninput={(e) => onchange({ most: e.currentTarget.value.trim() ? Number(e.currentTarget.value) : null })}
    />
    <Field
      label="values"
      inline
      value={fact.values?.join('; ') ?? ''}
      placeholder="any; or a list with semicolons"
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
  <Act type="button" onclick={onremove} aria-label="Take out {fact.scope}">Take out</Act>
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
