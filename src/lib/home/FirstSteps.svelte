<script lang="ts">
  import { onMount } from 'svelte';
  import Close from 'carbon-icons-svelte/lib/Close.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import Act from '$lib/ui/Act.svelte';

  let { demo, empty }: { demo: { id: string }; empty: { id: string } | null } = $props();

  const place = 'eave-shown-around';
  let shown = $state(false);
  onMount(() => (shown = localStorage.getItem(place) === null));
  function dismiss() {
    shown = false;
    localStorage.setItem(place, 'yes');
  }
</script>

{#if shown}
  <section class="sheet" aria-label="A short way through Eave">
    <h2>A short way through a finished job</h2>
    <ol>
      <li><a href={briefPath(demo.id, 'persona')}>Who is wanted</a>, as facts</li>
      <li><a href={briefPath(demo.id, 'string')}>The string</a>, and what each part is worth</li>
      <li><a href={briefPath(demo.id, 'trial')}>Who it really finds</a>, judged</li>
      <li><a href={briefPath(demo.id, 'compare')}>Which version is best</a>, proven</li>
      {#if empty}<li><a href={briefPath(empty.id, 'persona')}>Begin one of your own</a></li>{/if}
    </ol>
    <Act look="plain" aria-label="Close the short way through Eave" onclick={dismiss}><Close /></Act>
  </section>
{/if}

<style>
  section {
    display: flex;
    align-items: baseline;
    gap: 18px;
    padding: 9px 16px;
    margin-bottom: 12px;
    font-size: 13.5px;
  }
  ol {
    display: flex;
    flex: 1;
    flex-wrap: wrap;
    gap: 4px 26px;
    padding-left: 18px;
  }
</style>
