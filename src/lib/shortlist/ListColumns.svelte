<script lang="ts">
  import { listColumns as say } from './words';
  import type { Answer } from '$api';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Accordion from '$lib/ui/Accordion.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
  import { writeQuery } from './list-query';
  import { plainColumns } from './words';
  import type { ShortlistPage } from './shortlist-page.svelte';

  let { desk, list }: { desk: ShortlistPage; list: Answer<'readShortlist'> } = $props();

  let viewName = $state('');
  const columns = $derived([
    ...Object.entries(plainColumns),
    ...list.columns.map(({ name }) => [`own.${name}`, name] as const)
  ]);
  const keepView = (name: string) =>
    desk.settle({ views: [...list.views.filter((one) => one.name !== name), { name, query: writeQuery(desk.query) }] });
</script>

<!-- Which columns are seen, and the way to keep what is seen under a name. -->
<div class="columns">
  {#each columns as [one, word] (one)}
    <Checkbox
      label={word}
      checked={desk.query.columns.includes(one)}
      onchange={(on) =>
        desk.look({
          columns: on ? [...desk.query.columns, one] : desk.query.columns.filter((other) => other !== one)
        })}
    />
  {/each}
  <Accordion title={say.saveThisView}>
    <form
      onsubmit={(event) => {
        event.preventDefault();
        if (viewName.trim()) void keepView(viewName.trim());
        viewName = '';
      }}
    >
      <TextInput label={say.name} inline maxlength="200" bind:value={viewName} />
      <Button type="submit">{say.save}</Button>
    </form>
  </Accordion>
</div>

<style>
  .columns {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 10px;
    align-items: center;
    padding: 6px 12px;
    font-size: 12.5px;
  }
  form {
    display: flex;
    gap: 8px;
  }
</style>
