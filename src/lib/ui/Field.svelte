<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';
  import TextInput from 'carbon-components-svelte/src/TextInput/TextInput.svelte';

  interface Props extends Omit<HTMLInputAttributes, 'size' | 'value' | 'maxlength'> {
    maxlength?: number | string;
    /** Said above it; beside it where `inline`. Without one, `aria-label` names it. */
    label?: string;
    value?: string | number | null;
    inline?: boolean;
    invalid?: boolean;
    invalidText?: string;
    ref?: HTMLInputElement | null;
  }
  let { label = '', value = $bindable(''), ref = $bindable(null), ...rest }: Props = $props();
</script>

<!-- One line of text. What is said of the field goes to the field itself. -->
<TextInput size="sm" labelText={label} bind:value bind:ref {...rest as object} />
