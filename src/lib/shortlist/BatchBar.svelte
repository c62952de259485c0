<script lang="ts">
  import { batchBar as say } from './words';
  import type { Answer } from '$api';
  import { count } from '$lib/marks/format';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
  import type { ShortlistPage } from './shortlist-page.svelte';

  interface Props {
    desk: ShortlistPage;
    list: Answer<'readShortlist'>;
    onmorelike: () => void;
    oncopy: () => void;
  }
  let { desk, list, onmorelike, oncopy }: Props = $props();

  let tag = $state('');
  let step = $state('');
  let why = $state('');
  const tags = $derived([
    ...new Set([...list.tags.map(({ name }) => name), ...list.counted.tag.map(({ value }) => value)])
  ]);
  async function addTag() {
    const name = tag.trim();
    if (!name) return;
    tag = '';
    await desk.change({ addTags: [name] });
  }
</script>

<!-- What can be done with those who are chosen. -->
<div class="bar" role="toolbar" aria-label={say.actionsForSelectedPeople}>
  <b>{say.selected(count(desk.many))}</b>
  <form
    onsubmit={(event) => {
      event.preventDefault();
      void addTag();
    }}
  >
    <TextInput aria-label={say.addTag} placeholder={say.tag} list="tags" maxlength="60" bind:value={tag} />
    <datalist id="tags"
      >{#each tags as name (name)}<option value={name}></option>{/each}</datalist
    >
  </form>
  {#if tags.length}
    <Select
      label={say.removeTag}
      hideLabel
      value=""
      onchange={(name) => void (name && desk.change({ removeTags: [name] }))}
    >
      <option value="">{say.removeTag2}</option>
      {#each tags as name (name)}<option value={name}>{name}</option>{/each}
    </Select>
  {/if}
  <Select
    label={say.priority}
    hideLabel
    value=""
    onchange={(one) => void (one && desk.change({ priority: one === '-' ? null : Number(one) }))}
  >
    <option value="">{say.priority2}</option>
    {#each ['1', '2', '3', '4', '5'] as one (one)}<option value={one}>{one}</option>{/each}
    <option value="-">{say.none}</option>
  </Select>
  <form
    onsubmit={(event) => {
      event.preventDefault();
      if (step.trim()) void desk.change({ nextStep: step.trim() });
      step = '';
    }}
  >
    <TextInput aria-label={say.nextStep} placeholder={say.nextStep2} maxlength="200" bind:value={step} />
  </form>
  <form
    onsubmit={(event) => {
      event.preventDefault();
      void desk.change({ leaveOut: why.trim() });
      why = '';
    }}
  >
    <TextInput aria-label={say.reasonForExcluding} placeholder={say.excludeReason} maxlength="200" bind:value={why} />
  </form>
  <Button onclick={() => desk.change({ leaveOut: null })}>{say.include}</Button>
  <Button disabled={desk.everybody || desk.many < 2 || desk.many > 50} onclick={desk.join}>{say.merge}</Button>
  <Button disabled={desk.many < 2} onclick={onmorelike}>{say.moreLikeThese}</Button>
  <Button onclick={oncopy}>{say.copy}</Button>
  <Button onclick={() => desk.change({ drop: true })}>{say.remove}</Button>
  <Button kind="ghost" onclick={() => desk.clear()}>{say.none}</Button>
</div>

<style>
  .bar {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 8px;
    padding: 6px 12px;
    font-size: 12.5px;
    background: var(--accent-2);
  }
  form {
    width: 104px;
  }
</style>
