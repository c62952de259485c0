<script lang="ts">
  import { factWords } from './fact-words';
  import type { Answer } from '$server/api/contract';

  type Source = Answer<'listSources'>[number];
  let { source, rendering }: { source: Source; rendering: Answer<'render'> } = $props();

  const words = {
    exact: 'The source is asked exactly this string.',
    wider: 'The source brings more people than the string means; Eave removes them.',
    impossible: 'The source cannot be asked this.'
  };
  const label = (id: string) => source.sheet.boxes.find((box) => box.id === id)?.label ?? id;

  let copied = $state('');
  async function copy(text: string, what: string) {
    await navigator.clipboard.writeText(text);
    copied = what;
  }
</script>

<section class="sheet" aria-label="How {source.name} is asked">
  <header>
    <h2>{source.name}</h2>
    <span class="badge {rendering.exactness}">{rendering.exactness}</span>
    <span class="soft">{words[rendering.exactness]}</span>
  </header>
  {#each rendering.notes as note (note)}<p class="note">{note}</p>{/each}
  <ol>
    {#each rendering.searches as search, i (i)}
      <li>
        {#each Object.entries(search.boxes) as [id, text] (id)}
          <div class="row">
            <span class="label">{label(id)}</span><code>{text}</code>
            <button class="quiet" onclick={() => copy(text, `${i}${id}`)}
              >{copied === `${i}${id}` ? 'Copied' : 'Copy'}</button
            >
          </div>
        {/each}
        {#each search.facts as fact (fact.scope)}
          <div class="row"><span class="label">{fact.scope}</span><span>{factWords(fact)}</span></div>
        {/each}
      </li>
    {/each}
  </ol>
</section>

<style>
  section {
    margin-top: 12px;
    padding: 12px 16px;
  }
  header {
    display: flex;
    gap: 12px;
    align-items: baseline;
  }
  .note {
    color: var(--soft);
    font-size: 13px;
    margin-top: 6px;
    overflow-wrap: anywhere;
  }
  ol {
    list-style: none;
    padding: 0;
    max-height: 300px;
    overflow: auto;
  }
  li {
    border-top: 1px solid var(--rule);
    padding: 6px 0;
    margin-top: 6px;
  }
  .row {
    display: grid;
    grid-template-columns: 130px 1fr auto;
    gap: 10px;
    align-items: start;
    padding: 2px 0;
  }
  .label {
    color: var(--soft);
    font-size: 12.5px;
  }
  code {
    font:
      13px/1.5 'IBM Plex Mono',
      monospace;
    overflow-wrap: anywhere;
  }
</style>
