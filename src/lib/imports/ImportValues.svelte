<script lang="ts">
  import { importValues as say } from './words';
  import ComboBox from 'carbon-components-svelte/src/ComboBox/ComboBox.svelte';
  import InlineLoading from 'carbon-components-svelte/src/InlineLoading/InlineLoading.svelte';
  import { untrack } from 'svelte';
  import { columnFields, isStandardField, type ColumnField, type StandardField } from '$core/formats';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { count } from '$lib/marks/format';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import type { Answer } from '$api';
  import { valuesToCheck } from './values-to-check';

  type Read = Answer<'readImportValues'>;
  interface Props {
    importId: string;
    mapping: readonly ColumnField[];
    /** The import hasn't started, so its values can be read. */
    ready: boolean;
    /** What was read last, and of which columns. */
    read: { columns: string; answer: Read } | null;
    /** What values become, as it was chosen or read. */
    values: { field: StandardField; text: string; standard: string | null }[];
  }
  let { importId, mapping, ready, read = $bindable(), values = $bindable() }: Props = $props();

  let refused: unknown = $state(null);
  let all = $state(false);

  const columns = $derived(JSON.stringify([importId, ...mapping.map((field) => isStandardField(field) && field)]));
  $effect(() => {
    void columns;
    if (!ready) return;
    const leaving = new AbortController();
    untrack(() => void look(leaving.signal));
    return () => leaving.abort();
  });

  async function look(signal: AbortSignal) {
    const asked = columns;
    // An import that was refused shows again what was read and chosen of its file.
    if (read?.columns === asked) return;
    read = null;
    values = [];
    if (!mapping.some(isStandardField)) return;
    try {
      const answer = await call('readImportValues', {
        params: { id: importId },
        body: { mapping: [...mapping] },
        signal
      });
      read = { columns: asked, answer };
      values = answer.values.map(({ field, text, standard }) => ({ field, text, standard }));
    } catch (problem) {
      // Meanwhile the columns were matched differently, or the import started.
      if (!signal.aborted) refused = problem;
    }
  }

  const rows = $derived(read?.answer.values.map((value, i) => ({ ...value, i })) ?? []);
  const toCheck = $derived(valuesToCheck(rows));
  const shown = $derived(all ? rows : toCheck);
  const how: Record<string, string> = { name: say.byName, likeness: 'likely', memory: say.asBefore };
  const choose = (i: number, standard: string | null) =>
    (values = values.map((value, at) => (at === i ? { ...value, standard } : value)));
  const items = $derived(
    Object.fromEntries(
      Object.entries(read?.answer.lists ?? {}).map(([field, list]) => [
        field,
        list.map(({ value, name }) => ({ id: value, text: name }))
      ])
    )
  );
</script>

<!-- What the values of a file's columns become, to be looked through before anything is kept. -->
{#if read && rows.length}
  <section aria-label={say.values}>
    <p>
      <b>{say.differentValuesWereRecognized(count(rows.length - toCheck.length), count(rows.length))}</b>
      {#if toCheck.length}{say.theseWerentYouCanChangeWhat(count(toCheck.length))}{/if}
      {#if read.answer.more}{say.moreRareValuesAreReadBy(count(read.answer.more))}{/if}
      {#if rows.length > toCheck.length}
        <Button onclick={() => (all = !all)}>{all ? say.showValuesToCheck : say.showAll}</Button>
      {/if}
    </p>
    {#if shown.length}
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="tabled" role="region" aria-label={say.valuesInFile} tabindex="0">
        <Table>
          <TableHead>
            <TableRow>
              <TableHeader>{say.column}</TableHeader><TableHeader>{say.inFile}</TableHeader><TableHeader
                >{say.rows}</TableHeader
              >
              <TableHeader>{say.becomes}</TableHeader><TableHeader>{say.recognized}</TableHeader>
            </TableRow>
          </TableHead>
          <TableBody>
            {#each shown as { field, text, rows: times, by, i } (`${field} ${text}`)}
              <TableRow>
                <TableCell>{columnFields[field]}</TableCell>
                <TableCell>{text}</TableCell>
                <TableCell class="number">{count(times)}</TableCell>
                <TableCell>
                  {#if field === 'headcount'}
                    <TextInput
                      aria-label={say.numberPeopleMeans(text)}
                      placeholder={say.asWritten}
                      value={values[i]?.standard ?? ''}
                      onchange={(e) => choose(i, e.currentTarget.value.trim() || null)}
                    />
                  {:else}
                    <ComboBox
                      size="sm"
                      labelText={say.newValueFor(text)}
                      hideLabel
                      placeholder={say.asWritten}
                      items={items[field] ?? []}
                      selectedId={values[i]?.standard ?? undefined}
                      shouldFilterItem={(item: { text: string }, typed: string) =>
                        !typed || item.text.toLowerCase().includes(typed.toLowerCase())}
                      on:select={({ detail }: CustomEvent<{ selectedId: string }>) => choose(i, detail.selectedId)}
                      on:clear={() => choose(i, null)}
                    />
                  {/if}
                </TableCell>
                <TableCell>{(by && how[by]) ?? say.notRecognized}</TableCell>
              </TableRow>
            {/each}
          </TableBody>
        </Table>
      </div>
    {/if}
  </section>
{:else if ready && !read && !refused && mapping.some(isStandardField)}
  <InlineLoading description={say.readingFilesValues} />
{/if}
<Refused problem={refused} />

<style>
  section {
    display: grid;
    gap: 8px;
  }
  .tabled {
    max-height: 260px;
    overflow: auto;
  }
  .tabled :global(td) {
    font-size: 12.5px;
  }
</style>
