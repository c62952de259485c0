<script lang="ts">
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import FileButton from '$lib/ui/FileButton.svelte';
  import Act from '$lib/ui/Act.svelte';
  import Field from '$lib/ui/Field.svelte';
  import TextBox from '$lib/ui/TextBox.svelte';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { count, counted } from '$lib/marks/format';
  import { readCount, pageFields, readResultPage, type PageField, type PageRow } from '$core/formats';

  interface Props {
    briefId: string;
    text: string;
    parent: number | null;
    source: { id: string; name: string };
    searches: number;
    ondone: (trialId: string) => void;
  }
  let { briefId, text, parent, source, searches, ondone }: Props = $props();

  interface Given {
    seen: string;
    pasted: string;
    rows: PageRow[];
  }
  // svelte-ignore state_referenced_locally
  let given: Given[] = $state(Array.from({ length: searches }, () => ({ seen: '', pasted: '', rows: [] })));
  $effect(() => {
    while (given.length < searches) given.push({ seen: '', pasted: '', rows: [] });
  });
  let refused: unknown = $state(null);
  let keeping = $state(false);

  const fieldWords: Record<PageField, string> = {
    name: 'Name',
    title: 'Title',
    company: 'Firm',
    place: 'Place',
    url: 'Page',
    mail: 'Mail',
    phone: 'Phone'
  };
  const counts = $derived(
    given
      .slice(0, searches)
      .map(({ seen, rows }) => (seen.trim() ? readCount(seen) : rows.length ? exact(rows.length) : null))
  );
  const exact = (value: number) => ({ said: value, interval: { low: value, high: value } });
  const ready = $derived(counts.every((read) => read !== null));

  function add(search: number, written: string) {
    const had = new Set(given[search]!.rows.map(({ values }) => `${values.name}|${values.company ?? ''}`));
    const fresh = readResultPage(written).filter(({ values }) => !had.has(`${values.name}|${values.company ?? ''}`));
    given[search]!.rows.push(...fresh);
    if (fresh.length) given[search]!.pasted = '';
  }
  function correct(row: PageRow, field: PageField, value: string) {
    row.values[field] = value;
    row.doubtful = row.doubtful.filter((other) => other !== field);
  }
  const take = async (search: number, file: File) => add(search, await file.text());
  async function keep() {
    refused = null;
    keeping = true;
    try {
      const trial = await call('recordByHand', {
        params: { id: briefId },
        body: {
          text,
          parent,
          sourceId: source.id,
          answers: given.slice(0, searches).map(({ rows }, i) => ({
            ...counts[i]!,
            rows: $state.snapshot(rows).filter(({ values }) => values.name?.trim())
          }))
        }
      });
      ondone(trial.id);
    } catch (problem) {
      refused = problem;
    } finally {
      keeping = false;
    }
  }
</script>

<div class="hand" role="group" aria-label="What {source.name} showed">
  {#each given.slice(0, searches) as one, search (search)}
    <div class="answer">
      <Field
        label="Count as seen{searches > 1 ? `, search ${search + 1}` : ''}"
        inline
        bind:value={one.seen}
        placeholder="about 3,000"
        aria-invalid={one.seen.trim() !== '' && !counts[search]}
      />
      <span class="soft" role="status">
        {#if one.seen.trim() && !counts[search]}no count can be read in this: write it as in 1–10 of 140, about 3,000,
          or 3K+
        {:else if counts[search]}understood as {counted(counts[search].interval)}{/if}
      </span>
      <TextBox
        rows="3"
        bind:value={one.pasted}
        aria-label="Text of a result page{searches > 1 ? ` of search ${search + 1}` : ''}"
        placeholder="Paste a result page: everything on it. Page after page can be added."
      />
      <div class="acts">
        <Act disabled={!one.pasted.trim()} onclick={() => add(search, one.pasted)}>Read people out of it</Act>
        <FileButton label="or a CSV" accept={['.csv', '.txt', '.tsv']} onfile={(file) => take(search, file)} />
        {#if one.pasted.trim() && !readResultPage(one.pasted).length}<span class="soft"
            >Nobody can be read out of this. A name, a title and a firm on lines of their own are understood.</span
          >{/if}
      </div>
      {#if one.rows.length}
        <div class="scroll">
          <div class="tabled">
            <Table aria-label="People read{searches > 1 ? ` for search ${search + 1}` : ''}">
              <TableHead>
                <TableRow
                  >{#each pageFields as field (field)}<TableHeader>{fieldWords[field]}</TableHeader>{/each}<TableHeader
                  ></TableHeader></TableRow
                >
              </TableHead>
              <TableBody>
                {#each one.rows as row, i (i)}
                  <TableRow>
                    {#each pageFields as field (field)}
                      <TableCell class={row.doubtful.includes(field) ? 'doubtful' : ''}
                        ><Field
                          value={row.values[field] ?? ''}
                          aria-label="{fieldWords[field]} {i + 1}{row.doubtful.includes(field) ? ', in doubt' : ''}"
                          onchange={(event) => correct(row, field, event.currentTarget.value)}
                        /></TableCell
                      >
                    {/each}
                    <TableCell
                      ><Act look="plain" aria-label="Leave {row.values.name} out" onclick={() => one.rows.splice(i, 1)}
                        >✕</Act
                      ></TableCell
                    >
                  </TableRow>
                {/each}
              </TableBody>
            </Table>
          </div>
        </div>
        <p class="soft">
          {count(one.rows.length)} people{one.rows.some(({ doubtful }) => doubtful.length)
            ? '; dashed fields were read by their place alone: look at them'
            : ''}.
        </p>
      {/if}
    </div>
  {/each}
  <Refused problem={refused} />
  <Act look="main" disabled={!ready || keeping} onclick={keep}>Keep as a trial</Act>
</div>

<style>
  .hand {
    border-top: 1px solid var(--rule);
    padding: 10px 14px;
    display: grid;
    gap: 10px;
    font-size: 13px;
    justify-items: start;
  }
  .answer {
    display: grid;
    gap: 6px;
    width: 100%;
  }
  .acts {
    display: flex;
    gap: 10px;
    align-items: baseline;
    flex-wrap: wrap;
  }
  .scroll {
    overflow: auto;
    max-height: 260px;
  }
  .tabled :global(td),
  .tabled :global(th) {
    padding: 1px 4px;
    font-size: 12px;
  }
  .tabled :global(td input) {
    border: 1px solid transparent;
    width: 100%;
    min-width: 84px;
    padding: 1px 4px;
    font-size: 12px;
  }
  .tabled :global(.doubtful input) {
    border: 1px dashed var(--warm);
  }
</style>
