<script lang="ts">
  import type { Answer } from '$api';
  import type { BriefFact } from '$core/persona';
  import type { Person } from '$core/people';

  interface Props {
    /** What is read: answers to six questions, a written brief, or customers won. */
    reading: 'six' | 'text' | 'customers' | null;
    sources: Answer<'listSources'>;
    regions: Answer<'readRegions'>['body'];
    /** Takes facts into the persona. */
    ontake: (facts: readonly BriefFact[]) => void;
    /** Keeps customers as known-goods; false where it was refused. */
    onkeep: (people: Person[]) => Promise<boolean>;
  }
  let { reading = $bindable(), sources, regions, ontake, onkeep }: Props = $props();

  const close = () => (reading = null);
  function takeAll(facts: readonly BriefFact[]) {
    ontake(facts);
    close();
  }
</script>

<!-- What makes facts of a persona out of something else: loaded when it is asked for. -->
{#if reading === 'customers'}
  {#await import('./CustomerReader.svelte') then { default: CustomerReader }}
    <CustomerReader {sources} ontake={(fact) => ontake([fact])} {onkeep} onclose={close} />
  {/await}
{:else if reading === 'text'}
  {#await import('./BriefReader.svelte') then { default: BriefReader }}
    <BriefReader {regions} ontake={takeAll} onclose={close} />
  {/await}
{:else if reading === 'six'}
  {#await import('./GuidedStart.svelte') then { default: GuidedStart }}
    <GuidedStart {regions} ontake={takeAll} onclose={close} />
  {/await}
{/if}
