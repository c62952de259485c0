<script lang="ts">
  import { sizeField as say } from './words';
  import TextInput from 'carbon-components-svelte/src/TextInput/TextInput.svelte';
  import type { Persona } from '$core/persona';
  import { readSize, shownSize } from './typed-size';

  interface Props {
    size: Persona['size'];
    /** What is wrong with it. */
    problem: string | undefined;
    onchange: (size: Persona['size']) => void;
  }
  let { size, problem, onchange }: Props = $props();

  /** Sizes stay as typed; what isn't a number is reported and not saved. */
  let text = $state({ from: '', to: '' });
  $effect.pre(() => {
    for (const end of ['from', 'to'] as const) {
      const shown = shownSize(text[end], size[end]);
      if (shown !== text[end]) text[end] = shown;
    }
  });
  function type(end: 'from' | 'to', typed: string) {
    text[end] = typed;
    onchange({ ...size, [end]: readSize(typed) });
  }
</script>

<div class="sizes">
  <TextInput
    labelText={say.headcountFrom}
    value={text.from}
    placeholder={say.any}
    invalid={problem !== undefined}
    on:input={(event) => type('from', String(event.detail ?? ''))}
  />
  <TextInput
    labelText={say.toText}
    value={text.to}
    placeholder={say.any}
    invalid={problem !== undefined}
    on:input={(event) => type('to', String(event.detail ?? ''))}
  />
</div>
{#if problem}<p class="wrong" role="alert">
    {say.companySizeUseDigitsForExample(problem, problem.endsWith('.') ? '' : '.')}
  </p>{/if}

<style>
  .sizes {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 12px;
    align-items: end;
  }
  .wrong {
    color: var(--warm);
    font-size: 12.5px;
  }
</style>
