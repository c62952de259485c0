<script lang="ts">
  import MultiSelect from 'carbon-components-svelte/src/MultiSelect/MultiSelect.svelte';

  interface Props {
    label: string;
    hint: string;
    /** The few there are: the value kept and the name shown. */
    choices: readonly { value: string; name: string }[];
    chosen: readonly string[];
    invalid?: string | undefined;
    onchange: (chosen: string[]) => void;
  }
  let { label, hint, choices, chosen, invalid, onchange }: Props = $props();

  // What was kept under a name that is not on the list stays, and can be taken out.
  const items = $derived(
    [
      ...choices,
      ...chosen.filter((value) => !choices.some((one) => one.value === value)).map((value) => ({ value, name: value }))
    ].map(({ value, name }) => ({ id: value, text: name }))
  );
  const same = (a: readonly string[], b: readonly string[]) =>
    a.length === b.length && a.every((one) => b.includes(one));
  const names = $derived(items.filter(({ id }) => chosen.includes(id)).map(({ text }) => text));
</script>

<!-- Several of a short list. -->
<div class="several">
  <MultiSelect
    size="sm"
    labelText={label}
    label={names.join(', ') || 'any'}
    {items}
    selectedIds={[...chosen]}
    sortItem={() => 0}
    helperText={hint}
    invalid={invalid !== undefined}
    invalidText={invalid ?? ''}
    on:select={({ detail }: CustomEvent<{ selectedIds: string[] }>) => {
      if (!same(detail.selectedIds, chosen)) onchange(detail.selectedIds);
    }}
  />
</div>

<style>
  .several {
    margin-bottom: 10px;
  }
</style>
