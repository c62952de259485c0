/** Carbon's table and its pieces, under one roof. */
export { default as Table } from './Table.svelte';
export { default as TableBody } from 'carbon-components-svelte/src/DataTable/TableBody.svelte';
export { default as TableCell } from 'carbon-components-svelte/src/DataTable/TableCell.svelte';
export { default as TableHead } from 'carbon-components-svelte/src/DataTable/TableHead.svelte';
export { default as TableHeader } from 'carbon-components-svelte/src/DataTable/TableHeader.svelte';
export { default as TableRow } from 'carbon-components-svelte/src/DataTable/TableRow.svelte';
