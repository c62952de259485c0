<script lang="ts">
  import { firstSteps as say } from './words';
  import { onMount } from 'svelte';
  import Close from 'carbon-icons-svelte/lib/Close.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import Button from '$lib/ui/Button.svelte';

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
  <section class="sheet" aria-label={say.tourEave}>
    <h2>{say.tourFinishedDemo}</h2>
    <ol>
      <li><a href={briefPath(demo.id, 'persona')}>{say.whoYoureLookingFor}</a>{say.asFacts}</li>
      <li><a href={briefPath(demo.id, 'string')}>{say.string}</a>{say.andWhatEachPartDoes}</li>
      <li><a href={briefPath(demo.id, 'trial')}>{say.whoItReallyFinds}</a>{say.judged}</li>
      <li><a href={briefPath(demo.id, 'compare')}>{say.whichVersionIsBest}</a>{say.proven}</li>
      {#if empty}<li><a href={briefPath(empty.id, 'persona')}>{say.startYourOwn}</a></li>{/if}
    </ol>
    <Button kind="ghost" aria-label={say.closeTour} onclick={dismiss}><Close /></Button>
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
