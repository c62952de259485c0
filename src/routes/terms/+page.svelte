<script lang="ts">
  import { termAnchor } from '$lib/terms/term-path';
  import { details, termsPage as say } from '$lib/terms/terms-page-words';
  import { meanings, termNames, type Term } from '$lib/terms/words';

  const more: Partial<Record<Term, string>> = details;
  const terms = Object.keys(meanings) as Term[];
</script>

<div class="strip">
  <h1>{say.terms}</h1>
  <p class="soft">{say.intro}</p>
</div>
<dl class="sheet">
  {#each terms as term (term)}
    <div id={termAnchor(term)}>
      <dt>{termNames[term]}</dt>
      <dd>
        <p>{meanings[term]}</p>
        {#if more[term]}<p class="soft">{more[term]}</p>{/if}
      </dd>
    </div>
  {/each}
</dl>

<style>
  dl {
    max-width: 900px;
    padding: 4px 16px;
  }
  div[id] {
    display: grid;
    grid-template-columns: 160px 1fr;
    gap: 2px 16px;
    padding: 8px 0;
    border-top: 1px solid var(--rule);
    scroll-margin-top: 12px;
  }
  div[id]:first-child {
    border-top: 0;
  }
  div[id]:target {
    background: var(--accent-2);
  }
  dt {
    font-weight: 600;
  }
  dd {
    margin: 0;
  }
</style>
