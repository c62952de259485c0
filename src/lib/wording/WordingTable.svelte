<script lang="ts">
  import { wordingTable as say } from './words';
  import { onMount, tick } from 'svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
  import { afterPaint } from '$lib/ui/after-paint';
  import { about } from '$lib/marks/format';
  import { groupOf, type WordingRow } from '$core/persona';
  import type { Interval } from '$core/measure';
  import { wordingName, written } from './word-set-edits';
  interface Props {
    rows: readonly WordingRow[];
    sources: readonly { id: string; name: string }[];
    /** Per source, how often each wording occurs; null if the source can't be asked, absent until known. */
    counts: Record<string, Map<string, Interval | null>>;
    house: ReadonlyMap<string, boolean>;
    onuse: (texts: string[], inUse: boolean) => void;
    onrefuse: (texts: string[]) => void;
    onremove: (texts: string[]) => void;
  }
  let { rows, sources, counts, house, onuse, onrefuse, onremove }: Props = $props();
  const groups = ['own', 'same', 'translated', 'rank', 'function'];
  let filter = $state('');
  let show: 'all' | 'set' | 'proposed' | 'refused' = $state('all');
  let sort: { by: string; down: boolean } | null = $state(null);
  let chosen: ReadonlySet<string> = $state.raw(new Set());
  let last = $state(0);
  /** How many rows are drawn: one screen at first, more on scrolling, because drawing hundreds at once would block the page. */
  const page = 40;
  let drawn = $state(14);
  onMount(() => afterPaint(() => (drawn = Math.max(drawn, page))));
  const more = (reached: number) => (drawn = Math.max(drawn, Math.ceil((reached + 1) / page + 0.5) * page));
  const scrolled = ({ currentTarget: list }: UIEvent & { currentTarget: HTMLElement }) =>
    list.scrollTop + 2 * list.clientHeight > list.scrollHeight && drawn < shown.length && more(drawn);
  const countIn = (source: string, text: string) => {
    const count = counts[source]?.get(text);
    return count ? (count.low + count.high) / 2 : -1;
  };
  const isIdle = (text: string) =>
    sources.length > 0 && sources.every(({ id }) => counts[id]?.has(text) && countIn(id, text) <= 0);
  let withIdle = $state(false);
  const isFolded = (row: WordingRow) =>
    !withIdle && row.state === 'proposed' && isIdle(row.text) && !house.has(wordingName(row.text));
  const wantedRows = $derived.by(() => {
    const wanted = filter.trim().toLowerCase();
    return rows.filter(
      (row) =>
        (show === 'all'
          ? row.state !== 'refused'
          : show === 'set'
            ? row.state === 'in use' || row.state === 'set aside'
            : row.state === show) &&
        (!wanted || [row.text, row.why, row.language].some((text) => text.toLowerCase().includes(wanted)))
    );
  });
  const folded = $derived(wantedRows.filter(isFolded).length);
  const shown = $derived.by(() => {
    const kept = wantedRows.filter((row) => !isFolded(row));
    if (!sort) return kept;
    const { by, down } = sort;
    const value = (row: WordingRow): string | number =>
      by === 'text'
        ? row.text.toLowerCase()
        : by === 'why'
          ? groups.indexOf(row.nearness) + row.why
          : countIn(by, row.text);
    return [...kept].sort((a, b) => {
      const [x, y] = [value(a), value(b)];
      const order = typeof x === 'number' && typeof y === 'number' ? x - y : String(x).localeCompare(String(y));
      return down ? -order : order;
    });
  });
  const targets = $derived(shown.map(({ text }) => text).filter((text) => chosen.has(text)));
  function sortBy(by: string) {
    sort =
      sort?.by === by
        ? sort.down === (by !== 'text' && by !== 'why')
          ? { by, down: !sort.down }
          : null
        : { by, down: by !== 'text' && by !== 'why' };
  }
  const sorted = (by: string) => (sort?.by === by ? (sort.down ? 'descending' : 'ascending') : 'none');
  function choose(index: number, event: { shiftKey: boolean }) {
    const next = new Set(chosen);
    if (event.shiftKey) {
      const [from, to] = [Math.min(last, index), Math.max(last, index)];
      for (const row of shown.slice(from, to + 1)) next.add(row.text);
    } else if (!next.delete(shown[index]!.text)) next.add(shown[index]!.text);
    last = index;
    chosen = next;
  }
  let box: HTMLElement;
  async function goTo(row: number) {
    more(row);
    await tick();
    box.querySelectorAll<HTMLElement>('tbody tr')[row]?.focus();
  }
  function keys(event: KeyboardEvent, index: number) {
    if ((event.target as HTMLElement).closest('input, button')) return;
    const here = targets.length ? targets : [shown[index]!.text];
    const step = { ArrowDown: 1, ArrowUp: -1, Home: -Infinity, End: Infinity }[event.key];
    if (step !== undefined) {
      const to = Math.max(0, Math.min(shown.length - 1, index + step));
      if (event.shiftKey) choose(to, event);
      void goTo(to);
    } else if (event.key === ' ') choose(index, event);
    else if (event.key === 'Enter') act((texts) => onuse(texts, true), here);
    else if (event.key.toLowerCase() === 's') act((texts) => onuse(texts, false), here);
    else if (event.key.toLowerCase() === 'r') act(onrefuse, here);
    else if (event.key === 'Delete') act(onremove, here);
    else return;
    event.preventDefault();
  }
  function act(does: (texts: string[]) => void, texts: string[]) {
    does(texts);
    chosen = new Set();
  }
  const copyChosen = () =>
    navigator.clipboard.writeText(
      groupOf(targets.length ? targets : shown.filter(({ state }) => state === 'in use').map(({ text }) => text))
    );
