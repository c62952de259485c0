<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { page } from '$app/state';
  import Tag from 'carbon-components-svelte/src/Tag/Tag.svelte';
  import type { Answer, Body } from '$api';
  import Refused from '$lib/frame/Refused.svelte';
  import { keysOf } from '$lib/frame/keys';
  import { brief as briefPath } from '$lib/frame/paths';
  import { count, moment } from '$lib/marks/format';
  import { verdicts } from '$lib/marks/verdicts';
  import Act from '$lib/ui/Act.svelte';
  import Fold from '$lib/ui/Fold.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import Sure from '$lib/ui/Sure.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import { call } from '$lib/api/call';
  import CopyButton from '$lib/frame/CopyButton.svelte';
  import type { Verdict } from '$core/measure';
  import { Inbox } from './inbox.svelte';
  import RunsChart from './RunsChart.svelte';
  import { rhythmInWords } from './rhythm-words';

  interface Props {
    watches: Answer<'listWatches'>;
    /** The watch that an address names. */
    chosen: string | null;
  }
  let { watches, chosen }: Props = $props();

  const inbox = new Inbox(() => watches);
  // Whatever is read stays in sight until something new has come.
  const mark = $derived(watches.map(({ id, lastRun }) => `${id} ${lastRun?.id} ${lastRun?.state}`).join());
  $effect(() => {
    void mark;
    untrack(() => void inbox.list());
  });
  onMount(() => {
    if (chosen && watches.some(({ id }) => id === chosen)) {
      inbox.watch = chosen;
      inbox.unread = false;
      void inbox.list();
    }
  });
  const kinds = {
    new: { word: 'new', sign: '+', type: 'teal' },
    back: { word: 'back', sign: '↺', type: 'blue' },
    changed: { word: 'changed', sign: '≠', type: 'purple' },
    left: { word: 'left', sign: '−', type: 'gray' }
  } as const;
  const nameOf = (id: string) => watches.find((one) => one.id === id)?.name ?? '';
  function outcome({ lastRun, unread }: Answer<'listWatches'>[number]): string {
    if (!lastRun) return 'not run yet';
    if (lastRun.state === 'running') return 'is being run';
    if (lastRun.state === 'due') return `a look is due since ${moment(lastRun.dueAt)}`;
    if (lastRun.state === 'failed') return `broke off ${moment(lastRun.endedAt ?? lastRun.dueAt)}: ${lastRun.problem}`;
    const parts = Object.entries(lastRun.counts).map(
      ([kind, n]) => `${count(n ?? 0)} ${kinds[kind as keyof typeof kinds].word}`
    );
    return `${parts.join(', ') || 'nothing since'}; ${count(lastRun.people)} found, ${moment(lastRun.endedAt ?? lastRun.dueAt)}${unread ? '' : '; all read'}`;
  }
  const change = (watch: string, body: Body<'changeWatch'>) =>
    inbox.attempt(async () => {
      await call('changeWatch', { params: { watch }, body });
    });
  let opened: string | null = $state(null);
  let deleting: Answer<'listWatches'>[number] | null = $state(null);
  const hear = keysOf('inbox', {
    before: () => inbox.go(-1),
    after: () => inbox.go(1),
    fit: () => void inbox.give('fit'),
    miss: () => void inbox.give('miss'),
    unsure: () => void inbox.give('unsure'),
    keep: () => void inbox.keep(),
    read: () => void inbox.read(!inbox.current?.read)
  });
</script>

<svelte:window onkeydown={hear} />

