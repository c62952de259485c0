<script lang="ts">
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import TrashCan from 'carbon-icons-svelte/lib/TrashCan.svelte';
  import type { Answer } from '$api';
  import { hasPeopleHere } from '$api/source-kinds';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { noBudget } from '$lib/harvest/budget';
  import Act from '$lib/ui/Act.svelte';
  import Field from '$lib/ui/Field.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import { firstRhythm } from './rhythm-words';
  import { usualRules } from './usual-rules';
  import RhythmFields from './RhythmFields.svelte';

  interface Props {
    briefId: string;
    /** The shortlist whose people are watched. */
    list: { id: string; name: string };
    open: boolean;
    onbegun: (what: string) => void;
  }
  let { briefId, list, open = $bindable(), onbegun }: Props = $props();

  let name = $state('');
  let rhythm = $state(firstRhythm());
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
  async function begin() {
    refused = null;
    try {
      await call('createWatch', {
        params: { id: briefId },
        body: {
          name: name.trim(),
          rhythm: $state.snapshot(rhythm),
          budget: { ...noBudget },
          people: {
            list: list.id,
            sources: looked.map(({ id }) => id),
            rules: chosen.map((one) => ({ name: one.name.trim(), rule: one.rule.trim() }))
          }
        }
      });
      open = false;
      onbegun(`${name.trim()} is watched from now on: news comes to Home`);
    } catch (problem) {
      refused = problem;
    }
  }
</script>

<Modal
  bind:open
  modalHeading="Watch these people"
  primaryButtonText="Begin to watch"
  primaryButtonDisabled={!name.trim() || !chosen.length || !looked.length}
  secondaryButtonText="Not now"
  on:click:button--secondary={() => (open = false)}
  on:submit={begin}
>
  <Refused problem={refused} />
  <p>Everybody on this list is looked up again by itself. Somebody is news when one of these begins to hold of them.</p>
  <Field label="Name" maxlength="200" bind:value={name} />
  <RhythmFields bind:rhythm />
  <div class="line">
    {#each sources as { id, name: source } (id)}
      <Tick
        label={source}
        checked={!left.includes(id)}
        ontick={(on) => (left = on ? left.filter((one) => one !== id) : [...left, id])}
      />
    {/each}
  </div>
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
</Modal>

<style>
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 14px;
    align-items: center;
    margin: 8px 0;
  }
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
