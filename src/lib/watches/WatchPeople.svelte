<script lang="ts">
  import { watchPeople as say } from './words';
  import TrashCan from 'carbon-icons-svelte/lib/TrashCan.svelte';
  import type { Answer } from '$api';
  import { hasPeopleHere } from '$api/source-kinds';
  import { call } from '$lib/api/call';
  import { noBudget } from '$lib/harvest/budget';
  import Act from '$lib/ui/Act.svelte';
  import Field from '$lib/ui/Field.svelte';
  import Tick from '$lib/ui/Tick.svelte';
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
  about={say.everybodyOnThisListIsLooked}
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
  <div class="rules" role="group" aria-label={say.whenSomebodyIsNews}>
    {#each rules as one, i (i)}
      {#if one.own}
        <Field
          aria-label={say.whatItIsCalled}
          placeholder={say.whatItIsCalled2}
          maxlength="100"
          bind:value={one.name}
        />
      {:else}
        <Tick label={one.name} checked={one.on} ontick={(on) => (one.on = on)} />
      {/if}
      <Field aria-label={say.when(one.name || 'a rule of your own')} maxlength="2000" bind:value={one.rule} />
      {#if one.own}
        <Act look="plain" icon={TrashCan} aria-label={say.takeThisRuleOut} onclick={() => rules.splice(i, 1)} />
      {:else}<span></span>{/if}
    {/each}
  </div>
  <Act onclick={() => rules.push({ name: '', rule: '', on: true, own: true })}>{say.aRuleOfYourOwn}</Act>
  <p class="soft">
    {say.aRuleIsAString} <code>{say.was}</code>
    {say.asksWhatWasToldBeforeAs} <code>{say.wasCompany}</code>;
    <code>{say.changed}</code>
    {say.goesWithAField} <code>{say.grown}</code>
    {say.isPerCent} <code>{say.leaders}</code>
    {say.daysSinceSomebodyCameWhoLeads}
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
