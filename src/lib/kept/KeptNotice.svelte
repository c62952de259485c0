<script lang="ts" generics="T">
  import { keptNotice as say } from './words';
  import ConfirmDialog from '$lib/ui/ConfirmDialog.svelte';
  import Button from '$lib/ui/Button.svelte';
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
      kept: say.saved,
      typing: say.saving,
      keeping: say.saving,
      waiting: say.offline,
      invalid: say.notSaved,
      conflict: say.changedElsewhere,
      refused: say.notSaved
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

  const handle = keysOf(
    'everywhere',
    { undo: () => document.undo(), redo: () => document.redo() },
    // What was typed into a field is part of the document, and so is what is undone there.
    true
  );
  function keys(event: KeyboardEvent) {
    if (history && !(event.target as HTMLElement).closest?.('.cm-editor')) handle(event);
  }
</script>

<svelte:window onkeydown={keys} />

<span class="state" role="status" data-state={document.state}>{said}</span>
{#if history}
  <Button disabled={!document.canUndo} onclick={() => document.undo()}>{say.undo}</Button>
  <Button disabled={!document.canRedo} onclick={() => document.redo()}>{say.redo}</Button>
{/if}

<ConfirmDialog
  size="xs"
  open={leaving !== null}
  heading={say.discardUnsavedChanges}
  confirm={say.discard}
  cancel={say.stay}
  onconfirm={goAllTheSame}
  onclose={() => (leaving = null)}
>
  {say.yourLatestChangesArentSavedYet}
</ConfirmDialog>

{#if document.message}
  <div class="notice">
    <InlineNotification lowContrast kind="warning" hideCloseButton title={said} subtitle={document.message}>
      <svelte:fragment slot="actions">
        {#if document.state === 'conflict'}
          <Button onclick={() => document.keepMine()}>{say.keepMine}</Button>
          <Button onclick={() => document.takeTheirs()}>{say.useTheirs}</Button>
        {:else if document.state === 'waiting'}
          <Button onclick={() => document.flush()}>{say.retryNow}</Button>
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
  .notice :global(.button.bx--btn) {
    margin: 8px 4px;
    white-space: nowrap;
  }
</style>
