<script lang="ts">
  import { briefReader as say } from './words';
  import TextArea from '$lib/ui/TextArea.svelte';
  import { type Regions } from '$core/people';
  import { personaFromText, type BriefFact } from '$core/persona';
  import FactsRead from './FactsRead.svelte';

  interface Props {
    regions: Regions;
    ontake: (facts: BriefFact[]) => void;
    onclose: () => void;
  }
  let { regions, ontake, onclose }: Props = $props();

  let text = $state('');
  const reading = $derived(text.trim() ? personaFromText(text.slice(0, 50_000), regions) : null);
</script>

<section class="sheet" aria-label={say.importFromText}>
  <div>
    <h2>{say.importFromText}</h2>
    <TextArea rows="9" aria-label={say.textBrief} placeholder={say.pastePageTextWhatIsSold} bind:value={text} />
    {#if reading?.unread.length}
      <p class="soft">{say.notUnderstood} {reading.unread.map((one) => `“${one.text.slice(0, 120)}”`).join(' ')}</p>
    {/if}
  </div>
  <FactsRead {reading} {text} {ontake} {onclose} />
</section>

<style>
  section {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 16px;
    padding: 14px 18px;
    margin-bottom: 14px;
  }
  p {
    font-size: 13px;
  }
</style>
