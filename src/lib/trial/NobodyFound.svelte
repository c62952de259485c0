<script lang="ts">
  import { certainOnly } from '$lib/frame/certain-only';
  import { count } from '$lib/marks/format';
  import { print } from '$core/language';
  import type { Judging } from './judging.svelte';

  interface Props {
    trial: NonNullable<Judging['trial']>;
    /** People of the result, whether they are certain or not. */
    people: number;
    stringPath: string;
  }
  let { trial, people, stringPath }: Props = $props();
</script>

{#if trial.filtered || people}
  <h2>Nobody is left</h2>
  <p>
    {#if certainOnly() && people}
      {count(people)} people are possible here, and none is certain: {trial.sourceName} does not tell all that the string
      asks. Untick <i>Certain only</i> to read them.
    {:else}
      {count(trial.filtered)} came from {trial.sourceName}, and what it tells of them contradicts the part that it
      cannot be asked:
      <code class="mono">{trial.rendering.leftover ? print(trial.rendering.leftover) : trial.text}</code>
    {/if}
  </p>
{:else}
  <h2>Nobody is found</h2>
  <p>
    {trial.rendering.notes.join(' ') || `${trial.sourceName} has nobody for this string.`}
    <a href={stringPath}>Change the string.</a>
  </p>
{/if}
