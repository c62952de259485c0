<script lang="ts">
  import { filePreview as say } from './words';
  import type { Answer } from '$api';
  import { columnFields, type ColumnField } from '$core/formats';
  import Select from '$lib/ui/Select.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';

  interface Props {
    columns: Answer<'readImport'>['reading']['columns'];
    /** What each column holds. */
    mapping: ColumnField[];
  }
  let { columns, mapping = $bindable() }: Props = $props();
  const rows = $derived(Math.max(0, ...columns.map(({ samples }) => samples.length)));
</script>

<!-- The first rows of a file, and what each of its columns holds. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="preview" role="region" aria-label={say.firstRowsFile} tabindex="0">
  <div class="tabled">
    <Table>
      <TableHead>
        <TableRow>
          {#each columns as column, i (i)}
            <TableHeader>
              <b>{column.name || say.column(i + 1)}</b>
              <Select aria-label={say.fieldForColumn(column.name || i + 1)} bind:value={mapping[i]}>
                {#each Object.entries(columnFields) as [field, words] (field)}<option value={field}>{words}</option
                  >{/each}
              </Select>
            </TableHeader>
          {/each}
        </TableRow>
      </TableHead>
      <TableBody>
        {#each Array.from({ length: rows }).keys() as row (row)}
          <TableRow
            >{#each columns as column, i (i)}<TableCell class={mapping[i] === 'ignore' ? 'out' : ''}
                >{column.samples[row] ?? ''}</TableCell
              >{/each}</TableRow
          >
        {/each}
      </TableBody>
    </Table>
  </div>
</div>

<style>
  .preview {
    overflow: auto;
    max-height: 300px;
  }
  .tabled :global(th select) {
    display: block;
    margin-top: 4px;
    font: inherit;
    font-size: 12.5px;
    color: var(--ink);
    background: var(--sheet-2);
    border: 1px solid var(--line);
  }
  .tabled :global(td) {
    white-space: nowrap;
    max-width: 240px;
    overflow: hidden;
    text-overflow: ellipsis;
    font-size: 12.5px;
  }
  .tabled :global(td.out) {
    color: var(--grey);
    text-decoration: line-through;
  }
</style>
