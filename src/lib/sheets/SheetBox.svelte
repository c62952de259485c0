<script lang="ts">
  import type { Box } from '$core/dialect';
  import { textScopes } from '$core/language';
  import Act from '$lib/ui/Act.svelte';
  import Field from '$lib/ui/Field.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import Tick from '$lib/ui/Tick.svelte';

  interface Props {
    box: Box;
    onchange: (change: Partial<Box>) => void;
    onremove: () => void;
  }
  let { box, onchange, onremove }: Props = $props();
  const nullable = (value: string) => (value === '' ? null : value);
</script>

<div class="box">
  <div class="form-line">
    <Field
      label="Label"
      inline
      value={box.label}
      maxlength="100"
      oninput={(e) => onchange({ label: e.currentTarget.value })}
    />
    <Pick label="searches" value={box.searches} onpick={(picked) => onchange({ searches: picked as Box['searches'] })}>
      {#each textScopes as scope (scope)}<option value={scope}>{scope === 'any' ? 'whole profile' : scope}</option
        >{/each}
    </Pick>
    <Act type="button" onclick={onremove} aria-label="Take out {box.label}">Take out</Act>
  </div>
  {#if box.scoped}
    <p class="soft">Takes Eave’s notation as it is.</p>
  {:else}
    <div class="form-line">
      <Pick
        label="and"
        aria-label="How “and” is written"
        value={box.and ?? ''}
        onpick={(picked) => onchange({ and: nullable(picked) as Box['and'] })}
      >
        <option value="">no sign</option>{#each ['AND', '&', '+'] as sign (sign)}<option>{sign}</option>{/each}
      </Pick>
      <Pick
        label="or"
        aria-label="How “or” is written"
        value={box.or ?? ''}
        onpick={(picked) => onchange({ or: nullable(picked) as Box['or'] })}
      >
        <option value="">cannot</option>{#each ['OR', '|', ',', ';'] as sign (sign)}<option>{sign}</option>{/each}
      </Pick>
      <Pick
        label="not"
        aria-label="How “not” is written"
        value={box.not ?? ''}
        onpick={(picked) => onchange({ not: nullable(picked) as Box['not'] })}
      >
        <option value="">cannot</option>{#each ['NOT', '-', '!'] as sign (sign)}<option>{sign}</option>{/each}
      </Pick>
      <Pick
        label="words side by side mean"
        aria-label="What words side by side mean"
        value={box.beside}
        onpick={(picked) => onchange({ beside: picked as Box['beside'] })}
      >
        <option value="and">all of them</option><option value="or">any of them</option><option value="phrase"
          >a phrase</option
        >
      </Pick>
      <Pick
        label="binds first"
        aria-label="What binds first"
        value={box.binding}
        onpick={(picked) => onchange({ binding: picked as Box['binding'] })}
      >
        <option value="standard">and</option><option value="or-first">or</option><option value="left-to-right"
          >what stands left</option
        >
      </Pick>
    </div>
    <div class="form-line">
      {#each [['phrase', 'quotes make phrases'], ['group', 'brackets make groups'], ['prefix', '* ends a word beginning'], ['excludesAlone', 'answers exclusions alone']] as const as [key, words] (key)}
        <Tick label={words} checked={box[key]} ontick={(on) => onchange({ [key]: on })} />
      {/each}
      <Field
        label="written before all"
        inline
        value={box.opening}
        maxlength="200"
        placeholder="site:…"
        oninput={(e) => onchange({ opening: e.currentTarget.value })}
      />
    </div>
  {/if}
</div>

<style>
  .box {
    border-top: 1px solid var(--rule);
    padding-top: 6px;
    display: grid;
    gap: 6px;
  }
</style>
