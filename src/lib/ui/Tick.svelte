<script lang="ts">
  import { tick } from 'svelte';
  import Checkbox from 'carbon-components-svelte/src/Checkbox/Checkbox.svelte';

  interface Props {
    label: string;
    hideLabel?: boolean;
    checked?: boolean;
    disabled?: boolean;
    tabindex?: string;
    /** Told whether it is on now. Without it `checked` is to be bound. */
    ontick?: (on: boolean, event: { shiftKey: boolean }) => void;
    class?: string;
  }
  let { label, checked = $bindable(false), ontick, ...rest }: Props = $props();

  let shown = $derived(checked);
  /** A change does not tell of it, and comes right after the click. */
  let shift = false;
  function changed(on: boolean) {
    if (!ontick) {
      checked = on;
      return;
    }
    ontick(on, { shiftKey: shift });
    // Whoever was told may have refused.
    void tick().then(() => (shown = checked));
  }
</script>

<!-- Yes or no. Without a title it would be measured whether the label is cut, which lays the page out once for each. -->
<Checkbox
  labelText={label}
  title=""
  bind:checked={shown}
  on:change={(event: Event) => changed((event.target as HTMLInputElement).checked)}
  on:click={(event: MouseEvent) => (shift = event.shiftKey)}
  {...rest}
/>
