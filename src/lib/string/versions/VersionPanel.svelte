<script lang="ts">
  import { versionPanel as say } from '../words';
  import { moment } from '$lib/marks/format';
  import Accordion from '$lib/ui/Accordion.svelte';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
  import { diffWordsWithSpace } from 'diff';
  import PartChanges from './PartChanges.svelte';
  import CopyButton from '$lib/frame/CopyButton.svelte';
  import { setQueries, type SetQueries } from '$core/language';
  import { compareVersions } from '$core/semantics';
  import type { Answer } from '$api';

  type Version = Answer<'listVersions'>[number];
  interface Props {
    versions: readonly Version[];
    opened: number;
    /** The draft, and the current contents of its word sets. */
    text: string;
    sets: SetQueries;
    onopen: (number: number) => void;
    ontake: (version: Version) => void;
    onname: (number: number, change: { name?: string; note?: string }) => void;
  }
  let { versions, opened, text, sets, onopen, ontake, onname }: Props = $props();

  const version = $derived(versions.find(({ number }) => number === opened) ?? versions[0]);
  let against = $state('string');
  const other = $derived(versions.find(({ number }) => String(number) === against && number !== version?.number));
  const to = $derived(
    other
      ? { text: other.text, sets: setQueries(other.sets), name: say.version(other.number) }
      : { text, sets, name: say.currentString }
  );
  const parts = $derived(
    version ? compareVersions(version.text, to.text, { before: setQueries(version.sets), after: to.sets }) : []
  );
  const words = $derived(version ? diffWordsWithSpace(version.text, to.text) : []);
  const same = $derived(version?.text === to.text);
</script>

<section class="sheet" aria-label={say.versions}>
  <div class="list">
    <h2>{say.versions}</h2>
    {#each versions as one (one.number)}
      <Button kind="ghost" aria-current={one.number === version?.number} onclick={() => onopen(one.number)} class="one">
        <b>{one.number}</b><span>{one.name || one.note || moment(one.createdAt)}</span>
        {#if one.parent !== null && one.parent !== one.number - 1}<small>{say.from(one.parent)}</small>{/if}
      </Button>
    {:else}
      <p class="soft">{say.noneYetEveryStringYouRun}</p>
    {/each}
  </div>
  {#if version}
    <div class="open">
      <div class="acts">
        <TextInput
          aria-label={say.nameVersion(version.number)}
          placeholder={say.nameVersion(version.number)}
          value={version.name}
          maxlength="100"
          onchange={(event) => onname(version.number, { name: event.currentTarget.value })}
        />
        <TextInput
          class="note"
          aria-label={say.noteOnVersion(version.number)}
          placeholder={say.noteOnVersion(version.number)}
          value={version.note}
          maxlength="500"
          onchange={(event) => onname(version.number, { note: event.currentTarget.value })}
        />
        <Button disabled={version.text === text} onclick={() => ontake(version)}>{say.restore}</Button>
        <CopyButton text={version.text} of={say.version(version.number)} />
      </div>
      <p class="soft">
        {say.fromVersionTo(version.number)}
        <Select bind:value={against} aria-label={say.compareWith}>
          <option value="string">{say.currentString}</option>
          {#each versions.filter(({ number }) => number !== version.number) as one (one.number)}
            <option value={String(one.number)}>{say.version(one.number)}</option>
          {/each}
        </Select>:
        {same ? say.sameText : parts.length ? '' : say.samePartsWrittenDifferently}
      </p>
      {#if parts.length}
        <PartChanges {parts} />
      {/if}
      <Accordion title={say.asText} open={!parts.length && !same}>
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <pre tabindex="0">{#each words as change, i (i)}{#if change.added}<ins>{change.value}</ins
              >{:else if change.removed}<del>{change.value}</del>{:else}{change.value}{/if}{/each}</pre>
      </Accordion>
      {#if version.sets.length}
        <p class="soft">
          {say.wordSetsAtThatTime}
          {version.sets.map(({ name, wordings }) => `@${name} (${wordings.length})`).join(', ')}
        </p>
      {/if}
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
    max-height: 300px;
    overflow: auto;
  }
  section :global(.one) {
    display: flex;
    gap: 10px;
    width: 100%;
    padding: 3px 6px;
    align-items: baseline;
  }
  section :global(.one span) {
    flex: 1;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  section :global(.one small) {
    color: inherit;
    opacity: 0.8;
    white-space: nowrap;
  }
  section :global(.one[aria-current='true']) {
    background: var(--ridge);
    color: var(--ridge-ink);
  }
  .open {
    padding: 12px 16px;
    min-width: 0;
  }
  .acts {
    display: flex;
    gap: 8px;
    margin-bottom: 8px;
  }
  section :global(input.note) {
    flex: 2;
  }
  pre {
    margin: 6px 0 0;
    white-space: pre-wrap;
    overflow-wrap: anywhere;
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
