<script lang="ts">
  import { reading } from '$lib/frame/certain-only';
  import Figure from '$lib/marks/Figure.svelte';
  import { about, counted, count, isExact, percent, percentRange, rounded } from '$lib/marks/format';
  import { partGlyph, partTint } from '$lib/marks/parts';
  import { verdicts } from '$lib/marks/verdicts';
  import { expectedSpend, wilson } from '$core/measure';
  import type { Query } from '$core/query';
  import type { Answer } from '$server/api/contract';
  import { changeOf, ledgerLines, sortLines, standsOut, wholeOf, type LedgerLine } from './ledger-rows';

  type Source = Answer<'listSources'>[number];
  export interface LedgerState {
    state: 'asking' | 'ready' | 'refused';
    answer?: Answer<'ledger'>;
    message?: string;
  }
  interface Props {
    sources: readonly Source[];
    ledger: Record<string, LedgerState>;
    query: Query;
    /** True while the figures belong to an earlier text. */
    stale: boolean;
    onchoose: (source: Source) => void;
  }
  let { sources, ledger, query, stale, onchoose }: Props = $props();

  let unfolded: ReadonlySet<string> = $state.raw(new Set());
  let sorting: { sourceId: string; what: 'alone' | 'change' | 'misses' } | null = $state(null);
  const answers = $derived(Object.fromEntries(sources.map(({ id }) => [id, ledger[id]?.answer])));
  // Figures of an earlier text stay in their places until the new ones are there.
  const lines = $derived(
    sortLines(ledgerLines(query, unfolded, answers, reading()), sorting, (sourceId) =>
      wholeOf(answers[sourceId], reading())
    )
  );
  const groups = $derived(lines.filter(({ isGroup }) => isGroup));
  const outstanding = { idle: 'finds nobody', harmful: 'brings misses', 'costs fits': 'costs fits' };

  function toggle(line: LedgerLine) {
    const next = new Set(unfolded);
    if (!next.delete(line.key)) next.add(line.key);
    unfolded = next;
  }
  function sortBy(sourceId: string, what: 'alone' | 'change' | 'misses') {
    sorting = sorting?.sourceId === sourceId && sorting.what === what ? null : { sourceId, what };
  }
  const sortedBy = (sourceId: string, what: string) => sorting?.sourceId === sourceId && sorting.what === what;

  const changed = (line: LedgerLine, source: Source) => {
    const whole = wholeOf(answers[source.id], reading());
    const figures = line.figures[source.id];
    const difference = whole && figures ? changeOf(figures, whole) : null;
    if (difference === null || !whole || !figures?.without) return '';
    const exact = isExact(figures.without) && isExact(whole);
    const sign = difference > 0 ? '+' : difference < 0 ? '−' : '';
    // Where a count is rounded or guessed, no change that shows is not no change.
    const size = Math.abs(difference);
    return `${exact ? '' : '≈ '}${sign}${sign && ' '}${exact ? count(size) : rounded(size, figures.without)}`;
  };
  const judged = (line: LedgerLine, source: Source) => {
    const only = line.figures[source.id]?.only;
    if (!only || only.fits + only.misses === 0) return null;
    const all = only.fits + only.misses;
    const brings = line.figures[source.id]!.brings;
    return {
      ...only,
      told:
        `${line.excludes ? 'It alone throws out' : 'It alone brings'} ${only.misses} judged misses and ${only.fits} judged fits: ` +
        `${percent(only.misses / all)} misses, ${percentRange(wilson(only.misses, all))}. ` +
        `${line.excludes ? 'In all it hits' : 'In all it answers for'} ${brings.misses} misses and ${brings.fits} fits.` +
        (source.sheet.price && !line.excludes && line.figures[source.id]!.without
          ? ` Price of those it alone brings: ${priceOf(line, source)}.`
          : '')
    };
  };
  const priceOf = (line: LedgerLine, { id, sheet }: Source) => {
    const whole = wholeOf(answers[id], reading());
    const change = (whole && changeOf(line.figures[id]!, whole)) ?? 0;
    return `${count(Math.abs(change) * sheet.price!.perRecord)} ${sheet.price!.unit}`;
  };
  const use = (source: Source, answer: Answer<'ledger'>) => {
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
          ><b>Worth of each part</b><span class="soft"
            >found alone; the change if it is left out; judged misses and fits it alone answers for</span
          >
          <div class="folds">
            <button
              class="quiet"
              disabled={!groups.length}
              onclick={() => (unfolded = unfolded.size ? new Set() : new Set(groups.map(({ key }) => key)))}
              >{unfolded.size ? 'Fold all' : 'Unfold all'}</button
            >
            {#if sorting}<button class="quiet" onclick={() => (sorting = null)}>In the string’s order</button>{/if}
          </div></th
        >
        {#each sources as source (source.id)}
          {@const now = ledger[source.id]}
          <th>
            <button class="plain name" onclick={() => onchoose(source)} title="Show how {source.name} is asked"
              >{source.name}</button
            >
            {#if now?.answer}
              {@const { found, rows } = now.answer}
              {@const estimated = found.estimated[reading()]}
              <span class="n"
                >{#if rows}<Figure name="estimated" value={estimated.middle} source={source.id}
                    >{about(estimated)}</Figure
                  >{:else}–{/if}
                <em>{!rows ? '' : isExact(estimated) ? 'exact' : counted(estimated)}</em></span
              >
              {#if rows && now.answer.rendering.leftover}
                <div class="use soft">
                  <Figure name="certain" value={found.certain} source={source.id}>{count(found.certain)}</Figure> certain,
                  <Figure name="possible" value={found.possible} source={source.id}>{count(found.possible)}</Figure> possible
                  of <Figure name="shown" value={found.shown} source={source.id}>{count(found.shown)}</Figure> shown
                </div>
              {/if}
              <span class="badge {now.answer.rendering.exactness}">{now.answer.rendering.exactness}</span>
              {now.answer.rendering.searches.length}
              {now.answer.rendering.searches.length === 1 ? 'search' : 'searches'}
              {@const cost = expectedSpend(source.sheet, now.answer.rendering.searches.length, found.reported)}
              {#if cost && now.answer.rows}<div class="use soft">a run costs {counted(cost)} {cost.unit}s</div>{/if}
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
          <td>
            {#each [['al', 'alone', 'alone'], ['ch', 'if left out', 'change'], ['jd', 'misses · fits', 'misses']] as const as [name, words, what] (what)}
              <button
                class="plain {name}"
                aria-pressed={sortedBy(source.id, what)}
                aria-label="Sort by {words} at {source.name}"
                onclick={() => sortBy(source.id, what)}>{words}{sortedBy(source.id, what) ? ' ▾' : ''}</button
              >
            {/each}
          </td>
        {/each}
      </tr>
    </thead>
    <tbody>
      {#each lines as line (line.key)}
        {@const stands = standsOut(line)}
        <tr class:inner={line.level > 1} data-stands={stands}>
          <td class="part" style:padding-left="{(line.level - 1) * 22 + 10}px">
            {#if line.isGroup}
              <button
                class="plain fold"
                aria-expanded={unfolded.has(line.key)}
                aria-label="{unfolded.has(line.key) ? 'Fold' : 'Unfold'} {line.text.slice(0, 40)}"
                onclick={() => toggle(line)}>{unfolded.has(line.key) ? '▾' : '▸'}</button
              >
            {:else}<span class="fold"></span>{/if}
            {#if line.level === 1}<span style:color={partTint(line.part)}>{partGlyph(line.part)}</span>{/if}
            {#if line.excludes && line.level === 1}<b class="sign">not</b>{/if}
            <span class="mono" title={line.text}>{line.text}</span>
            {#if stands}<span class="stands {stands.replace(' ', '-')}">{outstanding[stands]}</span>{/if}
          </td>
          {#each sources as source (source.id)}
            {@const figures = line.figures[source.id]}
            {@const seen = judged(line, source)}
            <td class="number">
              {#if figures}
                <span class="al"
                  >{#if figures.alone}{about(figures.alone)}{:else}<span
                      class="soft"
                      title="It cannot be asked this alone: nothing in it can be searched there">not asked</span
                    >{/if}</span
                ><span class="ch">{changed(line, source)}</span>{#if seen}<span class="jd" title={seen.told}
                    ><span style:color={verdicts.miss.colour}>{verdicts.miss.sign} {seen.misses}</span>
                    <span style:color={verdicts.fit.colour}>{verdicts.fit.sign} {seen.fits}</span></span
                  >{:else}<span class="jd"></span>{/if}
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
  th,
  td {
    padding-left: 8px;
    padding-right: 8px;
  }
  th {
    min-width: 206px;
  }
  th.first {
    width: 22%;
    min-width: 276px;
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
    padding-top: 2px;
    padding-bottom: 2px;
    font-size: 11.5px;
    color: var(--soft);
  }
  .sub button {
    font-weight: 400;
    font-size: 11.5px;
    padding: 0;
    color: var(--soft);
  }
  .sub .jd {
    padding-left: 8px;
    min-width: 62px;
    text-align: left;
  }
  .sub [aria-pressed='true'] {
    color: var(--accent);
    font-weight: 600;
  }
  .use {
    font-size: 11.5px;
    margin-top: 5px;
  }
  .part {
    border-left: 0;
    max-width: 280px;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .part {
    white-space: nowrap;
  }
  .part .mono {
    font-size: 12.5px;
    display: inline-block;
    max-width: 220px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    vertical-align: bottom;
  }
  .part:has(.stands) .mono {
    max-width: 110px;
  }
  .al {
    display: inline-block;
    width: 64px;
    text-align: right;
    white-space: nowrap;
  }
  .ch {
    display: inline-block;
    box-sizing: border-box;
    width: 82px;
    padding-left: 4px;
    text-align: right;
    font-weight: 600;
    white-space: nowrap;
  }
  .jd {
    display: inline-block;
    min-width: 54px;
    padding-left: 8px;
    font-size: 12px;
    white-space: nowrap;
  }
  td {
    white-space: nowrap;
  }
  .inner td {
    font-size: 12.5px;
    padding-top: 2px;
    padding-bottom: 2px;
  }
  .fold {
    display: inline-block;
    width: 16px;
    padding: 0;
    text-align: left;
  }
  .folds {
    display: flex;
    gap: 6px;
    margin-top: 8px;
  }
  .folds button {
    padding: 1px 8px;
    font-weight: 400;
  }
  .sign {
    color: var(--warm);
  }
  .stands {
    font-size: 11.5px;
    padding: 0 6px;
    border: 1px solid currentcolor;
  }
  .idle {
    color: var(--soft);
  }
  .harmful,
  .costs-fits {
    color: var(--warm);
  }
  .refused {
    color: var(--warm);
    font-size: 13px;
  }
</style>
