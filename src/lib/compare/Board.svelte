<script lang="ts">
  import { board as say } from './words';
  import { searchesRunInWords } from '$core/measure';
  import { onMount } from 'svelte';
  import { afterPaint } from '$lib/ui/after-paint';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import { reading } from '$lib/frame/certain-only';
  import Figure from '$lib/marks/Figure.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import { count } from '$lib/marks/format';
  import type { Answer, BehindKind } from '$api';
  import type { Choice } from '$api/documents';
  import { boardMeasures, differenceBetween, priceOf, type Cell } from './board-measures';
  import IntervalLine from './IntervalLine.svelte';

  type Source = Answer<'listSources'>[number];
  type Version = Answer<'listVersions'>[number];
  interface Props {
    briefId: string;
    /** In the order to show them. */
    versions: readonly Version[];
    sources: readonly Source[];
    cells: readonly Cell[];
    /** Ids of the measures shown. */
    measures: readonly string[];
    choice: Choice;
    onchoice: (choice: Choice) => void;
    onbehind: (cell: Cell, kind: BehindKind) => void;
    /** Draws more people at this cell and at the version it is undecided against. */
    ondecide: (cell: Cell) => void;
    oncost: (version: Version) => void;
  }
  let { briefId, versions, sources, cells, measures, choice, onchoice, onbehind, ondecide, oncost }: Props = $props();

  /** How many versions are drawn: the first screen at once, the rest after it. */
  let drawn = $state(3);
  onMount(() => afterPaint(() => (drawn = Infinity)));
  const shown = $derived(boardMeasures.filter(({ id }) => measures.includes(id)));
  const cellOf = (version: number, source: string) =>
    cells.find((cell) => cell.version === version && cell.sourceId === source);
  const winnerAt = (source: string) => choice.winners.find(({ sourceId }) => sourceId === source);
  const chosenFor = (version: number) =>
    sources.filter(({ id }) => winnerAt(id)?.version === version).map(({ name }) => name);

  function choose({ version, sourceId }: Cell) {
    const others = choice.winners.filter((one) => one.sourceId !== sourceId);
    onchoice({
      ...choice,
      winners: winnerAt(sourceId)?.version === version ? others : [...others, { sourceId, version, note: '' }]
    });
  }
  const note = (isMeant: (one: (typeof choice.winners)[number]) => boolean, text: string) =>
    onchoice({ ...choice, winners: choice.winners.map((one) => (isMeant(one) ? { ...one, note: text } : one)) });
  /** The reason given for a version chosen at several sources; null when they differ or there is none. */
  function reasonFor(version: number): string | null {
    const notes = new Set(choice.winners.filter((one) => one.version === version).map((one) => one.note));
    return notes.size === 1 ? [...notes][0]! : null;
  }
  /** How a cell's precision stands to the baseline's at the same source. */
  function toBaseline(cell: Cell): string | null {
    const base = choice.baseline === null ? undefined : cellOf(choice.baseline, cell.sourceId);
    if (!base || base === cell) return null;
    const difference = differenceBetween(cell, base, reading());
    if (!difference) return null;
    const points = (share: number) => {
      const whole = Math.round(share * 100);
      return `${whole > 0 ? '+' : whole < 0 ? '−' : ''}${Math.abs(whole)}`;
    };
    const { low, middle, high, decided } = difference;
    return say.points(points(middle), base.version, points(low), points(high)) + (decided ? '' : say.undecided);
  }
</script>

