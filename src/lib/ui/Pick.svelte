<script lang="ts" generics="T extends string | number">
  import { tick, type Snippet } from 'svelte';
  import type { HTMLSelectAttributes } from 'svelte/elements';
  import Select from 'carbon-components-svelte/src/Select/Select.svelte';

  interface Props extends Omit<HTMLSelectAttributes, 'value' | 'size' | 'children'> {
    label?: string;
    hideLabel?: boolean;
    value: T | undefined;
    /** Told what was picked. Without it `value` is to be bound. */
    onpick?: (picked: T) => void;
    /** The options. */
    children: Snippet;
  }
  let { label = '', hideLabel = false, value = $bindable(), onpick, children, ...rest }: Props = $props();

  let shown: string | number | undefined = $derived(value);
  function picked(event: Event & { currentTarget: HTMLSelectElement }) {
    const text = event.currentTarget.value;
    const one = (typeof value === 'number' ? Number(text) : text) as T;
    if (!onpick) {
      value = one;
      return;
    }
    onpick(one);
    // Whoever was told may have chosen to stay with what it was.
    void tick().then(() => {
      shown = '';
      shown = value;
    });
  }
</script>

<!-- One of several, in the line it stands in. -->
<Select size="sm" inline labelText={label} {hideLabel} bind:selected={shown} onchange={picked} {...rest as object}>
  {@render children()}
</Select>
