<script lang="ts">
  import { ownCell as say } from './words';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
  import type { Answer } from '$api';

  type Value = string | number | boolean | null;
  interface Props {
    column: Answer<'readShortlist'>['columns'][number];
    value: Value;
    onchange: (value: Value) => void;
  }
  let { column, value, onchange }: Props = $props();
  const typed = (event: Event) => (event.currentTarget as HTMLInputElement).value.trim();
</script>

<!-- A cell of a column of one's own, by its type. -->
{#if column.type === 'yes/no'}
  <Select
    label={column.name}
    value={value === true ? 'yes' : value === false ? 'no' : ''}
    onchange={(picked) => onchange(picked === '' ? null : picked === 'yes')}
  >
    <option value="">–</option><option value="yes">{say.yes}</option><option value="no">{say.no}</option>
  </Select>
{:else if column.type === 'choice'}
  <Select label={column.name} value={String(value ?? '')} onchange={(picked) => onchange(picked || null)}>
    <option value="">–</option>
    {#each column.choices as choice (choice)}<option value={choice}>{choice}</option>{/each}
  </Select>
{:else}
  <TextInput
    label={column.name}
    inline
    type={column.type}
    step="any"
    value={value === null ? '' : String(value)}
    onchange={(event: Event) => {
      const text = typed(event);
      onchange(text === '' ? null : column.type === 'number' ? Number(text) : text);
    }}
  />
{/if}
