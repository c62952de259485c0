<script lang="ts">
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
    name ||= `${list.name}: changes`;
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
  heading="Watch these people"
  about="Everybody on this list is looked up again by itself. Somebody is news when one of these begins to hold of them."
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
  <div class="rules" role="group" aria-label="When somebody is news">
    {#each rules as one, i (i)}
      {#if one.own}
        <Field aria-label="What it is called" placeholder="what it is called" maxlength="100" bind:value={one.name} />
      {:else}
        <Tick label={one.name} checked={one.on} ontick={(on) => (one.on = on)} />
      {/if}
      <Field aria-label="When: {one.name || 'a rule of your own'}" maxlength="2000" bind:value={one.rule} />
      {#if one.own}
        <Act look="plain" icon={TrashCan} aria-label="Take this rule out" onclick={() => rules.splice(i, 1)} />
      {:else}<span></span>{/if}
    {/each}
  </div>
  <Act onclick={() => rules.push({ name: '', rule: '', on: true, own: true })}>A rule of your own</Act>
  <p class="soft">
    A rule is a string. <code>was.</code> asks what was told before, as in <code>was.company:"…"</code>;
    <code>changed:</code> goes with a field; <code>grown:</code> is per cent, <code>leaders:</code> days since somebody came
    who leads the firm. What a source does not tell makes nobody news.
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
