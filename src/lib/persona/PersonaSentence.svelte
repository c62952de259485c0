<script lang="ts">
  import { personaSentence as say } from './words';
  import { describePersona, missingFrom, type Persona } from '$core/persona';

  /** `whole`: nothing of it is wrong, so that what is missing can be told. */
  let { persona, whole }: { persona: Persona; whole: boolean } = $props();
  const missing = $derived(whole ? missingFrom(persona) : []);
</script>

<div class="said">
  <p class="sentence" aria-label={say.personaInOneSentence}>{describePersona(persona)}</p>
  {#if missing.length}
    <ul class="missing" aria-label={say.missing}>
      {#each missing as note (note)}<li>{note}</li>{/each}
    </ul>
  {/if}
</div>

<style>
  .said {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 24px;
    align-items: baseline;
    margin-bottom: 12px;
  }
  .sentence {
    flex: 3 1 560px;
    font-size: 17px;
    font-weight: 300;
    line-height: 1.35;
  }
  .missing {
    flex: 1 1 300px;
    font-size: 13px;
    color: var(--soft);
    padding-left: 20px;
    margin: 0;
  }
</style>
