<script lang="ts">
  import { builtDifference as say } from '../words';
  import Button from '$lib/ui/Button.svelte';
  import ButtonSet from '$lib/ui/ButtonSet.svelte';
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

<section class="sheet" aria-label={say.changesFromPersona}>
  {#if parts.length}
    <p>{say.personaAndItsWordingsWouldChange}</p>
    <PartChanges {parts} />
  {:else}
    <p>{say.stringMatchesPersonaAndItsWordings}</p>
  {/if}
  <ButtonSet>
    {#if parts.length}<Button kind="primary" onclick={ontake}>{say.useNewString}</Button>{/if}
    <Button onclick={onclose}>{parts.length ? say.keepMine : say.ok}</Button>
  </ButtonSet>
</section>

<style>
  section :global(.button-set) {
    margin-top: 6px;
  }
  section {
    margin-top: 12px;
    padding: 10px 16px;
    font-size: 13px;
  }
</style>
