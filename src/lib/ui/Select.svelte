<script lang="ts" generics="T extends string | number">
  import { tick, type Snippet } from 'svelte';
  import type { HTMLSelectAttributes } from 'svelte/elements';
  import CarbonSelect from 'carbon-components-svelte/src/Select/Select.svelte';

  interface Props extends Omit<HTMLSelectAttributes, 'value' | 'size' | 'children' | 'onchange'> {
    label?: string;
    hideLabel?: boolean;
    value: T | undefined;
    /** Called with the chosen value. Without it, bind `value`. */
    onchange?: (picked: T) => void;
    /** The options. */
    children: Snippet;
  }
  let { label = '', hideLabel = false, value = $bindable(), onchange, children, ...rest }: Props = $props();

  let shown: string | number | undefined = $derived(value);
  function picked(event: Event & { currentTarget: HTMLSelectElement }) {
    const text = event.currentTarget.value;
    const one = (typeof value === 'number' ? Number(text) : text) as T;
    if (!onchange) {
      value = one;
      return;
    }
    onchange(one);
    // The listener may have refused the change.
    void tick().then(() => {
      shown = '';
      shown = value;
    });
  }
</script>

<!-- Carbon's small inline select, typed by its value. -->
<CarbonSelect
  size="sm"
  inline
  labelText={label}
  {hideLabel}
  bind:selected={shown}
  onchange={picked}
  {...rest as object}
>
  {@render children()}
</CarbonSelect>
