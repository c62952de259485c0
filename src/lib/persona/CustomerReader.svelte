<script lang="ts">
  import { customerReader as say } from './words';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import FileUploadButton from '$lib/ui/FileUploadButton.svelte';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
  import { call } from '$lib/api/call';
  import { count, percent, percentRange } from '$lib/marks/format';
  import type { Person } from '$core/people';
  import { columnFields, type ColumnField, customersOf, readCustomerTable, type CustomerTable } from '$core/formats';
  import { liftOf, personaFromCustomers, type CustomerTrait, type BriefFact } from '$core/persona';
  import type { Answer } from '$api';

  interface Props {
    sources: Answer<'listSources'>;
    ontake: (fact: BriefFact) => void;
    /** Keeps the customers as people who must be found; false where it was refused. */
    onkeep: (people: Person[]) => Promise<boolean>;
    onclose: () => void;
  }
  let { sources, ontake, onkeep, onclose }: Props = $props();

  let table: CustomerTable | null = $state.raw(null);
  let fault = $state('');
  let kept = $state('');
  let taken: ReadonlySet<string> = $state.raw(new Set());
  const read = $derived(table ? customersOf(table) : null);
  const reading = $derived(read ? personaFromCustomers(read.people) : null);

  const summary = $derived.by(() => {
    if (!read) return '';
    const { people, faults } = read;
    const first = faults.slice(0, 3).map(({ line, error }) => say.line(line, error));
    const bad = faults.length ? say.partlyRead(faults.length, count(faults.length), first.join(' ')) : '';
    return say.customersRead(count(people.length), bad);
  });

  // svelte-ignore state_referenced_locally
  let sourceId = $state(sources[0]?.id ?? '');
  let base: ReadonlyMap<string, { count: number; of: number } | null> = $state.raw(new Map());
  $effect(() => {
    const traits = reading?.traits ?? [];
    const id = sourceId;
    if (!traits.length || !id) return;
    const texts = traits.map(({ query }) => query);
    call('count', { body: { sourceId: id, texts } }).then(
      ({ counts, people }) => {
        if (id !== sourceId) return;
        base = new Map(
          texts.map((text, i) => {
            const found = counts[i];
            return [text, found && people ? { count: found.possible.middle, of: people } : null];
          })
        );
      },
      () => (base = new Map())
    );
  });

  async function open(file: File) {
    fault = kept = '';
    taken = new Set();
    try {
      table = readCustomerTable(await file.text());
    } catch (problem) {
      table = null;
      fault = say.fault(file.name, (problem as Error).message);
    }
  }
  const settle = (at: number, field: ColumnField) => {
    if (table)
      table = { ...table, columns: table.columns.map((column, i) => (i === at ? { ...column, field } : column)) };
  };
  function take(trait: CustomerTrait) {
    ontake({ kind: trait.kind, value: trait.value, words: trait.words, from: 0, to: 0 });
    taken = new Set([...taken, trait.kind + trait.words]);
  }
  const article = (word: string) => (/^[aeiou]/.test(word) ? 'an' : 'a');
  const lift = (trait: CustomerTrait): string => {
    const known = base.get(trait.query);
    const times = liftOf(trait, known ?? null);
    if (times === null) return known === undefined ? '…' : '–';
    return `${times >= 10 ? Math.round(times) : times.toFixed(1)} ×`;
  };
</script>

<section class="sheet" aria-label={say.fromWonCustomers}>
  <div class="line">
    <h2>{say.fromWonCustomers}</h2>
    <FileUploadButton label={say.chooseCsv} accept={['.csv', '.txt', '.tsv']} onfile={open} />
    <span class="soft">{say.companySizeIndustryCountryAndWho}</span>
    <Button onclick={onclose}>{say.close}</Button>
  </div>
  {#if fault}<p class="fault" role="alert">{fault}</p>{/if}
  {#if table && read && reading}
    <div class="columns">
      {#each table.columns as column, i (i)}
        <div>
          <Select label={column.name} value={column.field} onchange={(field) => settle(i, field)}>
            {#each Object.entries(columnFields) as [field, words] (field)}<option value={field}>{words}</option>{/each}
          </Select>
          <span class="soft">{column.samples.filter(Boolean).join(' · ').slice(0, 60)}</span>
        </div>
      {/each}
    </div>
    <p>
      {summary}
      <Button
        onclick={async () => (kept = (await onkeep(read.people)) ? say.knownGoodsSaved(count(read.people.length)) : '')}
        >{say.saveAsKnownGoods}</Button
      >
      <span class="soft" role="status">{kept}</span>
    </p>
    <div class="scroll">
      <div class="tabled">
        <Table aria-label={say.whatTheseCustomersHaveInCommon}>
          <TableHead>
            <TableRow
              ><TableHeader></TableHeader><TableHeader>{say.trait}</TableHeader><TableHeader
                >{say.shareCustomers}</TableHeader
              ><TableHeader
                >{say.comparedWith}
                <Select bind:value={sourceId} aria-label={say.sourceToCompareWith}>
                  {#each sources as source (source.id)}<option value={source.id}>{source.name}</option>{/each}
                </Select></TableHeader
              ></TableRow
            >
          </TableHead>
          <TableBody>
            {#each reading.traits as trait (trait.kind + trait.words)}
              {@const isTaken = taken.has(trait.kind + trait.words)}
              <TableRow class={trait.thin ? 'thin' : ''}>
                <TableCell
                  ><Button
                    disabled={isTaken}
                    aria-label={isTaken ? say.added(trait.words) : say.add(trait.words)}
                    onclick={() => take(trait)}>{isTaken ? 'taken' : say.add2}</Button
                  ></TableCell
                >
                <TableCell><span class="soft">{trait.kind}</span> {trait.words}</TableCell>
                <TableCell
                  >{percent(trait.share)}
                  <span class="soft">{say.ofText(percentRange(trait.interval), trait.count, trait.of)}</span>
                  {#if trait.thin}<span class="soft">{say.notEnoughData}</span>{/if}</TableCell
                >
                <TableCell
                  >{lift(trait)}
                  {#if base.get(trait.query)}<span class="soft"
                      >{say.peopleThere(count(base.get(trait.query)!.count))}</span
                    >{/if}</TableCell
                >
              </TableRow>
            {/each}
          </TableBody>
        </Table>
      </div>
    </div>
    {#each reading.pairs.slice(0, 5) as pair (pair.size + pair.rank)}
      <p>
        {say.atFirmsWithYouTalkedTo(pair.size, article(pair.rank))}
        <b>{pair.rank}</b>{say.timesExpectedIfSizeDidntMatter(pair.count, pair.expected.toFixed(1))}
      </p>
    {/each}
  {/if}
</section>

<style>
  section {
    padding: 12px 18px;
    margin-bottom: 14px;
    font-size: 13px;
    display: grid;
    gap: 10px;
  }
  .line {
    display: flex;
    gap: 12px;
    align-items: baseline;
  }
  .line span {
    flex: 1;
  }
  .fault {
    color: var(--warm);
  }
  .columns {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
  }
  .scroll {
    max-height: 340px;
    overflow: auto;
  }
  .tabled :global(td) {
    padding: 3px 10px;
  }
  .tabled :global(td .button) {
    padding: 1px 8px;
  }
  .tabled :global(.thin) {
    background: var(--sheet-2);
  }
</style>
