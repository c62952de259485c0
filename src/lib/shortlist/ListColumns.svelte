<script lang="ts">
  import { listColumns as say } from './words';
  import type { Answer } from '$api';
  import Act from '$lib/ui/Act.svelte';
  import Field from '$lib/ui/Field.svelte';
  import Fold from '$lib/ui/Fold.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import { plainColumns, writeQuery } from './list-query';
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
    <Tick
      label={word}
      checked={desk.query.columns.includes(one)}
      ontick={(on) =>
        desk.look({
          columns: on ? [...desk.query.columns, one] : desk.query.columns.filter((other) => other !== one)
        })}
    />
  {/each}
  <Fold title={say.keepThisView}>
    <form
      onsubmit={(event) => {
        event.preventDefault();
        if (viewName.trim()) void keepView(viewName.trim());
        viewName = '';
      }}
    >
      <Field label={say.name} inline maxlength="200" bind:value={viewName} />
      <Act type="submit">{say.keep}</Act>
    </form>
  </Fold>
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
