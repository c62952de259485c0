<script lang="ts">
  import { choiceField as say } from './words';
  import { tick } from 'svelte';
  import ComboBox from 'carbon-components-svelte/src/ComboBox/ComboBox.svelte';
  import Tag from 'carbon-components-svelte/src/Tag/Tag.svelte';

  interface Props {
    label: string;
    hint: string;
    /** What can be chosen: the value kept and the name shown. */
    choices: readonly { value: string; name: string }[];
    chosen: readonly string[];
    invalid?: string | undefined;
    onchange: (chosen: string[]) => void;
  }
  let { label, hint, choices, chosen, invalid, onchange }: Props = $props();

  let typed = $state('');
  let picked: string | undefined = $state();
  const nameOf = $derived(new Map(choices.map(({ value, name }) => [value, name])));
  const items = $derived(
    choices.filter(({ value }) => !chosen.includes(value)).map(({ value, name }) => ({ id: value, text: name }))
  );

  async function add(value: string | undefined) {
    if (value !== undefined && !chosen.includes(value)) onchange([...chosen, value]);
    // The field is for the next one.
    await tick();
    picked = undefined;
    typed = '';
  }
  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Backspace' && !typed && chosen.length) onchange(chosen.slice(0, -1));
    if (event.key !== 'Enter') return;
    // A code does as well as a name.
    const choice = items.find(({ id }) => id.toLowerCase() === typed.trim().toLowerCase());
    if (choice) void add(choice.id);
  }
</script>

<div class="choice">
  <ComboBox
    size="sm"
    labelText={label}
    placeholder={say.add}
    {items}
    bind:value={typed}
    bind:selectedId={picked}
    shouldFilterItem={(item: { id: string; text: string }, value: string) =>
      !value || `${item.text} ${item.id}`.toLowerCase().includes(value.toLowerCase())}
    helperText={typed ? say.pressEnterToAddHighlightedItem : hint}
    invalid={invalid !== undefined}
    invalidText={invalid ?? ''}
    on:select={({ detail }: CustomEvent<{ selectedId: string }>) => add(detail.selectedId)}
    on:keydown={onkeydown}
  />
  {#if chosen.length}
    <div class="chosen">
      {#each chosen as value (value)}
        {@const name = nameOf.get(value) ?? value}
        <Tag
          filter
          size="sm"
          title={say.remove(name)}
          on:close={() => onchange(chosen.filter((other) => other !== value))}>{name}</Tag
        >
      {/each}
    </div>
  {/if}
</div>

<style>
  .choice {
    margin-bottom: 10px;
  }
  .chosen {
    display: flex;
    flex-wrap: wrap;
    gap: 2px;
    margin-top: 3px;
  }
</style>
