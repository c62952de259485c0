<script lang="ts" generics="T">
  import { keptNotice as say } from './words';
  import Sure from '$lib/ui/Sure.svelte';
  import Act from '$lib/ui/Act.svelte';
  import { beforeNavigate, goto } from '$app/navigation';
  import InlineNotification from 'carbon-components-svelte/src/Notification/InlineNotification.svelte';
  import { keysOf } from '$lib/frame/keys';
  import type { KeptDocument } from './kept-document.svelte';

  interface Props {
    document: KeptDocument<T>;
    /** Off where an editor keeps its own undo. */
    history?: boolean;
  }
  let { document, history = true }: Props = $props();

  const said = $derived(
    {
      kept: 'Saved',
      typing: 'Saving…',
      keeping: 'Saving…',
      waiting: 'Offline: not saved yet',
      invalid: 'Not saved',
      conflict: 'Changed elsewhere',
      refused: 'Not saved'
    }[document.state]
  );

  /** Where somebody wants to go though what they changed is not kept yet. */
  let leaving: URL | null = $state(null);
  let leave = false;
  beforeNavigate(({ cancel, willUnload, to }) => {
    if (!document.unsaved || leave) return;
    void document.flush();
    if (document.state === 'typing' || document.state === 'keeping') return;
    cancel();
    if (!willUnload) leaving = to?.url ?? null;
  });
  function goAllTheSame() {
    leave = true;
    if (leaving) void goto(leaving);
  }

  const hear = keysOf(
    'everywhere',
    { undo: () => document.undo(), redo: () => document.redo() },
    // What was typed into a field is part of the document, and so is what is undone there.
    true
  );
  function keys(event: KeyboardEvent) {
    if (history && !(event.target as HTMLElement).closest?.('.cm-editor')) hear(event);
  }
</script>

<svelte:window onkeydown={keys} />

<span class="state" role="status" data-state={document.state}>{said}</span>
{#if history}
  <Act disabled={!document.canUndo} onclick={() => document.undo()}>{say.undo}</Act>
  <Act disabled={!document.canRedo} onclick={() => document.redo()}>{say.redo}</Act>
{/if}

<Sure
  size="xs"
  open={leaving !== null}
  heading={say.leaveWhatIsNotKept}
  yes={say.leave}
  no={say.stay}
  onyes={goAllTheSame}
  onclose={() => (leaving = null)}
>
  {say.whatYouChangedHereIsNot}
</Sure>

{#if document.message}
  <div class="notice">
    <InlineNotification lowContrast kind="warning" hideCloseButton title={said} subtitle={document.message}>
      <svelte:fragment slot="actions">
        {#if document.state === 'conflict'}
          <Act onclick={() => document.keepMine()}>{say.keepMine}</Act>
          <Act onclick={() => document.takeTheirs()}>{say.takeTheirs}</Act>
        {:else if document.state === 'waiting'}
          <Act onclick={() => document.flush()}>{say.tryNow}</Act>
        {/if}
      </svelte:fragment>
    </InlineNotification>
  </div>
{/if}

<style>
  .state {
    color: var(--soft);
    font-size: 12.5px;
    min-width: 72px;
    text-align: right;
  }
  .notice {
    position: fixed;
    right: 20px;
    bottom: 12px;
    z-index: 30;
    max-width: 640px;
  }
  .notice :global(.act.bx--btn) {
    margin: 8px 4px;
    white-space: nowrap;
  }
</style>
