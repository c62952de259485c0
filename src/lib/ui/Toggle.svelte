<script lang="ts">
  import { tick } from 'svelte';
  import CarbonToggle from 'carbon-components-svelte/src/Toggle/Toggle.svelte';

  interface Props {
    label: string;
    on: boolean;
    disabled?: boolean;
    onchange: (on: boolean) => void | Promise<void>;
  }
  let { label, on, disabled = false, onchange }: Props = $props();

  let shown = $derived(on);
  async function switched(now: boolean) {
    shown = now;
    await onchange(now);
    // The listener may have refused the change.
    await tick();
    shown = on;
  }
</script>

<!-- A setting that takes effect at once. -->
<div class="toggle">
  <CarbonToggle
    size="sm"
    labelText={label}
    labelA=""
    labelB=""
    toggled={shown}
    {disabled}
    on:toggle={({ detail }: CustomEvent<{ toggled: boolean }>) =>
      detail.toggled !== shown && void switched(detail.toggled)}
  />
</div>

<style>
  .toggle {
    display: flex;
    align-items: center;
    height: 28px;
  }
  .toggle :global(.bx--form-item) {
    flex: none;
  }
  .toggle :global(.bx--toggle-input__label) {
    display: flex;
    flex-direction: row-reverse;
    align-items: center;
    gap: 8px;
    margin: 0;
    font-size: 13px;
    color: var(--ink);
  }
  .toggle :global(.bx--toggle__switch) {
    margin: 0;
    width: 32px;
  }
</style>
