<script lang="ts">
  import { builtDifference as say } from './words';
  import Act from '$lib/ui/Act.svelte';
  import Acts from '$lib/ui/Acts.svelte';
  import { compareVersions } from '$core/semantics';
  import PartChanges from './PartChanges.svelte';

  interface Props {
    text: string;
    /** The string that persona and wording make now. */
    proposal: string;
    ontake: () => void;
    onclose: () => void;
  }
  let { text, proposal, ontake, onclose }: Props = $props();
  const parts = $derived(compareVersions(text, proposal));
</script>

<section class="sheet" aria-label={say.whatThePersonaWouldChange}>
  {#if parts.length}
    <p>{say.thePersonaAndItsWordingsWould}</p>
    <PartChanges {parts} />
  {:else}
    <p>{say.theStringSaysWhatThePersona}</p>
  {/if}
  <Acts>
    {#if parts.length}<Act look="main" onclick={ontake}>{say.takeIt}</Act>{/if}
    <Act onclick={onclose}>{parts.length ? say.leaveMine : say.good}</Act>
  </Acts>
</section>

<style>
  section :global(.act-set) {
    margin-top: 6px;
  }
  section {
    margin-top: 12px;
    padding: 10px 16px;
    font-size: 13px;
  }
</style>
