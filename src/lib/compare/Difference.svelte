<script lang="ts">
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { count } from '$lib/marks/format';
  import { verdicts } from '$lib/marks/verdicts';
  import { countryName } from '$core/people/countries';
  import { contract, type Answer } from '$server/api/contract';

  type Version = Answer<'listVersions'>[number];
  type Source = Answer<'listSources'>[number];
  interface Props {
    briefId: string;
    versions: readonly Version[];
    sources: readonly Source[];
    from: number;
    to: number;
    source: string;
    onchoose: (choice: { from?: number; to?: number; source?: string }) => void;
  }
  let { briefId, versions, sources, from, to, source, onchoose }: Props = $props();

  let answer: Answer<'difference'> | null = $state(null);
  let refused: unknown = $state(null);
  const cap = $derived(sources.find(({ id }) => id === source)?.sheet.limits.shown ?? null);

  $effect(() => {
    const asked = new AbortController();
    answer = null;
    refused = null;
    call(contract.difference, { params: { id: briefId }, query: { from, to, source }, signal: asked.signal }).then(
      (told) => (answer = told),
      (problem: Error) => {
        if (!asked.signal.aborted) refused = problem;
      }
    );
    return () => asked.abort();
  });

  const judgedWords = ({ fits, misses }: Answer<'difference'>['added']) =>
    fits + misses ? `${fits} judged fit, ${misses} judged miss` : 'nobody judged';
</script>

<section class="sheet" aria-label="What changed between two versions">
  <header>
    <h2>What changed</h2>
    <label
      >from version <select value={from} onchange={(event) => onchoose({ from: Number(event.currentTarget.value) })}
        >{#each versions as { number } (number)}<option value={number}>{number}</option>{/each}</select
      ></label
    >
    <label
      >to version <select value={to} onchange={(event) => onchoose({ to: Number(event.currentTarget.value) })}
        >{#each versions as { number } (number)}<option value={number}>{number}</option>{/each}</select
      ></label
    >
    <label
      >on <select value={source} onchange={(event) => onchoose({ source: event.currentTarget.value })}
        >{#each sources as { id, name } (id)}<option value={id}>{name}</option>{/each}</select
      ></label
    >
    {#if answer}<span class="soft"
        >{count(answer.kept)} people are in both.{answer.capped
          ? ` More are found than shown: only the first ${cap?.toLocaleString('en')} of each are compared.`
          : ''}</span
      >{/if}
  </header>
  <Refused problem={refused} />
  {#if answer}
    <div class="sides">
      {#each [{ side: answer.removed, word: 'Removed' }, { side: answer.added, word: 'Added' }] as { side, word } (word)}
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <div role="region" aria-label={`${word} people`} tabindex="0">
          <h3>
            <span class="n">{count(side.count)}</span>
            {word.toLowerCase()} <span class="soft">{judgedWords(side)}</span>
          </h3>
          {#if side.people.length}
            <table aria-label={word}>
              <thead><tr><th>Name</th><th>Title</th><th>Firm</th><th>Country</th><th>Verdict</th></tr></thead>
              <tbody>
                {#each side.people as person (person.id)}
                  <tr>
                    <td>{person.name}</td><td>{person.title}</td><td>{person.company}</td><td
                      >{countryName(person.country)}</td
                    >
                    <td
                      >{#if person.verdict}<span style:color={verdicts[person.verdict].colour}
                          >{verdicts[person.verdict].sign} {verdicts[person.verdict].word}</span
                        >{/if}</td
                    >
                  </tr>
                {/each}
              </tbody>
            </table>
            {#if side.count > side.people.length}<p class="soft">
                and {count(side.count - side.people.length)} more
              </p>{/if}
          {:else}<p class="soft">Nobody.</p>{/if}
        </div>
      {/each}
    </div>
  {:else if !refused}<p class="soft" role="status">Comparing…</p>{/if}
</section>

<style>
  section {
    margin-top: 14px;
    padding: 12px 16px;
  }
  header {
    display: flex;
    gap: 14px;
    align-items: baseline;
    flex-wrap: wrap;
    margin-bottom: 8px;
  }
  select {
    font: inherit;
    font-size: 13px;
    color: var(--ink);
    background: var(--sheet-2);
    border: 1px solid var(--line);
    padding: 3px 6px;
  }
  .sides {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 20px;
  }
  .sides > div {
    max-height: 340px;
    overflow: auto;
  }
  h3 {
    font-size: 13.5px;
    font-weight: 600;
  }
  .n {
    font-size: 20px;
    font-weight: 300;
  }
  table {
    border-collapse: collapse;
    width: 100%;
    font-size: 12.5px;
    margin-top: 4px;
  }
  th {
    text-align: left;
    font-weight: 400;
    color: var(--soft);
  }
  td,
  th {
    padding: 3px 8px 3px 0;
    border-top: 1px solid var(--rule);
    vertical-align: top;
  }
</style>
