<script lang="ts">
  import { chosen as say } from './words';
  import { searchesRunInWords } from '$core/measure';
  import { call } from '$lib/api/call';
  import { brief as briefPath } from '$lib/frame/paths';
  import { about, percent, percentRange } from '$lib/marks/format';
  import type { Answer } from '$api';

  let { brief }: { brief: Answer<'listBriefs'>[number] } = $props();

  let measured: Answer<'chosen'> = $state.raw([]);
  $effect(() => {
    void brief.updatedAt;
    call('chosen', { params: { id: brief.id } }).then(
      (notice) => (measured = notice),
      // A source that is still being prepared keeps it from being measured; Compare has it later.
      () => (measured = [])
    );
  });
  const figuresOf = (trialId: string) => measured.find((one) => one.trialId === trialId)?.figures;
  /** A note that is the same for every source is said once. */
  const note = $derived(
    new Set(brief.chosen.map((one) => one.note)).size === 1 && brief.chosen.length > 1 ? brief.chosen[0]!.note : ''
  );
  const which = $derived(brief.certainOnly ? 'certain' : 'possible');
</script>

<ul aria-label={say.versionsChosen}>
  {#each brief.chosen as one (one.sourceId)}
    {@const figures = figuresOf(one.trialId)}
    {@const precision = figures?.precision[which]}
    <li>
      <b>{one.source}</b>:
      <a href={briefPath(brief.id, 'trial', { trial: one.trialId })}
        >{say.version(one.version)}{one.name ? `, ${one.name}` : ''}</a
      >
      {#if figures && precision}
        {say.found(about(figures.estimated[which]))}{searchesRunInWords(figures)
          ? say.from(searchesRunInWords(figures))
          : ''}{precision.share === null ? '' : say.fits(percent(precision.share), percentRange(precision.interval))}
      {/if}
      {#if one.note && !note}<span class="soft">{one.note}</span>{/if}
    </li>
  {/each}
  {#if note}<li class="soft">{note}</li>{/if}
  <li><a href={briefPath(brief.id, 'report')}>{say.report}</a></li>
</ul>

<style>
  ul {
    list-style: none;
    padding: 0;
    margin-top: 6px;
    font-size: 13px;
  }
</style>
