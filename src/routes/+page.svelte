<script lang="ts">
  import { goto, invalidate } from '$app/navigation';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import TextInput from 'carbon-components-svelte/src/TextInput/TextInput.svelte';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import Chosen from '$lib/report/Chosen.svelte';
  import { contract, type Answer } from '$server/api/contract';

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

  async function act(work: () => Promise<unknown>) {
    refused = null;
    try {
      await work();
    } catch (problem) {
      refused = problem;
    }
    await invalidate('eave:briefs');
  }

  function make(event: SubmitEvent) {
    event.preventDefault();
    void act(async () => {
      const brief = await call(contract.createBrief, { body: { name: newName } });
      newName = '';
      await goto(briefPath(brief.id, 'persona'));
    });
  }

  async function open(event: Event & { currentTarget: HTMLInputElement }) {
    const input = event.currentTarget;
    const [chosen] = input.files ?? [];
    if (!chosen) return;
    const text = await chosen.text();
    await act(async () => {
      let body: never;
      try {
        body = JSON.parse(text) as never;
      } catch {
        throw new Error(
          `${chosen.name} is no JSON. Choose a file that “Whole brief as a file” on a report has written.`
        );
      }
      const brief = await call(contract.importBrief, { body });
      await goto(briefPath(brief.id, 'compare'));
    });
    input.value = '';
  }

  const change = (brief: Brief, what: { name?: string; archived?: boolean }) =>
    act(() => call(contract.changeBrief, { params: { id: brief.id }, body: { revision: brief.revision, ...what } }));

  const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' });
</script>

<div class="top">
  <h1>Briefs</h1>
  <p class="soft">
    A brief is one prospecting job: who is wanted, the strings that look for them, and the proof of which is best.
  </p>
  <form onsubmit={make}>
    <TextInput
      size="sm"
      hideLabel
      labelText="Name of the new brief"
      placeholder="Name of the new brief"
      bind:value={newName}
    />
    <button class="quiet main" type="submit">New brief</button>
    <label class="file">Open a file<input type="file" accept=".json,application/json" onchange={open} /></label>
  </form>
</div>

<Refused problem={refused} />

{#if shown.length === 0}
  <div class="sheet empty">
    <h2>No brief yet</h2>
    <p>
      Give the job a name above, such as the product and the market, and describe who is wanted. Eave writes the string
      from that.
    </p>
  </div>
{:else}
  <ul>
    {#each shown as brief (brief.id)}
      <li class="sheet" class:archived={brief.archived}>
        <div class="what">
          <a class="name" href={briefPath(brief.id, brief.versions ? 'string' : 'persona')}>{brief.name}</a>
          {#if brief.archived}<span class="badge wider">archived</span>{/if}
          <p>{brief.sentence}</p>
          <Chosen briefId={brief.id} />
        </div>
        <dl>
          <div>
            <dt>versions</dt>
            <dd class="number">{brief.versions}</dd>
          </div>
          <div>
            <dt>wordings</dt>
            <dd class="number">{brief.wordingsInUse}</dd>
          </div>
          <div>
            <dt>judged</dt>
            <dd class="number">{brief.judged}</dd>
          </div>
          <div>
            <dt>changed</dt>
            <dd>{day.format(new Date(brief.updatedAt))}</dd>
          </div>
        </dl>
        <div class="acts">
          <button
            class="quiet"
            onclick={() => {
              renaming = brief;
              newTitle = brief.name;
            }}>Rename</button
          >
          <button class="quiet" onclick={() => act(() => call(contract.copyBrief, { params: { id: brief.id } }))}
            >Copy</button
          >
          <button class="quiet" onclick={() => change(brief, { archived: !brief.archived })}
            >{brief.archived ? 'Bring back' : 'Archive'}</button
          >
          {#if brief.archived}<button class="quiet" onclick={() => (deleting = brief)}>Delete</button>{/if}
        </div>
      </li>
    {/each}
  </ul>
{/if}
{#if archived}
  <button class="quiet" onclick={() => (showArchived = !showArchived)}
    >{showArchived ? 'Hide' : 'Show'} {archived} archived</button
  >
{/if}

<Modal
  open={renaming !== null}
  modalHeading="Rename the brief"
  primaryButtonText="Rename"
  secondaryButtonText="Leave it"
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
  <TextInput id="new-title" labelText="Name" bind:value={newTitle} />
</Modal>

<Modal
  danger
  open={deleting !== null}
  modalHeading="Delete this brief?"
  primaryButtonText="Delete for good"
  secondaryButtonText="Leave it"
  size="sm"
  on:close={() => (deleting = null)}
  on:click:button--secondary={() => (deleting = null)}
  on:submit={() => {
    const brief = deleting;
    deleting = null;
    if (brief) void act(() => call(contract.deleteBrief, { params: { id: brief.id } }));
  }}
>
  <p>
    “{deleting?.name}” goes with its {deleting?.versions} versions, its trials and {deleting?.judged} verdicts. This cannot
    be undone.
  </p>
</Modal>

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
  form button,
  form label {
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
