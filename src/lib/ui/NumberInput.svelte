<script lang="ts">
  import { numberField as say } from './words';
  import NumberInput from 'carbon-components-svelte/src/NumberInput/NumberInput.svelte';

  interface Props {
    label: string;
    /** Null where nothing is given. */
    value: number | null;
    min?: number;
    max?: number;
    /** Shown when empty; without it a number is required. */
    placeholder?: string;
  }
  let { label, value = $bindable(null), min = 0, max, placeholder }: Props = $props();
</script>

<!-- A whole number, typed or stepped. -->
<NumberInput
  size="sm"
  labelText={label}
  bind:value
  {min}
  allowEmpty={placeholder !== undefined}
  disableWheel
  invalidText={say.wholeNumberFrom(min, max === undefined ? '' : ` to ${max}`)}
  {...{
    ...(max !== undefined && { max }),
    ...(placeholder && { placeholder })
  } as object}
/>
