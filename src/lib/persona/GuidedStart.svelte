<script lang="ts">
  import { guidedStart as say } from './words';
  import ProgressIndicator from 'carbon-components-svelte/src/ProgressIndicator/ProgressIndicator.svelte';
  import ProgressStep from 'carbon-components-svelte/src/ProgressIndicator/ProgressStep.svelte';
  import TextArea from '$lib/ui/TextArea.svelte';
  import type { Regions } from '$core/people';
  import { readSixAnswers, sixQuestions, type BriefFact, type SixAnswers } from '$core/persona';
  import FactsRead from './FactsRead.svelte';

  interface Props {
    regions: Regions;
    ontake: (facts: BriefFact[]) => void;
    onclose: () => void;
  }
  let { regions, ontake, onclose }: Props = $props();

  const answers: Record<keyof SixAnswers, string> = $state({
    sold: '',
    trouble: '',
    day: '',
    signs: '',
    unfit: '',
    served: ''
  });
  /** The first that is not answered. */
  const next = $derived(sixQuestions.find(({ id }) => !answers[id].trim())?.id);
  const answered = $derived(Object.values(answers).some((answer) => answer.trim()));
  const read = $derived(answered ? readSixAnswers(answers, regions) : null);
</script>

<!-- For users who don't know yet who they're looking for. -->
<section class="sheet" aria-label={say.sixQuestions}>
  <div class="questions">
    <h2>{say.sixQuestions}</h2>
    <ProgressIndicator>
      {#each sixQuestions as { id }, i (id)}
        <ProgressStep
          label={String(i + 1)}
          complete={answers[id].trim() !== ''}
          current={id === next}
          description={answers[id].trim() ? 'answered' : say.notAnswered}
        />
      {/each}
    </ProgressIndicator>
    {#each sixQuestions as { id, asks, such }, i (id)}
      <TextArea label="{i + 1}. {asks}" rows="1" placeholder={such} maxlength={4000} bind:value={answers[id]} />
    {/each}
  </div>
  <div>
    <FactsRead reading={read?.reading ?? null} text={read?.text ?? ''} {ontake} {onclose} />
    {#if read?.reading.unread.length}
      <p class="soft">
        {say.notUsed}
        {read.reading.unread.map((one) => `“${one.text.slice(0, 120)}”`).join(' ')}
      </p>
    {/if}
  </div>
</section>

<style>
  section {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 16px;
    padding: 14px 18px;
    margin-bottom: 14px;
  }
  .questions {
    display: grid;
    gap: 8px;
  }
  .questions :global(textarea) {
    min-height: 34px;
    field-sizing: content;
  }
  p {
    font-size: 13px;
  }
</style>
