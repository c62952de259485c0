<script lang="ts">
  import type { HTMLTextareaAttributes } from 'svelte/elements';
  import CarbonTextArea from 'carbon-components-svelte/src/TextArea/TextArea.svelte';

  interface Props extends Omit<HTMLTextareaAttributes, 'value' | 'maxlength' | 'rows'> {
    maxlength?: number | string;
    rows?: number | string;
    label?: string;
    value?: string;
    helperText?: string;
    invalid?: boolean;
    invalidText?: string;
    ref?: HTMLTextAreaElement | null;
  }
  let { label = '', value = $bindable(''), ref = $bindable(null), ...rest }: Props = $props();
</script>

<CarbonTextArea labelText={label} bind:value bind:ref {...rest as object} />
