<script lang="ts" generics="T">
  import { beforeNavigate } from '$app/navigation';
  import InlineNotification from 'carbon-components-svelte/src/Notification/InlineNotification.svelte';
  import type { KeptDocument } from './kept-document.svelte';

  interface Props {
    document: KeptDocument<T>;
    /** Off where an editor keeps its own undo. */
    history?: boolean;
  }
  let { document, history = true }: Props = $props();

  const said = $derived(
    {
      kept: 'All kept',
      typing: 'Keeping…',
      keeping: 'Keeping…',
      waiting: 'Waiting to keep',
      invalid: 'Not kept yet',
      conflict: 'Changed elsewhere',
      refused: 'Not kept'
    }[document.state]
  );

  beforeNavigate(({ cancel, willUnload }) => {
    if (!document.unsaved) return;
    void document.flush();
    if (document.state === 'typing' || document.state === 'keeping') return;
    if (willUnload) cancel();
    else if (!confirm('What you changed here is not kept yet. Leave all the same?')) cancel();
  });

  function keys(event: KeyboardEvent) {
    if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
    const key = event.key.toLowerCase();
    const inEditor = (event.target as HTMLElement).closest?.('.cm-editor');
    if (inEditor || !history) return;
    if (key === 'z' && !event.shiftKey) document.undo();
    else if (key === 'y' || (key === 'z' && event.shiftKey)) document.redo();
    else return;
    event.preventDefault();
  }
</script>

<svelte:window onkeydown={keys} />

<span class="state" role="status" data-state={document.state}>{said}</span>
{#if history}
  <button class="quiet" disabled={!document.canUndo} onclick={() => document.undo()} title="Ctrl Z">Undo</button>
  <button class="quiet" disabled={!document.canRedo} onclick={() => document.redo()} title="Ctrl Y">Redo</button>
{/if}

{#if document.message}
  <div class="notice">
    <InlineNotification lowContrast kind="warning" hideCloseButton title={said} subtitle={document.message}>
      <svelte:fragment slot="actions">
        {#if document.state === 'conflict'}
          <button class="quiet" onclick={() => document.keepMine()}>Keep mine</button>
          <button class="quiet" onclick={() => document.takeTheirs()}>Take theirs</button>
        {:else if document.state === 'waiting'}
          <button class="quiet" onclick={() => document.flush()}>Try now</button>
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
  .notice :global(button) {
    margin: 8px 4px;
    white-space: nowrap;
  }
</style>
