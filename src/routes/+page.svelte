<script lang="ts">
  import { homePage as say } from '$lib/home/words';
  import { onMount } from 'svelte';
  import ConfirmDialog from '$lib/ui/ConfirmDialog.svelte';
  import { watchAll } from '$lib/kept/changes';
  import { isRunning } from '$lib/watches/is-running';
  import { reload } from '$lib/kept/reload';
  import FileUploadButton from '$lib/ui/FileUploadButton.svelte';
  import Button from '$lib/ui/Button.svelte';
  import { goto } from '$app/navigation';
  import OverflowMenu from 'carbon-components-svelte/src/OverflowMenu/OverflowMenu.svelte';
  import OverflowMenuItem from 'carbon-components-svelte/src/OverflowMenu/OverflowMenuItem.svelte';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import TextInput from 'carbon-components-svelte/src/TextInput/TextInput.svelte';
  import { ApiProblem, call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import Figure from '$lib/marks/Figure.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import FirstSteps from '$lib/home/FirstSteps.svelte';
  import WatchInbox from '$lib/watches/WatchInbox.svelte';
  import Chosen from '$lib/report/Chosen.svelte';
  import { toast } from '$lib/ui/toasts.svelte';
  import type { Answer } from '$api';

  let { data } = $props();
  type Brief = Answer<'listBriefs'>[number];

  let showArchived = $state(false);
  let newName = $state('');
  let renaming: Brief | null = $state(null);
  let newTitle = $state('');
  let deleting: Brief | null = $state(null);
  let refused: unknown = $state(null);

  const shown = $derived(data.briefs.filter((brief) => showArchived || !brief.archived));
  const archived = $derived(data.briefs.filter((brief) => brief.archived).length);

  const demo = $derived(data.briefs.find((brief) => brief.demo && brief.verdicts > 0));
  const empty = $derived(data.briefs.find((brief) => brief.demo && !brief.versions) ?? null);
  let resetting = $state(false);

  async function act(work: () => Promise<unknown>) {
    refused = null;
    try {
      await work();
    } catch (problem) {
      refused = problem;
    }
    await reload('eave:briefs');
  }

  function make(event: SubmitEvent) {
    event.preventDefault();
    void act(async () => {
      const brief = await call('createBrief', { body: { name: newName } });
      newName = '';
      await goto(briefPath(brief.id, 'persona'));
    });
  }

  async function open(chosen: File) {
    const text = await chosen.text();
    await act(async () => {
      let body: never;
      try {
        body = JSON.parse(text) as never;
      } catch {
        throw new ApiProblem(0, say.notImported, say.fileIsntValidJson(chosen.name));
      }
      const brief = await call('importBrief', { body });
      if (brief.objected) toast(say.recordsSkippedOnObjection(brief.objected));
      await goto(briefPath(brief.id, 'compare'));
    });
  }

  const change = (brief: Brief, what: { name?: string; archived?: boolean }) =>
    act(() => call('changeBrief', { params: { id: brief.id }, body: { revision: brief.revision, ...what } }));

  const reloadWatches = () => void reload('eave:watches');
  onMount(() =>
    watchAll(
      ({ watches }) => watches && reloadWatches(),
      () => data.watches.some((watch) => isRunning(watch)) && reloadWatches()
    )
  );
  const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' });
</script>

<div class="top">
  <h1>{say.briefs}</h1>
  <p class="soft">
    {say.briefIsOneProspectingJobWho}
  </p>
  <form onsubmit={make}>
    <TextInput size="sm" hideLabel labelText={say.nameNewBrief} placeholder={say.nameNewBrief} bind:value={newName} />
    <Button kind="primary" type="submit">{say.newBrief}</Button>
    <FileUploadButton label={say.importFile} accept={['.json', 'application/json']} onfile={open} />
    <OverflowMenu flipped size="sm" aria-label={say.moreActions}>
      <OverflowMenuItem text={say.resetDemo} on:click={() => (resetting = true)} />
    </OverflowMenu>
  </form>
</div>

<Refused problem={refused} />
{#if data.watches.length}
  <WatchInbox watches={data.watches} chosen={data.watch} />
{/if}
{#if demo}<FirstSteps {demo} {empty} />{/if}

{#if shown.length === 0}
  <div class="sheet empty">
    <h2>{say.noBriefYet}</h2>
    <p>
      {say.nameJobAboveForExampleAfter}
    </p>
  </div>
{:else}
  <ul>
    {#each shown as brief (brief.id)}
      <li class="sheet" class:archived={brief.archived}>
        <div class="what">
          <a class="name" href={briefPath(brief.id, brief.versions ? 'string' : 'persona')}>{brief.name}</a>
          {#if brief.archived}<span class="badge wider">{say.archived}</span>{/if}
          <p>{brief.sentence}</p>
          {#if brief.chosen.length}<Chosen {brief} />{/if}
        </div>
        <dl>
          <div>
            <dt>{say.versions}</dt>
            <dd class="number">{brief.versions}</dd>
          </div>
          <div>
            <dt>{say.wordings}</dt>
            <dd class="number">{brief.wordingsInUse}</dd>
          </div>
          <div>
            <dt>{say.shortlisted}</dt>
            <dd class="number">
              {#if brief.shortlisted === null}–{:else}<Figure name="shortlisted" value={brief.shortlisted}
                  >{brief.shortlisted}</Figure
                >{/if}
            </dd>
          </div>
          <div>
            <dt>{say.changed}</dt>
            <dd>{day.format(new Date(brief.updatedAt))}</dd>
          </div>
        </dl>
        <div class="acts">
          <Button
            onclick={() => {
              renaming = brief;
              newTitle = brief.name;
            }}>{say.rename}</Button
          >
          <Button onclick={() => act(() => call('copyBrief', { params: { id: brief.id } }))}>{say.duplicate}</Button>
          <Button onclick={() => change(brief, { archived: !brief.archived })}
            >{brief.archived ? say.restore : say.archive}</Button
          >
          {#if brief.archived}<Button onclick={() => (deleting = brief)}>{say.deleteText}</Button>{/if}
        </div>
      </li>
    {/each}
  </ul>
{/if}
{#if archived}
  <Button onclick={() => (showArchived = !showArchived)}
    >{showArchived ? say.hide : say.show} {say.archived2(archived)}</Button
  >
{/if}

<Modal
  open={renaming !== null}
  modalHeading={say.renameBrief}
  primaryButtonText={say.rename}
  secondaryButtonText={say.cancel}
  selectorPrimaryFocus="#new-title"
  size="sm"
  shouldSubmitOnEnter
  on:close={() => (renaming = null)}
  on:click:button--secondary={() => (renaming = null)}
  on:submit={() => {
    const brief = renaming;
    renaming = null;
    if (brief) void change(brief, { name: newTitle });
  }}
>
  <TextInput id="new-title" labelText={say.name} bind:value={newTitle} />
</Modal>

<ConfirmDialog
  open={resetting}
  heading={say.resetDemo2}
  confirm={say.reset}
  onconfirm={() => void act(() => call('resetDemo', {}))}
  onclose={() => (resetting = false)}
>
  {say.thisRecreatesDemosTwoBriefsWith}
</ConfirmDialog>

<ConfirmDialog
  open={deleting !== null}
  heading={say.deleteThisBrief}
  confirm={say.deleteText2}
  onconfirm={() => {
    const brief = deleting;
    if (brief) void act(() => call('deleteBrief', { params: { id: brief.id } }));
  }}
  onclose={() => (deleting = null)}
>
  {say.thisDeletesWithItsVersionsIts(deleting?.name, deleting?.versions)}
</ConfirmDialog>

<style>
  .top {
    display: flex;
    align-items: center;
    gap: 14px;
    margin-bottom: 12px;
  }
  .top p {
    flex: 1;
  }
  form {
    display: flex;
    gap: 8px;
    align-items: center;
    width: 480px;
  }
  form :global(.button.bx--btn) {
    white-space: nowrap;
    padding: 6px 12px;
  }
  ul {
    list-style: none;
    padding: 0;
    display: grid;
    gap: 10px;
    margin-bottom: 14px;
  }
  li {
    display: grid;
    grid-template-columns: 1fr auto auto;
    gap: 24px;
    padding: 14px 18px;
    align-items: start;
    border-left: 4px solid var(--accent);
  }
  li.archived {
    border-left-color: var(--line);
  }
  .name {
    font-size: 17px;
    font-weight: 600;
    color: var(--ink);
  }
  .what p {
    color: var(--soft);
    margin-top: 3px;
    max-width: 640px;
  }
  dl {
    display: flex;
    gap: 20px;
  }
  dt {
    font-size: 11.5px;
    color: var(--soft);
  }
  dd {
    font-size: 16px;
    font-weight: 300;
    white-space: nowrap;
  }
  .acts {
    display: flex;
    gap: 6px;
  }
</style>
