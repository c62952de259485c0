<script lang="ts">
  import { tick } from 'svelte';
  import CarbonCheckbox from 'carbon-components-svelte/src/Checkbox/Checkbox.svelte';

  interface Props {
    label: string;
    hideLabel?: boolean;
    checked?: boolean;
    disabled?: boolean;
    tabindex?: string;
    /** Called with the new state. Without it, bind `checked`. */
    onchange?: (on: boolean, event: { shiftKey: boolean }) => void;
    class?: string;
  }
  let { label, checked = $bindable(false), onchange, ...rest }: Props = $props();

  let shown = $derived(checked);
  /** A change event has no `shiftKey`; it fires right after the click, which has. */
  let shift = false;
  function changed(on: boolean) {
    if (!onchange) {
      checked = on;
      return;
    }
    onchange(on, { shiftKey: shift });
    // The listener may have refused the change.
    void tick().then(() => (shown = checked));
  }
</script>

<!-- The empty title stops Carbon from measuring whether the label is cut, which would force a layout for each box. -->
<CarbonCheckbox
  labelText={label}
  title=""
  bind:checked={shown}
  on:change={(event: Event) => changed((event.target as HTMLInputElement).checked)}
  on:click={(event: MouseEvent) => (shift = event.shiftKey)}
  {...rest}
/>
