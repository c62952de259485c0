<script lang="ts">
  import { firstSteps as say } from './words';
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
  <section class="sheet" aria-label={say.aShortWayThroughEave}>
    <h2>{say.aShortWayThroughAFinished}</h2>
    <ol>
      <li><a href={briefPath(demo.id, 'persona')}>{say.whoIsWanted}</a>{say.asFacts}</li>
      <li><a href={briefPath(demo.id, 'string')}>{say.theString}</a>{say.andWhatEachPartIsWorth}</li>
      <li><a href={briefPath(demo.id, 'trial')}>{say.whoItReallyFinds}</a>{say.judged}</li>
      <li><a href={briefPath(demo.id, 'compare')}>{say.whichVersionIsBest}</a>{say.proven}</li>
      {#if empty}<li><a href={briefPath(empty.id, 'persona')}>{say.beginOneOfYourOwn}</a></li>{/if}
    </ol>
    <Act look="plain" aria-label={say.closeTheShortWayThroughEave} onclick={dismiss}><Close /></Act>
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
