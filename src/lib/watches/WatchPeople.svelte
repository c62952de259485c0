<script lang="ts">
  import { watchPeople as say } from './words';
  import TrashCan from 'carbon-icons-svelte/lib/TrashCan.svelte';
  import type { Answer } from '$api';
  import { hasPeopleHere } from '$api/source-kinds';
  import { call } from '$lib/api/call';
  import { noBudget } from '$lib/harvest/budget';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
  import ChosenSources from './ChosenSources.svelte';
  import WatchDialog from './WatchDialog.svelte';
  import { usualRules } from './usual-rules';

  interface Props {
    briefId: string;
    /** The shortlist whose people are watched. */
    list: { id: string; name: string };
    open: boolean;
  }
  let { briefId, list, open = $bindable() }: Props = $props();

  let name = $state('');
  let left = $state<string[]>([]);
  let rules = $state(usualRules.map((one, i) => ({ ...one, on: i < 2, own: false })));
  let refused: unknown = $state(null);
  /** Where somebody can be looked up: sources whose people are here. */
  let sources = $state.raw<Answer<'listSources'>>([]);
  $effect(() => {
    if (!open) return;
    name ||= say.changes(list.name);
    call('listSources').then(
      (all) => (sources = all.filter(({ kind, hidden }) => hasPeopleHere(kind) && !hidden)),
      (problem) => (refused = problem)
    );
  });
  const chosen = $derived(rules.filter(({ on, name, rule }) => on && name.trim() && rule.trim()));
  const looked = $derived(sources.filter(({ id }) => !left.includes(id)));
</script>

<WatchDialog
  {briefId}
  heading={say.watchThesePeople}
  about={say.eaveLooksUpEveryoneOnThis}
  ready={chosen.length > 0 && looked.length > 0}
  what={() => ({
    budget: { ...noBudget },
    people: {
      list: list.id,
      sources: looked.map(({ id }) => id),
      rules: chosen.map((one) => ({ name: one.name.trim(), rule: one.rule.trim() }))
    }
  })}
  problem={refused}
  bind:name
  bind:open
>
  <ChosenSources sources={sources.map(({ id, name: label }) => ({ id, label }))} bind:left />
  <div class="rules" role="group" aria-label={say.reportWhen}>
    {#each rules as one, i (i)}
      {#if one.own}
        <TextInput aria-label={say.ruleName} placeholder={say.ruleName2} maxlength="100" bind:value={one.name} />
      {:else}
        <Checkbox label={one.name} checked={one.on} onchange={(on) => (one.on = on)} />
      {/if}
      <TextInput aria-label={say.when(one.name || 'a rule of your own')} maxlength="2000" bind:value={one.rule} />
      {#if one.own}
        <Button kind="ghost" icon={TrashCan} aria-label={say.removeRule} onclick={() => rules.splice(i, 1)} />
      {:else}<span></span>{/if}
    {/each}
  </div>
  <Button onclick={() => rules.push({ name: '', rule: '', on: true, own: true })}>{say.addRule}</Button>
  <p class="soft">
    {say.ruleIsString} <code>{say.was}</code>
    {say.refersToWhatWasListedBefore} <code>{say.wasCompany}</code>;
    <code>{say.changed}</code>
    {say.takesField} <code>{say.grown}</code>
    {say.isInPercent} <code>{say.leaders}</code>
    {say.isDaysSinceNewLeaderJoined}
  </p>
</WatchDialog>

<style>
  .rules {
    display: grid;
    grid-template-columns: 170px minmax(0, 1fr) 32px;
    gap: 4px 10px;
    align-items: center;
    margin: 8px 0;
  }
  .soft {
    font-size: 12px;
    margin-top: 8px;
  }
</style>
