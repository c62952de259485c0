<script lang="ts">
  import { sheetBox as say } from './words';
  import type { Box } from '$core/dialect';
  import { textScopes } from '$core/language';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';

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
    <TextInput
      label={say.label}
      inline
      value={box.label}
      maxlength="100"
      oninput={(e) => onchange({ label: e.currentTarget.value })}
    />
    <Select
      label={say.searches}
      value={box.searches}
      onchange={(picked) => onchange({ searches: picked as Box['searches'] })}
    >
      {#each textScopes as scope (scope)}<option value={scope}>{scope === 'any' ? say.wholeProfile : scope}</option
        >{/each}
    </Select>
    <Button type="button" onclick={onremove} aria-label={say.remove(box.label)}>{say.remove2}</Button>
  </div>
  {#if box.scoped}
    <p class="soft">{say.acceptsEavesNotationAsIs}</p>
  {:else}
    <div class="form-line">
      <Select
        label={say.and}
        aria-label={say.howAndIsWritten}
        value={box.and ?? ''}
        onchange={(picked) => onchange({ and: nullable(picked) as Box['and'] })}
      >
        <option value="">{say.none}</option>{#each ['AND', '&', '+'] as sign (sign)}<option>{sign}</option>{/each}
      </Select>
      <Select
        label={say.or}
        aria-label={say.howOrIsWritten}
        value={box.or ?? ''}
        onchange={(picked) => onchange({ or: nullable(picked) as Box['or'] })}
      >
        <option value="">{say.notPossible}</option>{#each ['OR', '|', ',', ';'] as sign (sign)}<option>{sign}</option
          >{/each}
      </Select>
      <Select
        label={say.not}
        aria-label={say.howNotIsWritten}
        value={box.not ?? ''}
        onchange={(picked) => onchange({ not: nullable(picked) as Box['not'] })}
      >
        <option value="">{say.notPossible}</option>{#each ['NOT', '-', '!'] as sign (sign)}<option>{sign}</option
          >{/each}
      </Select>
      <Select
        label={say.adjacentWordsMean}
        aria-label={say.meaningAdjacentWords}
        value={box.beside}
        onchange={(picked) => onchange({ beside: picked as Box['beside'] })}
      >
        <option value="and">{say.allThem}</option><option value="or">{say.anyThem}</option><option value="phrase"
          >{say.phrase}</option
        >
      </Select>
      <Select
        label={say.bindsFirst}
        aria-label={say.operatorThatBindsFirst}
        value={box.binding}
        onchange={(picked) => onchange({ binding: picked as Box['binding'] })}
      >
        <option value="standard">{say.and}</option><option value="or-first">{say.or}</option><option
          value="left-to-right">{say.leftToRight}</option
        >
      </Select>
    </div>
    <div class="form-line">
      {#each [['phrase', say.quotesMakePhrases], ['group', say.bracketsMakeGroups], ['prefix', say.matchesWordEndings], ['excludesAlone', say.acceptsExclusionsOnly]] as const as [key, words] (key)}
        <Checkbox label={words} checked={box[key]} onchange={(on) => onchange({ [key]: on })} />
      {/each}
      <TextInput
        label={say.prefixEverySearch}
        inline
        value={box.opening}
        maxlength="200"
        placeholder={say.site}
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
