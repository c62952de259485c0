<script lang="ts">
  import { watchCard as say } from './words';
  import { page } from '$app/state';
  import Tag from 'carbon-components-svelte/src/Tag/Tag.svelte';
  import type { Answer, Body } from '$api';
  import { call } from '$lib/api/call';
  import CopyButton from '$lib/frame/CopyButton.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import { count, moment } from '$lib/marks/format';
  import Button from '$lib/ui/Button.svelte';
  import Accordion from '$lib/ui/Accordion.svelte';
  import type { Inbox } from './inbox.svelte';
  import { newsKinds as kinds } from './news-kinds';
  import RunsChart from './RunsChart.svelte';
  import ThresholdFields from './ThresholdFields.svelte';
  import { rhythmInWords } from './rhythm-words';

  interface Props {
    watch: Answer<'listWatches'>[number];
    inbox: Inbox;
    /** Whether more of it is shown. */
    opened: boolean;
    ondelete: () => void;
  }
  let { watch, inbox, opened = $bindable(), ondelete }: Props = $props();

  function outcome({ lastRun, unread }: Answer<'listWatches'>[number]): string {
    if (!lastRun) return say.notRunYet;
    if (lastRun.state === 'running') return say.running;
    if (lastRun.state === 'due') return say.checkDueSince(moment(lastRun.dueAt));
    if (lastRun.state === 'failed') return say.failed(moment(lastRun.endedAt ?? lastRun.dueAt), lastRun.problem);
    const parts = Object.entries(lastRun.counts).map(([kind, n]) =>
      say.changes(count(n ?? 0), kinds[kind as keyof typeof kinds].word)
    );
    const when = moment(lastRun.endedAt ?? lastRun.dueAt);
    return say.foundAt(parts.join(', ') || say.noChanges, count(lastRun.people), when) + (unread ? '' : say.allRead);
  }
  const change = (body: Body<'changeWatch'>) =>
    inbox.attempt(async () => {
      await call('changeWatch', { params: { watch: watch.id }, body });
    });
</script>

<!-- A watch: how its last run ended, when it comes next, and what can be done with it. -->
<div class="watch" class:off={!watch.active}>
  <Button
    kind="ghost"
    aria-pressed={inbox.watch === watch.id}
    onclick={() => {
      inbox.watch = inbox.watch === watch.id ? '' : watch.id;
      void inbox.list();
    }}
    ><b>{watch.name}</b>{#if watch.unread}<Tag size="sm" type="teal">{say.unread(count(watch.unread))}</Tag
      >{/if}</Button
  >
  <p class="soft">
    {outcome(watch)}. {watch.active
      ? watch.nextAt
        ? say.next(moment(watch.nextAt), rhythmInWords(watch.rhythm.rule))
        : say.itsScheduleHasEnded
      : say.paused}
  </p>
  {#if watch.lastRun?.state === 'due'}
    {#each watch.sources as { sourceId, sourceName, version } (sourceId)}
      <p class="due">
        <a href={briefPath(watch.briefId, 'by-hand', { version: String(version), source: sourceId })}
          >{say.check(sourceName)}</a
        >{say.copySearchAndPasteResultsNew}
      </p>
    {/each}
  {/if}
  {#if watch.lastRun?.breaks.length}<p class="soft">
      {say.breakInSeries(watch.lastRun.breaks.join('; '))}
    </p>{/if}
  {#if watch.reach !== 'goes on'}<p class="warm">
      {say.overSeveralRunsSignificantlyMore}
      {watch.reach === 'fewer' ? say.leaveThanJoin : say.joinThanLeave}{say.stringNowReaches(watch.reach)}
    </p>{/if}
  {#if watch.drift && watch.drift.says !== 'worse'}<p class="soft">
      {say.newPeopleJudgedSoFarAre(count(watch.drift.fits), count(watch.drift.judged))}{watch.drift.says === 'as before'
        ? say.aboutAsManyAsBefore
        : ''}.
    </p>{/if}
  {#if watch.drift?.says === 'worse'}<p class="warm">
      {say.newPeopleJudgedSoFarAre2(count(watch.drift.fits), count(watch.drift.judged))}
      <a href={briefPath(watch.briefId, 'string', { panel: 'proposals' })}>{say.improveString}</a>.
    </p>{/if}
  <Accordion title={say.moreActionsForThisWatch} bind:open={opened}>
    <p class="soft">
      {#if watch.list}
        {say.peopleOn}
        <a href={briefPath(watch.briefId, 'shortlist', { list: watch.list.id })}>{watch.list.name}</a>{say.lookedUpAt(
          watch.sources.map(({ sourceName }) => sourceName).join(', '),
          watch.rules.map(({ name }) => name).join(', ')
        )}
      {:else}
        <a href={briefPath(watch.briefId, 'harvest')}>{watch.briefName}</a>: {watch.sources
          .map(({ sourceName, version }) => say.versionAt(version, sourceName))
          .join(', ')}
      {/if}
    </p>
    <div class="line">
      <Button
        disabled={watch.lastRun?.state === 'running' || watch.lastRun?.state === 'due'}
        onclick={() =>
          inbox.attempt(async () => {
            await call('runWatch', { params: { watch: watch.id } });
          })}>{say.runNow}</Button
      >
      <Button onclick={() => change({ active: !watch.active })}>{watch.active ? say.pause : say.resume}</Button>
      <Button disabled={!watch.unread} onclick={() => inbox.readAll(watch.id)}>{say.markAllAsRead}</Button>
      <Button onclick={ondelete}>{say.deleteText}</Button>
    </div>
    <div class="line">
      {#each [['atom', say.atomFeed], ['json', say.jsonFeed], ['ics', say.calendar]] as [form, word] (form)}
        <CopyButton
          label={word}
          of={say.address(word, watch.name)}
          text={`${page.url.origin}/api/feeds/${watch.feed}?form=${form}`}
        />
      {/each}
      <Button onclick={() => change({ renewFeed: true })}>{say.newAddress}</Button>
    </div>
    {#if opened && !watch.list}
      <ThresholdFields bind:thresholds={() => watch.thresholds, (thresholds) => void change({ thresholds })} />
    {/if}
    {#if opened}<RunsChart watch={watch.id} name={watch.name} />{/if}
  </Accordion>
</div>

<style>
  .watch {
    border-top: 1px solid var(--rule);
    padding: 6px 0 2px;
  }
  .watch.off {
    opacity: 0.75;
  }
  .watch :global(.bx--tag) {
    flex-shrink: 0;
    max-width: none;
  }
  .watch p {
    font-size: 12px;
    margin: 2px 0;
  }
  .due {
    border-left: 3px solid var(--accent);
    padding-left: 8px;
  }
  .warm {
    color: var(--warm);
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 10px;
    align-items: center;
    margin: 4px 0;
  }
</style>
