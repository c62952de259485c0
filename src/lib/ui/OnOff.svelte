<script lang="ts">
  import { tick } from 'svelte';
  import Toggle from 'carbon-components-svelte/src/Toggle/Toggle.svelte';

  interface Props {
    label: string;
    on: boolean;
    disabled?: boolean;
    onswitch: (on: boolean) => void | Promise<void>;
  }
  let { label, on, disabled = false, onswitch }: Props = $props();

  let shown = $derived(on);
  async function switched(now: boolean) {
    shown = now;
    await onswitch(now);
    // Whoever was told may have refused.
    await tick();
    shown = on;
  }
</script>

<!-- A setting that holds at once, in the line it stands in. -->
<div class="on-off">
  <Toggle
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
  .on-off {
    display: flex;
    align-items: center;
    height: 28px;
  }
  .on-off :global(.bx--form-item) {
    flex: none;
  }
  .on-off :global(.bx--toggle-input__label) {
    display: flex;
    flex-direction: row-reverse;
    align-items: center;
    gap: 8px;
    margin: 0;
    font-size: 13px;
    color: var(--ink);
  }
  .on-off :global(.bx--toggle__switch) {
    margin: 0;
    width: 32px;
  }
</style>