</script>

<div class="acts">
  <TextInput type="search" placeholder={say.findWording} aria-label={say.findWording} bind:value={filter} />
  <Select aria-label={say.show} bind:value={show}>
    <option value="all">{say.allExceptRejected}</option>
    <option value="set">{say.inSet}</option>
    <option value="proposed">{say.proposals}</option>
    <option value="refused">{say.rejected}</option>
  </Select>
  <span class="soft" role="status">{chosen.size ? say.selected(targets.length) : say.shown(shown.length)}</span>
  {#if folded || withIdle}
    <Button kind="ghost" aria-expanded={withIdle} onclick={() => (withIdle = !withIdle)}
      >{withIdle ? say.hideWordingsThatFindNobody : say.andThatFindNobody(folded)}</Button
    >
  {/if}
  <Button disabled={!targets.length} onclick={() => act((texts) => onuse(texts, true), targets)}
    >{say.add} <kbd>↵</kbd></Button
  >
  <Button disabled={!targets.length} onclick={() => act((texts) => onuse(texts, false), targets)}
    >{say.disable} <kbd>S</kbd></Button
  >
  <Button disabled={!targets.length} onclick={() => act(onrefuse, targets)}>{say.reject} <kbd>R</kbd></Button>
  <Button disabled={!targets.length} onclick={() => act(onremove, targets)}>{say.remove} <kbd>{say.del}</kbd></Button>
  <Button onclick={copyChosen}>{say.copy} {targets.length ? say.selected2 : say.thoseInUse} {say.asGroup}</Button>
</div>

<div class="scroll" onscroll={scrolled}>
  <div class="tabled" bind:this={box}>
    <Table aria-label={say.wordings}>
      <TableHead>
        <TableRow>
          <TableHeader class="tick"><span class="visually-hidden">{say.selected3}</span></TableHeader>
          <TableHeader aria-sort={sorted('text')}
            ><Button kind="ghost" onclick={() => sortBy('text')}>{say.wording}</Button></TableHeader
          >
          <TableHeader aria-sort={sorted('why')}
            ><Button kind="ghost" onclick={() => sortBy('why')}>{say.why}</Button></TableHeader
          >
          {#each sources as source (source.id)}
            <TableHeader class="count" aria-sort={sorted(source.id)}
              ><Button kind="ghost" onclick={() => sortBy(source.id)}>{source.name}</Button></TableHeader
            >
          {/each}
        </TableRow>
      </TableHead>
      <TableBody>
        {#each shown.slice(0, drawn) as row, i (row.text)}
          <TableRow
            class="{row.state === 'set aside' || row.state === 'refused' ? 'aside' : ''} {row.state === 'proposed'
              ? 'proposed'
              : ''} {chosen.has(row.text) ? 'chosen' : ''}"
            tabindex={i === Math.min(last, shown.length - 1) ? 0 : -1}
            onfocus={() => (last = i)}
            onkeydown={(event) => keys(event, i)}
          >
            <TableCell class="tick"
              ><Checkbox
                label={say.select(row.text)}
                hideLabel
                tabindex="-1"
                checked={chosen.has(row.text)}
                onchange={(_, event) => choose(i, event)}
              /></TableCell
            >
            <TableCell>
              {#if row.state === 'proposed' || row.state === 'refused'}
                <Button
                  tabindex="-1"
                  aria-label={say.add2(row.text)}
                  onclick={() => onuse([row.text], true)}
                  class="take">+</Button
                >
                <span class="mono">{written(row.text)}</span>
              {:else}
                <Checkbox
                  label={written(row.text)}
                  tabindex="-1"
                  class="mono"
                  checked={row.state === 'in use'}
                  onchange={(on) => onuse([row.text], on)}
                />
              {/if}
            </TableCell>
            <TableCell class="why">
              {row.nearness === 'same' ? say.sameMeaning(row.why) : row.why}
              <span class="soft">{row.language}</span>
              {#if row.coveredBy}<span class="note">{say.alreadyCoveredBy(row.coveredBy)}</span>{/if}
              {#if isIdle(row.text)}<span class="note warm">{say.findsNobodyAtAnySource}</span>{/if}
              {#if row.state === 'proposed' && house.has(wordingName(row.text))}<span class="note"
                  >{house.get(wordingName(row.text)) ? say.usedInAnotherBrief : say.rejectedInAnotherBrief}</span
                >{/if}
            </TableCell>
            {#each sources as source (source.id)}
              {@const count = counts[source.id]?.get(row.text)}
              <TableCell class="count">{count === undefined ? '…' : count === null ? '–' : about(count)}</TableCell>
            {/each}
          </TableRow>
        {:else}
          <TableRow
            ><TableCell class="soft" colspan={3 + sources.length}>{say.noWordingsYetTypeOrPaste}</TableCell></TableRow
          >
        {/each}
      </TableBody>
    </Table>
  </div>
</div>

<style>
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
    margin-bottom: 8px;
    font-size: 13px;
  }
  .acts span {
    min-width: 84px;
  }
  .scroll {
    max-height: 520px;
    overflow: auto;
  }
  .tabled :global(thead th) {
    position: sticky;
    top: 0;
    background: var(--sheet);
    z-index: 1;
    border-bottom: 1px solid var(--line);
  }
  .tabled :global(th .button.bx--btn) {
    font-weight: 600;
  }
  .tabled :global([aria-sort='ascending'] .button.bx--btn::after) {
    content: ' ↑';
  }
  .tabled :global([aria-sort='descending'] .button.bx--btn::after) {
    content: ' ↓';
  }
  .tabled :global(td) {
    font-size: 13px;
    padding: 3px 10px;
  }
  .tabled :global(.tick) {
    width: 22px;
    border-left: 0;
  }
  .tabled :global(.count) {
    text-align: right;
    width: 90px;
    white-space: nowrap;
  }
  .tabled :global(.take.button.bx--btn) {
    padding: 0 7px;
    min-height: 19px;
  }
  .tabled :global(.aside .mono) {
    color: var(--soft);
    text-decoration: line-through;
  }
  .tabled :global(.proposed) {
    background: var(--sheet-2);
  }
  .tabled :global(.chosen) {
    background: var(--accent-2);
  }
  .note {
    display: block;
    color: var(--soft);
    font-size: 12px;
  }
  .warm {
    color: var(--warm);
  }
</style>
