<script lang="ts">
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

<section class="sheet" aria-label="What the persona would change">
  {#if parts.length}
    <p>The persona and its wordings would change this string. What you edited by hand stays unless you take this.</p>
    <PartChanges {parts} />
  {:else}
    <p>The string says what the persona and its wordings say.</p>
  {/if}
  <Acts>
    {#if parts.length}<Act look="main" onclick={ontake}>Take it</Act>{/if}
    <Act onclick={onclose}>{parts.length ? 'Leave mine' : 'Good'}</Act>
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
