<script lang="ts">
  import { ledger as say, ledgerWords } from '../words';
  import Tooltip from '$lib/ui/Tooltip.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Button from '$lib/ui/Button.svelte';
  import { reading } from '$lib/frame/certain-only';
  import { about } from '$lib/marks/format';
  import { partGlyph, partTint } from '$lib/marks/parts';
  import { verdicts } from '$lib/marks/verdicts';
  import type { Query } from '$core/language';
  import { partName, type Origin } from '$core/persona';
  import type { Answer } from '$api';
  import LedgerHead from './LedgerHead.svelte';
  import PartWeight from './PartWeight.svelte';
  import { changeWords, judgedWords } from './ledger-words';
  import type { LedgerState } from './ledgers.svelte';
  import { keptOutBy, ledgerLines, sortLines, standsOut, wholeOf, type LedgerLine } from './ledger-rows';

  type Source = Answer<'listSources'>[number];
  interface Props {
    sources: readonly Source[];
    ledger: Record<string, LedgerState>;
    query: Query;
    /** Where its terms come from: parts are named by it. */
    origins: ReadonlyMap<string, Origin>;
    /** True while the figures belong to an earlier text. */
    stale: boolean;
    /** The string has errors. */
    blocked: boolean;
    onchoose: (source: Source) => void;
    /** Asks a source again with more time. */
    ongoon: (source: Source) => void;
  }
  let { sources, ledger, query, origins, stale, blocked, onchoose, ongoon }: Props = $props();

  let unfolded: ReadonlySet<string> = $state.raw(new Set());
  let sorting: { sourceId: string; what: 'alone' | 'change' | 'misses' } | null = $state(null);
  const answers = $derived(Object.fromEntries(sources.map(({ id }) => [id, ledger[id]?.answer])));
  // Figures of an earlier text stay in their places until the new ones are there.
  const lines = $derived(
    sortLines(ledgerLines(query, unfolded, answers, reading()), sorting, (sourceId) =>
      wholeOf(answers[sourceId], reading())
    )
  );
  const keptOut = $derived(
    new Map(lines.map((line) => [line.key, keptOutBy(line, (sourceId) => wholeOf(answers[sourceId], reading()))]))
  );
  const most = $derived(Math.max(0, ...[...keptOut.values()].map((one) => one ?? 0)));
  const nameOf = (line: LedgerLine) => partName(line.excludes ? { kind: 'not', part: line.node } : line.node, origins);
  const groups = $derived(lines.filter(({ isGroup }) => isGroup));

  function toggle(line: LedgerLine) {
    const next = new Set(unfolded);
    if (!next.delete(line.key)) next.add(line.key);
    unfolded = next;
  }
  function sortBy(sourceId: string, what: 'alone' | 'change' | 'misses') {
    sorting = sorting?.sourceId === sourceId && sorting.what === what ? null : { sourceId, what };
  }
  const sortedBy = (sourceId: string, what: string) => sorting?.sourceId === sourceId && sorting.what === what;
</script>

