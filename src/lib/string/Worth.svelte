<script lang="ts">
  import { about, counted, count } from '$lib/marks/format';
  import { partGlyph, partTint } from '$lib/marks/parts';
  import type { Part } from '$core/query/parts';
  import { print } from '$core/query/print';
  import type { Answer } from '$server/api/contract';
  import type { Interval } from '$core/measure/wilson';

  type Source = Answer<'listSources'>[number];
  export interface Worth {
    state: 'asking' | 'ready' | 'refused';
    answer?: Answer<'worth'>;
    message?: string;
  }
  interface Props {
    sources: readonly Source[];
    worth: Record<string, Worth>;
    parts: readonly Part[];
    /** True while the figures belong to an earlier text. */
    stale: boolean;
    onchoose: (source: Source) => void;
  }
  let { sources, worth, parts, stale, onchoose }: Props = $props();

  const change = (without: Interval | null, whole: Interval) => {
    if (!without) return '';
    const difference = (without.low + without.high - whole.low - whole.high) / 2;
    const exact = without.low === without.high && whole.low === whole.high;
    const sign = difference > 0 ? '+' : difference < 0 ? '−' : '';
    return `${exact || !difference ? '' : '≈ '}${sign} ${count(Math.abs(difference))}`;
  };
  const use = (source: Source, answer: Answer<'worth'>) => {
    const { limits } = source.sheet;
    const kinds = (['characters', 'words', 'operators'] as const).filter((kind) => limits[kind] !== null);
    return kinds.map((kind) => ({ kind, used: answer.rendering.use[kind], most: limits[kind]! }));
  };
</script>

<div class="scroll">
  <table class="board" class:stale aria-label="Worth of each part by source">
    <thead>
      <tr>
        <th class="first"
          ><b>Worth of each part</b><span class="soft">found alone, and the change if it is left out</span></th
        >
        {#each sources as source (source.id)}
          {@const now = worth[source.id]}
          <th>
            <button class="plain name" onclick={() => onchoose(source)} title="Show how {source.name} is asked"
              >{source.name}</button
            >
            {#if now?.answer}
              <span class="n"
                >{about(now.answer.count)}
                <em>{now.answer.count.low === now.answer.count.high ? 'exact' : counted(now.answer.count)}</em></span
              >
              <span class="badge {now.answer.rendering.exactness}">{now.answer.rendering.exactness}</span>
              {now.answer.rendering.searches.length}
              {now.answer.rendering.searches.length === 1 ? 'search' : 'searches'}
              {#each use(source, now.answer) as { kind, used, most } (kind)}
                <div class="use soft">{count(used)} of {count(most)} {kind}</div>
                <div class="use-bar">
                  <i style:width="{Math.min(100, (100 * used) / most)}%" class:full={used > most}></i>
                </div>
              {/each}
            {:else if now?.state === 'refused'}
              <span class="refused">{now.message}</span>
            {:else}
              <span class="n soft">…</span><span class="soft"
                >{source.readiness.state === 'preparing' ? 'its people are being prepared' : 'counting'}</span
              >
            {/if}
          </th>
        {/each}
      </tr>
      <tr class="sub">
        <td class="part"></td>
        {#each sources as source (source.id)}
          <td><span class="al">alone</span><span class="ch">if left out</span></td>
        {/each}
      </tr>
    </thead>
    <tbody>
      {#each parts as part (part.index)}
        <tr>
          <td class="part">
            <span style:color={partTint(part.index)}>{partGlyph(part.index)}</span>
            <span class="mono">{print(part.query)}</span>
          </td>
          {#each sources as source (source.id)}
            {@const answer = worth[source.id]?.answer}
            {@const figures = answer?.parts[part.index]}
            <td>
              {#if answer && figures}
                {#if figures.alone}<span class="al">{about(figures.alone)}</span>{:else}<span
                    class="al soft"
                    title="{source.name} cannot be asked this part alone">not alone</span
                  >{/if}<span class="ch">{change(figures.without, answer.count)}</span>
              {/if}
            </td>
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
  .scroll {
    overflow-x: auto;
    margin-top: 12px;
  }
  .stale td,
  .stale .n {
    color: var(--soft);
    font-style: italic;
  }
  th {
    min-width: 200px;
  }
  th.first {
    width: 32%;
    min-width: 300px;
    border-left: 0;
  }
  th b,
  .name {
    display: block;
    font-weight: 600;
  }
  .name {
    text-decoration: underline dotted;
    text-underline-offset: 3px;
  }
  .n {
    font-size: 25px;
    font-weight: 300;
    letter-spacing: -0.02em;
    display: block;
    line-height: 1.15;
  }
  .n em {
    font-style: normal;
    font-size: 13px;
    color: var(--soft);
    letter-spacing: 0;
  }
  .sub td {
    padding: 2px 12px;
    font-size: 11.5px;
    color: var(--soft);
  }
  .sub .ch {
    font-weight: 400;
  }
  .use {
    font-size: 11.5px;
    margin-top: 5px;
  }
  .part {
    border-left: 0;
    max-width: 420px;
  }
  .part {
    white-space: nowrap;
  }
  .part .mono {
    font-size: 12.5px;
    display: inline-block;
    max-width: 385px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    vertical-align: bottom;
  }
  .al {
    display: inline-block;
    width: 76px;
    text-align: right;
  }
  .ch {
    display: inline-block;
    width: 92px;
    text-align: right;
    font-weight: 600;
    white-space: nowrap;
  }
  .refused {
    color: var(--warm);
    font-size: 13px;
  }
</style>
