<script lang="ts">
  import Checkbox from '$lib/ui/Checkbox.svelte';

  interface Props {
    sources: readonly { id: string; label: string }[];
    /** Those that are left out. */
    left: string[];
  }
  let { sources, left = $bindable() }: Props = $props();
</script>

<div>
  {#each sources as { id, label } (id)}
    <Checkbox
      {label}
      checked={!left.includes(id)}
      onchange={(on) => (left = on ? left.filter((one) => one !== id) : [...left, id])}
    />
  {/each}
</div>

<style>
  div {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 14px;
    align-items: center;
    margin: 8px 0;
  }
</style>