<div class="scroll">
  <div class="tabled">
    <Table class="pinned" aria-label={say.versionsBySource}>
      <TableHead>
        <TableRow>
          <TableHeader class="first">{say.version}</TableHeader>
          {#each sources as source (source.id)}
            <TableHeader
              ><b>{source.name}</b><small class="soft"
                >{source.people === null ? say.manualSource : say.people(count(source.people))}{priceOf(source)}</small
              ></TableHeader
            >
          {/each}
        </TableRow>
      </TableHead>
      <TableBody>
        {#each versions.slice(0, drawn) as version (version.number)}
          {@const isBaseline = choice.baseline === version.number}
          <TableRow class={isBaseline ? 'baseline' : ''}>
            <TableHeader class="first" scope="row">
              <b>{version.number}</b>
              {[version.name, version.note].filter(Boolean).join(' · ')}
              {#if chosenFor(version.number).length}
                <small class="chosen">{say.chosenFor(chosenFor(version.number).join(', '))}</small>
                {#if reasonFor(version.number) !== null}
                  <TextInput
                    aria-label={say.whyVersion(version.number)}
                    placeholder={say.whyThisVersion}
                    maxlength="500"
                    value={reasonFor(version.number)}
                    onchange={(event) => note((one) => one.version === version.number, event.currentTarget.value)}
                  />
                {/if}
              {/if}
              <a class="mono text" href={briefPath(briefId, 'string', { version: version.number })} title={version.text}
                >{version.text}</a
              >
              <div class="acts">
                <Button
                  aria-pressed={isBaseline}
                  onclick={() => onchoice({ ...choice, baseline: isBaseline ? null : version.number })}
                  >{isBaseline ? say.baseline : say.baseline2}</Button
                >
                {#if version.parent !== null}
                  <Button onclick={() => oncost(version)}>{say.gainedAndLost}</Button>
                {/if}
              </div>
            </TableHeader>
            {#each sources as source (source.id)}
              {@const cell = cellOf(version.number, source.id)}
              {@const winner = winnerAt(source.id)}
              <TableCell class={winner?.version === version.number ? 'winner' : ''}>
                {#if cell}
                  {#if searchesRunInWords(cell.figures)}
                    <div class="small"><b>{searchesRunInWords(cell.figures)}</b> {say.runFiguresCoverTheseOnly}</div>
                  {/if}
                  {#each shown as measure (measure.id)}
                    {@const figure = measure.figure(cell, source, reading())}
                    {@const same = measure.shared?.(cell, reading())}
                    {#if figure}
                      <div class={measure.id === 'count' ? 'large' : 'small'}>
                        {#if figure.behind}
                          {@const kind = figure.behind}
                          <Button kind="ghost" onclick={() => onbehind(cell, kind)} class="figure"
                            >{#if same}<Figure
                                name={same.name}
                                value={same.value}
                                source={source.id}
                                version={version.number}>{figure.words}</Figure
                              >{:else}{figure.words}{/if}</Button
                          >
                        {:else if same}<Figure
                            name={same.name}
                            value={same.value}
                            source={source.id}
                            version={version.number}>{figure.words}</Figure
                          >{:else}{figure.words}{/if}
                        {#if figure.soft}<small class="soft"
                            >{#each figure.soft.split(' · ') as piece, i (piece)}{i ? ' · ' : ''}<span class="whole"
                                >{piece}</span
                              >{/each}</small
                          >{/if}
                      </div>
                      {#if measure.id === 'precision'}
                        {@const { share, interval } = cell.figures.precision[reading()]}
                        <IntervalLine share={share!} {interval} />
                      {/if}
                    {/if}
                  {/each}
                  {#if cell.figures.precision[reading()].share === null}
                    <div class="small soft">
                      {#if cell.sampled}{say.nobodyJudged}
                        <a href={briefPath(briefId, 'trial', { trial: cell.trialId })}>{say.judgeSample}</a
                        >{:else}{say.nobodyLeftToJudge}{/if}
                    </div>
                  {/if}
                  {@const against = toBaseline(cell)}
                  {#if against}<div class="small soft">{against}</div>{/if}
                  {#if cell.standing.is === 'best'}
                    <div class="standing best">{say.highestPrecisionHere}</div>
                  {:else if cell.standing.is === 'open'}
                    {@const { against: rival, decide } = cell.standing}
                    <div class="standing">
                      {say.undecidedAgainst(rival)}
                      {#if decide}
                        <Button kind="ghost" onclick={() => ondecide(cell)}
                          >{say.drawThatWouldDecideIt(count(decide.here + decide.there))}</Button
                        >
                      {:else}{say.judgingEveryoneWouldntDecideIt}{/if}
                    </div>
                  {/if}
                  <div class="acts">
                    <Button
                      aria-pressed={winner?.version === version.number}
                      aria-label={say.versionFor(
                        winner?.version === version.number ? 'Chosen ✓' : 'Choose',
                        version.number,
                        source.name
                      )}
                      onclick={() => choose(cell)}
                      >{winner?.version === version.number ? say.chosen : say.choose}</Button
                    >
                    <a href={briefPath(briefId, 'trial', { trial: cell.trialId })}>{say.people2}</a>
                  </div>
                  {#if winner?.version === version.number && reasonFor(version.number) === null}
                    <TextInput
                      aria-label={say.whyVersionFor(version.number, source.name)}
                      placeholder={say.whyThisVersion}
                      maxlength="500"
                      value={winner.note}
                      onchange={(event) => note((one) => one.sourceId === source.id, event.currentTarget.value)}
                    />
                  {/if}
                {:else}<span class="soft">{say.notRun}</span>{/if}
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
  }
  .tabled :global(th.first) {
    width: 270px;
    border-left: 0;
    border-top: 1px solid var(--rule);
  }
  .tabled :global(th b) {
    font-weight: 600;
    margin-right: 6px;
  }
  .tabled :global(th small) {
    display: block;
  }
  .chosen {
    color: var(--accent);
  }
  .tabled :global(.baseline th),
  .tabled :global(.baseline td) {
    background: var(--sheet-2);
  }
  .tabled :global(td.winner) {
    box-shadow: inset 0 0 0 2px var(--accent);
  }
  .text {
    display: -webkit-box;
    line-clamp: 2;
    -webkit-line-clamp: 2;
    -webkit-box-orient: vertical;
    overflow: hidden;
    font-size: 11px;
    color: var(--soft);
    margin-top: 4px;
    max-width: 260px;
    overflow-wrap: anywhere;
  }
  .large {
    font-size: 19px;
    font-weight: 300;
  }
  .large small {
    display: block;
    font-size: 12px;
    line-height: 1.35;
  }
  .whole {
    white-space: nowrap;
  }
  .small,
  .standing {
    font-size: 12.5px;
  }
  div :global(.figure:hover) {
    text-decoration: underline;
  }
  .standing {
    color: var(--warm);
  }
  .standing.best {
    color: var(--accent);
  }
  .acts {
    display: flex;
    gap: 8px;
    align-items: baseline;
    margin-top: 4px;
    font-size: 12px;
  }
  .acts :global(.button.bx--btn),
  .standing :global(.button.bx--btn) {
    font-size: 11.5px;
    padding: 1px 7px;
  }
  .acts :global([aria-pressed='true']) {
    background: var(--accent-2);
    border-color: var(--accent);
  }
</style>
