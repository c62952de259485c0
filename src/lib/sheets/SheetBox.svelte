<script lang="ts">
  import { sheetBox as say } from './words';
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
      label={say.label}
      inline
      value={box.label}
      maxlength="100"
      oninput={(e) => onchange({ label: e.currentTarget.value })}
    />
    <Pick
      label={say.searches}
      value={box.searches}
      onpick={(picked) => onchange({ searches: picked as Box['searches'] })}
    >
      {#each textScopes as scope (scope)}<option value={scope}>{scope === 'any' ? say.wholeProfile : scope}</option
        >{/each}
    </Pick>
    <Act type="button" onclick={onremove} aria-label={say.takeOut(box.label)}>{say.takeOut2}</Act>
  </div>
  {#if box.scoped}
    <p class="soft">{say.takesEavesNotationAsItIs}</p>
  {:else}
    <div class="form-line">
      <Pick
        label={say.and}
        aria-label={say.howAndIsWritten}
        value={box.and ?? ''}
        onpick={(picked) => onchange({ and: nullable(picked) as Box['and'] })}
      >
        <option value="">{say.noSign}</option>{#each ['AND', '&', '+'] as sign (sign)}<option>{sign}</option>{/each}
      </Pick>
      <Pick
        label={say.or}
        aria-label={say.howOrIsWritten}
        value={box.or ?? ''}
        onpick={(picked) => onchange({ or: nullable(picked) as Box['or'] })}
      >
        <option value="">{say.cannot}</option>{#each ['OR', '|', ',', ';'] as sign (sign)}<option>{sign}</option>{/each}
      </Pick>
      <Pick
        label={say.not}
        aria-label={say.howNotIsWritten}
        value={box.not ?? ''}
        onpick={(picked) => onchange({ not: nullable(picked) as Box['not'] })}
      >
        <option value="">{say.cannot}</option>{#each ['NOT', '-', '!'] as sign (sign)}<option>{sign}</option>{/each}
      </Pick>
      <Pick
        label={say.wordsSideBySideMean}
        aria-label={say.whatWordsSideBySideMean}
        value={box.beside}
        onpick={(picked) => onchange({ beside: picked as Box['beside'] })}
      >
        <option value="and">{say.allOfThem}</option><option value="or">{say.anyOfThem}</option><option value="phrase"
          >{say.aPhrase}</option
        >
      </Pick>
      <Pick
        label={say.bindsFirst}
        aria-label={say.whatBindsFirst}
        value={box.binding}
        onpick={(picked) => onchange({ binding: picked as Box['binding'] })}
      >
        <option value="standard">{say.and}</option><option value="or-first">{say.or}</option><option
          value="left-to-right">{say.whatStandsLeft}</option
        >
      </Pick>
    </div>
    <div class="form-line">
      {#each [['phrase', say.quotesMakePhrases], ['group', say.bracketsMakeGroups], ['prefix', say.endsAWordBeginning], ['excludesAlone', say.answersExclusionsAlone]] as const as [key, words] (key)}
        <Tick label={words} checked={box[key]} ontick={(on) => onchange({ [key]: on })} />
      {/each}
      <Field
        label={say.writtenBeforeAll}
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