<div class="scroll">
  <div class="tabled">
    <Table class="pinned {stale ? 'stale' : ''}" aria-label={say.whatEachPartDoesBySource}>
      <TableHead>
        <TableRow>
          <TableHeader class="first"
            ><span class="soft">{say.matchesAloneChangeIfRemoved}{most ? say.barPeopleItKeepsOutOn : ''}</span>
            <div class="folds">
              <Button
                disabled={!groups.length}
                onclick={() => (unfolded = unfolded.size ? new Set() : new Set(groups.map(({ key }) => key)))}
                >{unfolded.size ? say.collapseAll : say.expandAll}</Button
              >
              {#if sorting}<Button onclick={() => (sorting = null)}>{say.stringOrder}</Button>{/if}
            </div></TableHeader
          >
          {#each sources as source (source.id)}
            {@const now = ledger[source.id]}
            <TableHeader>
              <Button kind="ghost" onclick={() => onchoose(source)} class="name">{source.name}</Button>
              <LedgerHead {source} {now} {blocked} ongoon={() => ongoon(source)} />
            </TableHeader>
          {/each}
        </TableRow>
        <TableRow class="sub">
          <TableCell class="part"></TableCell>
          {#each sources as source (source.id)}
            <TableCell>
              {#each [['al', 'alone', 'alone'], ['ch', say.ifRemoved, 'change'], ['jd', say.missesFits, 'misses']] as const as [name, words, what] (what)}
                <Button
                  kind="ghost"
                  aria-pressed={sortedBy(source.id, what)}
                  aria-label={say.sortByAt(words, source.name)}
                  onclick={() => sortBy(source.id, what)}
                  class={name}>{words}{sortedBy(source.id, what) ? ' ▾' : ''}</Button
                >
              {/each}
            </TableCell>
          {/each}
        </TableRow>
      </TableHead>
      <TableBody>
        {#each lines as line (line.key)}
          {@const stands = standsOut(line, (sourceId) => wholeOf(answers[sourceId], reading()))}
          <TableRow class={line.level > 1 ? 'inner' : ''} data-stands={stands}>
            <TableCell class="part" style="padding-left: {(line.level - 1) * 22 + 10}px">
              {#if line.isGroup}
                <Button
                  kind="ghost"
                  aria-expanded={unfolded.has(line.key)}
                  aria-label="{unfolded.has(line.key) ? say.collapse : say.expand} {line.text.slice(0, 40)}"
                  onclick={() => toggle(line)}
                  class="fold">{unfolded.has(line.key) ? '▾' : '▸'}</Button
                >
              {:else}<span class="fold"></span>{/if}
              {#if line.level === 1}<span style:color={partTint(line.part)}>{partGlyph(line.part)}</span>{/if}
              {#if line.level === 1}
                {@const name = nameOf(line)}
                <b>{name.asks}</b> <span class="for" title={line.text}>{name.for}</span>
              {:else}<span class="mono" title={line.text}>{line.text}</span>{/if}
              {#if stands}<span class="stands {stands.replace(' ', '-')}">{ledgerWords[stands]}</span>{/if}
              <PartWeight {line} keptOut={keptOut.get(line.key) ?? null} {most} />
            </TableCell>
            {#each sources as source (source.id)}
              {@const figures = line.figures[source.id]}
              {@const seen = judgedWords(line, source, answers[source.id], reading())}
              <TableCell class="number">
                {#if figures}
                  <span class="al"
                    >{#if figures.alone}{about(figures.alone)}{:else}<Tooltip
                        class="soft"
                        text={say.thisSourceCantSearchThisPart}>{say.notSearched}</Tooltip
                      >{/if}</span
                  ><span class="ch">{changeWords(line, source, answers[source.id], reading())}</span>{#if seen}<span
                      class="jd"
                      ><Tooltip text={seen.explanation} align="end"
                        ><span style:color={verdicts.miss.colour}>{verdicts.miss.sign} {seen.misses}</span>
                        <span style:color={verdicts.fit.colour}>{verdicts.fit.sign} {seen.fits}</span></Tooltip
                      ></span
                    >{:else}<span class="jd"></span>{/if}
                {/if}
              </TableCell>
            {/each}
          </TableRow>
        {/each}
      </TableBody>
    </Table>
  </div>
</div>

<style>
  .scroll {
    overflow-x: auto;
    margin-top: 0;
  }
  .tabled :global(.stale td),
  .tabled :global(.stale .n) {
    color: var(--soft);
    font-style: italic;
  }
  .tabled :global(th),
  .tabled :global(td) {
    padding-left: 6px;
    padding-right: 4px;
  }
  .tabled :global(th) {
    min-width: 200px;
    padding-top: 5px;
    padding-bottom: 5px;
  }
  .tabled :global(td) {
    padding-top: 3px;
    padding-bottom: 3px;
  }
  .tabled :global(th.first) {
    width: 21%;
    min-width: 262px;
    border-left: 0;
  }
  .tabled :global(th .name) {
    display: block;
    font-weight: 600;
  }
  .tabled :global(th .name) {
    text-decoration: underline dotted;
    text-underline-offset: 3px;
  }
  .tabled :global(.sub td) {
    padding-top: 2px;
    padding-bottom: 2px;
    font-size: 11.5px;
    color: var(--soft);
  }
  .tabled :global(.sub .button.bx--btn) {
    font-weight: 400;
    font-size: 11.5px;
    color: var(--soft);
  }
  .tabled :global(.sub .jd) {
    padding-left: 4px;
    min-width: 0;
    text-align: left;
  }
  .tabled :global(.sub [aria-pressed='true']) {
    color: var(--accent);
    font-weight: 600;
  }
  .tabled :global(.part) {
    border-left: 0;
    max-width: 290px;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .tabled :global(.part) {
    white-space: nowrap;
  }
  .tabled :global(.part .mono) {
    font-size: 12.5px;
    display: inline-block;
    max-width: 220px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    vertical-align: bottom;
  }
  .tabled :global(.part:has(.stands) .mono) {
    max-width: 110px;
  }
  .al,
  .tabled :global(.sub .al) {
    display: inline-block;
    width: 64px;
    text-align: right;
    white-space: nowrap;
  }
  .ch,
  .tabled :global(.sub .ch) {
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
  .tabled :global(td) {
    white-space: nowrap;
  }
  .tabled :global(.inner td) {
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
  .folds :global(.button.bx--btn) {
    padding: 1px 8px;
    font-weight: 400;
  }
  .for {
    color: var(--soft);
    display: inline-block;
    max-width: 118px;
    overflow: hidden;
    text-overflow: ellipsis;
    vertical-align: bottom;
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
</style>
