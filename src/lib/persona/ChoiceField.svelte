<script lang="ts">
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

  const id = $props.id();
  let typed = $state('');
  const nameOf = $derived(new Map(choices.map(({ value, name }) => [value, name])));

  function add() {
    const wanted = typed.trim().toLowerCase();
    const choice = choices.find(({ value, name }) => name.toLowerCase() === wanted || value.toLowerCase() === wanted);
    if (!choice) return;
    typed = '';
    if (!chosen.includes(choice.value)) onchange([...chosen, choice.value]);
  }
</script>

<div class="field">
  <label class="bx--label" for={id}>{label}</label>
  <div class="box">
    {#each chosen as value (value)}
      <span class="one"
        >{nameOf.get(value) ?? value}<button
          class="plain"
          aria-label="Take {nameOf.get(value) ?? value} out"
          onclick={() => onchange(chosen.filter((other) => other !== value))}>✕</button
        ></span
      >
    {/each}
    <input
      {id}
      list="{id}-list"
      bind:value={typed}
      placeholder="add…"
      autocomplete="off"
      oninput={(event) => {
        // Picking from the list replaces the text at once; typing does not.
        if ((event as unknown as InputEvent).inputType === 'insertReplacementText') add();
      }}
      onkeydown={(event) => {
        if (event.key === 'Enter') {
          event.preventDefault();
          add();
        } else if (event.key === 'Backspace' && !typed && chosen.length) onchange(chosen.slice(0, -1));
      }}
      onchange={add}
    />
    <datalist id="{id}-list">
      {#each choices as { value, name } (value)}<option value={name}>{value}</option>{/each}
    </datalist>
  </div>
  <div class="hint" class:invalid={invalid !== undefined}>
    {invalid ?? (typed ? 'Press Enter to add; only what is on the list can be added.' : hint)}
  </div>
</div>

<style>
  .box {
    display: flex;
    flex-wrap: wrap;
    gap: 5px;
    padding: 6px 8px;
    min-height: 40px;
    background: var(--sheet);
    border-bottom: 1px solid var(--grey);
    align-items: center;
  }
  .one {
    background: var(--accent-2);
    padding: 1px 4px 1px 8px;
    font-size: 13px;
  }
  .one button {
    padding: 0 4px;
    font-size: 11px;
  }
  input {
    flex: 1;
    min-width: 90px;
    border: 0;
    background: none;
    font: inherit;
    color: inherit;
    padding: 3px;
  }
  .hint {
    font-size: 12px;
    color: var(--soft);
    margin-top: 4px;
  }
  .invalid {
    color: var(--warm);
  }
</style>
