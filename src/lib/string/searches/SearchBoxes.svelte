<script lang="ts">
  import { searchBoxes as say } from '../words';
  import CopyButton from '$lib/frame/CopyButton.svelte';
  import { factLabel, type Search, type Sheet } from '$core/dialect';
  import { factWords } from './fact-words';

  interface Props {
    source: { name: string; sheet: Sheet };
    search: Search;
    /** Which of several it is, from 0; null for the only one. */
    of: number | null;
  }
  let { source, search, of }: Props = $props();

  const label = (id: string) => source.sheet.boxes.find((box) => box.id === id)?.label ?? id;
  const factName = (scope: string) => {
    const fact = source.sheet.facts.find((one) => one.scope === scope);
    return fact ? factLabel(fact) : scope;
  };
  const which = $derived(of === null ? '' : say.search(of + 1));
</script>

<!-- What to put in each box of one search, and which facts to choose. -->
{#each Object.entries(search.boxes) as [id, text] (id)}
  <div class="row">
    <span class="label">{label(id)}</span><code>{text}</code>
    <CopyButton {text} label={say.copy} of={say.forText(label(id), which, source.name)} />
  </div>
{/each}
{#each search.facts as fact (fact.scope)}
  <div class="row">
    <span class="label">{factName(fact.scope)}</span><span>{factWords(fact)}</span>
    <CopyButton
      text={[...(fact.include ?? []), ...(fact.exclude ?? [])].join('\n') || factWords(fact)}
      label={say.copy}
      of={say.forText2(factName(fact.scope), which, source.name)}
    />
  </div>
{/each}

<style>
  .row {
    display: grid;
    grid-template-columns: 118px 1fr auto;
    gap: 10px;
    align-items: start;
    padding: 2px 0;
    font-size: 13px;
  }
  .label {
    color: var(--soft);
    font-size: 12.5px;
  }
  code {
    font:
      12.5px/1.5 'IBM Plex Mono',
      monospace;
    overflow-wrap: anywhere;
  }
</style>
