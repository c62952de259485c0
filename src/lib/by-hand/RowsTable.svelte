<script lang="ts">
  import { rowsTable as say } from './words';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import { pageFields, type PageField, type PageRow } from '$core/formats';

  interface Props {
    label: string;
    rows: readonly PageRow[];
    oncorrect: (row: PageRow, field: PageField, value: string) => void;
    onremove: (index: number) => void;
  }
  let { label, rows, oncorrect, onremove }: Props = $props();

  const fieldWords: Record<PageField, string> = {
    name: say.name,
    title: say.title,
    company: say.firm,
    place: say.place,
    url: say.page,
    mail: say.email,
    phone: say.phone
  };
  /** Rows that are drawn; more as the list is scrolled. The thousands of a long page would hold the screen up for seconds. */
  const page = 40;
  let drawn = $state(page);
  const scrolled = ({ currentTarget: list }: UIEvent & { currentTarget: HTMLElement }) => {
    if (list.scrollTop + 2 * list.clientHeight > list.scrollHeight && drawn < rows.length) drawn += page;
  };

  /** Columns that anybody has something in; the first four always. */
  const shown = $derived(pageFields.filter((field, i) => i < 4 || rows.some(({ values }) => values[field]?.trim())));
</script>

<!-- Rows read out of a page, each cell to be corrected where it stands. -->
<div class="tabled" onscroll={scrolled}>
  <Table aria-label={label}>
    <TableHead
      ><TableRow
        >{#each shown as field (field)}<TableHeader>{fieldWords[field]}</TableHeader>{/each}<TableHeader
        ></TableHeader></TableRow
      ></TableHead
    >
    <TableBody>
      {#each rows.slice(0, drawn) as row, i (i)}
        <TableRow>
          {#each shown as field (field)}
            <TableCell class={row.doubtful.includes(field) ? 'doubtful' : ''}
              ><TextInput
                value={row.values[field] ?? ''}
                aria-label="{fieldWords[field]} {i + 1}{row.doubtful.includes(field) ? say.toCheck : ''}"
                onchange={(event) => oncorrect(row, field, event.currentTarget.value)}
              /></TableCell
            >
          {/each}
          <TableCell
            ><Button kind="ghost" aria-label={say.remove(row.values.name)} onclick={() => onremove(i)}>✕</Button
            ></TableCell
          >
        </TableRow>
      {/each}
    </TableBody>
  </Table>
</div>

<style>
  .tabled {
    overflow: auto;
    max-height: 330px;
  }
  .tabled :global(td),
  .tabled :global(th) {
    padding: 1px 4px;
    font-size: 12px;
  }
  .tabled :global(td input) {
    border: 1px solid transparent;
    background: none;
    width: 100%;
    min-width: 90px;
    height: 24px;
    padding: 1px 4px;
    font-size: 12px;
  }
  .tabled :global(.doubtful input) {
    border: 1px dashed var(--warm);
  }
</style>