<!-- What came, by watch: gone through by keys. -->
<section class="sheet" aria-label="What watches have found">
  <div class="watches">
    <h2>Watches</h2>
    {#each watches as watch (watch.id)}
      <div class="watch" class:off={!watch.active}>
        <Act
          look="plain"
          aria-pressed={inbox.watch === watch.id}
          onclick={() => {
            inbox.watch = inbox.watch === watch.id ? '' : watch.id;
            void inbox.list();
          }}
          ><b>{watch.name}</b>{#if watch.unread}<Tag size="sm" type="teal">{count(watch.unread)} unread</Tag>{/if}</Act
        >
        <p class="soft">
          {outcome(watch)}. {watch.active
            ? watch.nextAt
              ? `Next ${moment(watch.nextAt)}, ${rhythmInWords(watch.rhythm.rule)}.`
              : 'Its rhythm has ended.'
            : 'Switched off.'}
        </p>
        {#if watch.lastRun?.state === 'due'}
          {#each watch.sources as { sourceId, sourceName, version } (sourceId)}
            <p class="due">
              <a href={briefPath(watch.briefId, 'by-hand', { version: String(version), source: sourceId })}
                >Look at {sourceName}</a
              >: copy the search, paste what it shows; what is new is told here.
            </p>
          {/each}
        {/if}
        {#if watch.lastRun?.breaks.length}<p class="soft">
            A break in the series: {watch.lastRun.breaks.join('; ')}.
          </p>{/if}
        {#if watch.reach !== 'goes on'}<p class="warm">
            More {watch.reach === 'fewer' ? 'leave than come' : 'come than leave'}, run after run, beyond chance: the
            string reaches
            {watch.reach}.
          </p>{/if}
        {#if watch.drift && watch.drift.says !== 'worse'}<p class="soft">
            {count(watch.drift.fits)} of {count(watch.drift.judged)} newly come who were judged fit{watch.drift.says ===
            'as before'
              ? ': as many as before'
              : ''}.
          </p>{/if}
        {#if watch.drift?.says === 'worse'}<p class="warm">
            Of {count(watch.drift.judged)} newly come who were judged, {count(watch.drift.fits)} fit: fewer than before, beyond
            chance.
            <a href={briefPath(watch.briefId, 'string', { panel: 'proposals' })}>Better the string</a>.
          </p>{/if}
        <Fold title="More of this watch" bind:open={() => opened === watch.id, (on) => (opened = on ? watch.id : null)}>
          <p class="soft">
            {#if watch.list}
              The people of <a href={briefPath(watch.briefId, 'shortlist', { list: watch.list.id })}
                >{watch.list.name}</a
              >, looked up at {watch.sources.map(({ sourceName }) => sourceName).join(', ')}:
              {watch.rules.map(({ name }) => name).join(', ')}
            {:else}
              <a href={briefPath(watch.briefId, 'harvest')}>{watch.briefName}</a>: {watch.sources
                .map(({ sourceName, version }) => `version ${version} at ${sourceName}`)
                .join(', ')}
            {/if}
          </p>
          <div class="line">
            <Act
              disabled={watch.lastRun?.state === 'running' || watch.lastRun?.state === 'due'}
              onclick={() =>
                inbox.attempt(async () => {
                  await call('runWatch', { params: { watch: watch.id } });
                })}>Run now</Act
            >
            <Act onclick={() => change(watch.id, { active: !watch.active })}
              >{watch.active ? 'Switch off' : 'Switch on'}</Act
            >
            <Act disabled={!watch.unread} onclick={() => inbox.readAll(watch.id)}>All read</Act>
            <Act onclick={() => (deleting = watch)}>Delete</Act>
          </div>
          <div class="line">
            {#each [['atom', 'Atom feed'], ['json', 'JSON feed'], ['ics', 'Calendar']] as [form, word] (form)}
              <CopyButton
                label={word}
                of="the address of the {word} of {watch.name}"
                text="{page.url.origin}/api/feeds/{watch.feed}?form={form}"
              />
            {/each}
            <Act onclick={() => change(watch.id, { renewFeed: true })}>New address</Act>
          </div>
          {#if opened === watch.id}<RunsChart watch={watch.id} name={watch.name} />{/if}
        </Fold>
      </div>
    {/each}
  </div>
  <div class="news">
    <div class="line">
      <h2>{inbox.watch ? nameOf(inbox.watch) : 'What came'}</h2>
      <Pick
        label="Show"
        hideLabel
        value={inbox.unread ? 'unread' : 'all'}
        onpick={(picked) => {
          inbox.unread = picked === 'unread';
          void inbox.list();
        }}
      >
        <option value="unread">unread</option><option value="all">read and unread</option>
      </Pick>
      <Tick label="without those known already" checked={inbox.onlyUnknown} ontick={(on) => (inbox.onlyUnknown = on)} />
      <span class="soft" role="status">{inbox.said}</span>
    </div>
    <Refused problem={inbox.refused} />
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="list" tabindex="0" role="region" aria-label="News, a row each">
      {#each inbox.shown as one (one.id)}
        <Act
          look="plain"
          class="row {inbox.at === one.id ? 'on' : ''}"
          aria-pressed={inbox.at === one.id}
          onclick={() => (inbox.at = one.id)}
        >
          <span class="kind">{kinds[one.kind].sign} {kinds[one.kind].word}</span>
          <span class="who">
            <b class:read={one.read}>{one.facts.name}</b>
            <span>{[one.facts.title, one.facts.company].filter(Boolean).join(' at ')}</span>
            <span class="soft">{[one.facts.place, one.facts.country].filter(Boolean).join(', ')}</span>
            {#each one.changes as { field, before, now } (field)}<span
                >{field}: <s class="soft">{before ?? 'not told'}</s> → {now ?? 'not told'}</span
              >{/each}
          </span>
          <span class="soft">{[one.why, ...one.known].filter(Boolean).join('; ')}</span>
          <span style:color={one.verdict ? verdicts[one.verdict].colour : undefined}
            >{one.verdict ? `${verdicts[one.verdict].sign} ${verdicts[one.verdict].word}` : ''}</span
          >
        </Act>
      {:else}<p class="soft">
          Nothing {inbox.unread ? 'unread' : 'yet'}: whoever is new, changes, leaves or comes back is shown here.
        </p>{/each}
      {#if !inbox.last}<Act onclick={inbox.more}>More</Act>{/if}
    </div>
    {#if inbox.current}
      <div class="line">
        {#each Object.entries(verdicts) as [name, { sign, word, key, colour }] (name)}
          <Act disabled={inbox.current.kind === 'left'} onclick={() => inbox.give(name as Verdict)}
            ><b style:color={colour}>{sign}</b> {word} <kbd>{key}</kbd></Act
          >
        {/each}
        <Act disabled={inbox.current.kind === 'left'} onclick={inbox.keep}>Keep <kbd>K</kbd></Act>
        <Act onclick={() => inbox.read(!inbox.current?.read)}>{inbox.current.read ? 'Unread' : 'Read'} <kbd>R</kbd></Act
        >
      </div>
    {/if}
  </div>
</section>

<Sure
  open={deleting !== null}
  heading="Delete this watch?"
  yes="Delete for good"
  onyes={() => {
    const watch = deleting?.id;
    if (watch) void inbox.attempt(() => call('deleteWatch', { params: { watch } }));
  }}
  onclose={() => (deleting = null)}
>
  “{deleting?.name}” goes with all that it has found; people who were kept, and verdicts, stay. This cannot be undone.
</Sure>

<style>
  section {
    display: grid;
    grid-template-columns: 330px minmax(0, 1fr);
    gap: 18px;
    padding: 10px 16px;
    margin-bottom: 14px;
    font-size: 12.5px;
  }
  h2 {
    font-size: 15px;
    margin-right: auto;
  }
  .watches {
    max-height: 340px;
    overflow: auto;
  }
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
  .list {
    max-height: 270px;
    overflow: auto;
    border-top: 1px solid var(--rule);
  }
  .list :global(.act.row.bx--btn) {
    display: grid;
    grid-template-columns: 74px minmax(0, 1fr) 170px 64px;
    gap: 10px;
    width: 100%;
    max-width: none;
    text-align: left;
    padding: 5px 8px;
    border-bottom: 1px solid var(--rule);
    font-size: 12.5px;
    align-items: start;
  }
  .list :global(.act.row.on.bx--btn) {
    background: var(--accent-2);
  }
  .who {
    display: grid;
  }
  .read {
    font-weight: 400;
  }
</style>
