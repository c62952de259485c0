<script lang="ts">
  import { diffWordsWithSpace } from 'diff';
  import type { Answer } from '$server/api/contract';

  type Version = Answer<'listVersions'>[number];
  interface Props {
    versions: readonly Version[];
    opened: number;
    text: string;
    onopen: (number: number) => void;
    ontake: (text: string) => void;
    onnote: (number: number, note: string) => void;
    onclose: () => void;
  }
  let { versions, opened, text, onopen, ontake, onnote, onclose }: Props = $props();

  const version = $derived(versions.find(({ number }) => number === opened) ?? versions[0]);
  const changes = $derived(version ? diffWordsWithSpace(version.text, text) : []);
  const same = $derived(version?.text === text);
  const moment = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
</script>

<section class="sheet" aria-label="Versions">
  <div class="list">
    <h2>Versions</h2>
    {#each versions as one (one.number)}
      <button class="plain one" aria-current={one.number === version?.number} onclick={() => onopen(one.number)}>
        <b>{one.number}</b><span>{one.note || moment.format(new Date(one.createdAt))}</span>
      </button>
    {:else}
      <p class="soft">None yet. Every string that is run is kept here.</p>
    {/each}
  </div>
  {#if version}
    <div class="open">
      <div class="acts">
        <input
          aria-label="Note on version {version.number}"
          placeholder="Note on version {version.number}"
          value={version.note}
          maxlength="500"
          onchange={(event) => onnote(version.number, event.currentTarget.value)}
        />
        <button class="quiet" disabled={same} onclick={() => ontake(version.text)}>Take up again</button>
        <button class="quiet" onclick={() => navigator.clipboard.writeText(version.text)}>Copy</button>
        <button class="quiet" onclick={onclose}>Close</button>
      </div>
      <p class="soft">
        {same ? 'The same as the string above.' : `From version ${version.number} to the string above:`}
      </p>
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <pre tabindex="0">{#each changes as change, i (i)}{#if change.added}<ins>{change.value}</ins
            >{:else if change.removed}<del>{change.value}</del>{:else}{change.value}{/if}{/each}</pre>
    </div>
  {/if}
</section>

<style>
  section {
    display: grid;
    grid-template-columns: 230px 1fr;
    margin-top: 12px;
  }
  .list {
    padding: 12px 16px;
    border-right: 1px solid var(--line);
    max-height: 260px;
    overflow: auto;
  }
  .one {
    display: flex;
    gap: 10px;
    width: 100%;
    padding: 3px 6px;
  }
  .one span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .one[aria-current='true'] {
    background: var(--ridge);
    color: var(--ridge-ink);
  }
  .open {
    padding: 12px 16px;
  }
  .acts {
    display: flex;
    gap: 8px;
    margin-bottom: 8px;
  }
  input {
    flex: 1;
    font: inherit;
    color: inherit;
    background: var(--sheet-2);
    border: 1px solid var(--line);
    padding: 4px 8px;
  }
  pre {
    margin: 6px 0 0;
    white-space: pre-wrap;
    font:
      13px/1.6 'IBM Plex Mono',
      monospace;
    max-height: 180px;
    overflow: auto;
  }
  ins {
    background: var(--accent-2);
    text-decoration: underline;
  }
  del {
    background: var(--warm-2);
  }
</style>
