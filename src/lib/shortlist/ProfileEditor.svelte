<script lang="ts">
  import { profileEditor as say } from './words';
  import type { Answer } from '$api';
  import { call } from '$lib/api/call';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
  import { columnSources } from '$api/list-fields';

  interface Props {
    list: Answer<'readShortlist'>;
    profiles: Answer<'listProfiles'>;
    name: string;
    onkept: (name: string) => void;
    onrefused: (problem: unknown) => void;
  }
  let { list, profiles, name, onkept, onrefused }: Props = $props();

  type ColumnProfile = Answer<'listProfiles'>[number]['body'];
  const chosen = $derived(profiles.find((one) => one.name === name));
  let body: ColumnProfile | null = $state(null);
  let as = $state('');
  $effect.pre(() => {
    body = chosen ? structuredClone(chosen.body) : null;
    as = name;
  });
  function move(at: number, by: -1 | 1) {
    const columns = [...body!.columns];
    const [one] = columns.splice(at, 1);
    columns.splice(at + by, 0, one!);
    body!.columns = columns;
  }
  async function keep() {
    try {
      const known = profiles.find((one) => one.name === as.trim());
      await call('writeProfile', {
        params: { name: as.trim() },
        body: { body: $state.snapshot(body)!, revision: known?.revision ?? 0 }
      });
      onkept(as.trim());
    } catch (problem) {
      onrefused(problem);
    }
  }
  const dates = ['2026-05-31', '31.05.2026', '31/05/2026', '05/31/2026'] as const;
  const numbers = ['1234.5', '1234,5'] as const;
</script>

<!-- Which columns a file has, from what, and how dates and numbers are written. -->
{#if body}
  <ol>
    {#each body.columns as column, i (i)}
      <li>
        <TextInput aria-label={say.headerColumn(i + 1)} bind:value={column.header} />
        <Select label={say.content} hideLabel value={column.from} onchange={(from) => (column.from = from)}>
          {#each columnSources as from (from)}<option value={from}>{from}</option>{/each}
        </Select>
        {#if column.from === 'own column'}
          <Select label={say.field} hideLabel value={column.of} onchange={(of) => (column.of = of)}>
            <option value="">{say.field2}</option>
            {#each list.columns as own (own.name)}<option value={own.name}>{own.name}</option>{/each}
          </Select>
        {:else if column.from === 'fixed text'}<TextInput
            aria-label={say.text}
            placeholder={say.text2}
            bind:value={column.of}
          />{/if}
        <Button kind="ghost" disabled={!i} aria-label={say.moveUp(column.header)} onclick={() => move(i, -1)}>↑</Button>
        <Button
          kind="ghost"
          disabled={i === body.columns.length - 1}
          aria-label={say.moveDown(column.header)}
          onclick={() => move(i, 1)}>↓</Button
        >
        <Button
          kind="ghost"
          disabled={body.columns.length === 1}
          aria-label={say.remove(column.header)}
          onclick={() => (body!.columns = body!.columns.filter((_, at) => at !== i))}>✕</Button
        >
      </li>
    {/each}
  </ol>
  <div class="line">
    <Button onclick={() => body!.columns.push({ header: 'New column', from: 'fixed text', of: '' })}
      >{say.addColumn}</Button
    >
    <Select label={say.dates} value={body.dates} onchange={(one) => (body!.dates = one)}>
      {#each dates as one (one)}<option value={one}>{one}</option>{/each}
    </Select>
    <Select label={say.numbers} value={body.numbers} onchange={(one) => (body!.numbers = one)}>
      {#each numbers as one (one)}<option value={one}>{one}</option>{/each}
    </Select>
    <TextInput label={say.saveAs} inline bind:value={as} maxlength="200" />
    <Button disabled={!as.trim()} onclick={keep}>{say.saveColumns}</Button>
  </div>
{/if}

<style>
  ol {
    padding: 0;
    margin: 0;
    list-style: none;
    columns: 2;
  }
  li,
  .line {
    display: flex;
    gap: 6px;
    align-items: center;
    break-inside: avoid;
  }
  .line {
    flex-wrap: wrap;
    gap: 6px 12px;
    margin-top: 6px;
  }
</style>
