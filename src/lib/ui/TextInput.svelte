<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';
  import CarbonTextInput from 'carbon-components-svelte/src/TextInput/TextInput.svelte';

  interface Props extends Omit<HTMLInputAttributes, 'size' | 'value' | 'maxlength'> {
    maxlength?: number | string;
    /** Above the input, or beside it when `inline`. Without one, pass `aria-label`. */
    label?: string;
    value?: string | number | null;
    inline?: boolean;
    invalid?: boolean;
    invalidText?: string;
    ref?: HTMLInputElement | null;
  }
  let { label = '', value = $bindable(''), ref = $bindable(null), ...rest }: Props = $props();
</script>

<!-- Carbon's small text input; other attributes go to the `input` element. -->
<CarbonTextInput size="sm" labelText={label} bind:value bind:ref {...rest as object} />
