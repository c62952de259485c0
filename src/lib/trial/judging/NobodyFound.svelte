<script lang="ts">
  import { nobodyFound as say } from '../words';
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
  <h2>{say.nobodyLeft}</h2>
  <p>
    {#if certainOnly() && people}
      {say.peopleArePossibleAndNoneIs(count(people), trial.sourceName)} <i>{say.certainOnly}</i> {say.toSeeThem}
    {:else}
      {say.returnedPeopleButWhatItLists(count(trial.filtered), trial.sourceName)}
      <code class="mono">{trial.rendering.leftover ? print(trial.rendering.leftover) : trial.text}</code>
    {/if}
  </p>
{:else}
  <h2>{say.nobodyFound}</h2>
  <p>
    {trial.rendering.notes.join(' ') || say.hasNobodyMatchingThisString(trial.sourceName)}
    <a href={stringPath}>{say.changeString}</a>
  </p>
{/if}
