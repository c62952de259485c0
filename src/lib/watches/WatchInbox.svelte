<script lang="ts">
  import { watchInbox as say } from './words';
  import { onMount, untrack } from 'svelte';
  import type { Answer } from '$api';
  import Refused from '$lib/frame/Refused.svelte';
  import { keysOf } from '$lib/frame/keys';
  import { verdicts } from '$lib/marks/verdicts';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
  import ConfirmDialog from '$lib/ui/ConfirmDialog.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
  import { call } from '$lib/api/call';
  import type { Verdict } from '$core/measure';
  import { Inbox } from './inbox.svelte';
  import { newsKinds as kinds } from './news-kinds';
  import WatchCard from './WatchCard.svelte';

  interface Props {
    watches: Answer<'listWatches'>;
    /** The watch that an address names. */
    chosen: string | null;
  }
  let { watches, chosen }: Props = $props();

  const inbox = new Inbox(() => watches);
  // Items that were read stay visible until new ones arrive.
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
  const nameOf = (id: string) => watches.find((one) => one.id === id)?.name ?? '';
  let opened: string | null = $state(null);
  let deleting: Answer<'listWatches'>[number] | null = $state(null);
  const onkeydown = keysOf('inbox', {
    before: () => inbox.go(-1),
    after: () => inbox.go(1),
    fit: () => void inbox.give('fit'),
    miss: () => void inbox.give('miss'),
    unsure: () => void inbox.give('unsure'),
    keep: () => void inbox.keep(),
    read: () => void inbox.read(!inbox.current?.read)
  });
</script>

<svelte:window {onkeydown} />

<!-- Updates by watch, with keyboard navigation. -->
<section class="sheet" aria-label={say.updatesFromWatches}>
  <div class="watches">
    <h2>{say.watches}</h2>
    {#each watches as watch (watch.id)}
      <WatchCard
        {watch}
        {inbox}
        bind:opened={() => opened === watch.id, (on) => (opened = on ? watch.id : null)}
        ondelete={() => (deleting = watch)}
      />
    {/each}
  </div>
  <div class="news">
    <div class="line">
      <h2>{inbox.watch ? nameOf(inbox.watch) : say.updates}</h2>
      <Select
        label={say.show}
        hideLabel
        value={inbox.unread ? 'unread' : 'all'}
        onchange={(picked) => {
          inbox.unread = picked === 'unread';
          void inbox.list();
        }}
      >
        <option value="unread">{say.unread}</option><option value="all">{say.all}</option>
      </Select>
      <Checkbox
        label={say.hidePeopleAlreadyKnown}
        checked={inbox.onlyUnknown}
        onchange={(on) => (inbox.onlyUnknown = on)}
      />
    </div>
    <Refused problem={inbox.refused} />
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="list" tabindex="0" role="region" aria-label={say.updates2}>
      {#each inbox.shown as one (one.id)}
        <Button
          kind="ghost"
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
                >{field}: <s class="soft">{before ?? say.notListed}</s> → {now ?? say.notListed}</span
              >{/each}
          </span>
          <span class="soft">{[one.why, ...one.known].filter(Boolean).join('; ')}</span>
          <span style:color={one.verdict ? verdicts[one.verdict].colour : undefined}
            >{one.verdict ? `${verdicts[one.verdict].sign} ${verdicts[one.verdict].word}` : ''}</span
          >
        </Button>
      {:else}<p class="soft">
          {inbox.unread ? say.noUnreadUpdates : say.noUpdatesYet}{say.peopleWhoAreNewChangedGone}
        </p>{/each}
      {#if !inbox.last}<Button onclick={inbox.more}>{say.more}</Button>{/if}
    </div>
    {#if inbox.current}
      <div class="line">
        {#each Object.entries(verdicts) as [name, { sign, word, key, colour }] (name)}
          <Button disabled={inbox.current.kind === 'left'} onclick={() => inbox.give(name as Verdict)}
            ><b style:color={colour}>{sign}</b> {word} <kbd>{key}</kbd></Button
          >
        {/each}
        <Button disabled={inbox.current.kind === 'left'} onclick={inbox.keep}>{say.addToShortlist} <kbd>K</kbd></Button>
        <Button onclick={() => inbox.read(!inbox.current?.read)}
          >{inbox.current.read ? say.markAsUnread : say.markAsRead} <kbd>R</kbd></Button
        >
      </div>
    {/if}
  </div>
</section>

<ConfirmDialog
  open={deleting !== null}
  heading={say.deleteThisWatch}
  confirm={say.deleteText}
  onconfirm={() => {
    const watch = deleting?.id;
    if (watch) void inbox.attempt(() => call('deleteWatch', { params: { watch } }));
  }}
  onclose={() => (deleting = null)}
>
  {say.thisDeletesWithEverythingItFound(deleting?.name)}
</ConfirmDialog>

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
  .list :global(.button.row.bx--btn) {
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
  .list :global(.button.row.on.bx--btn) {
    background: var(--accent-2);
  }
  .who {
    display: grid;
  }
  .read {
    font-weight: 400;
  }
</style>
