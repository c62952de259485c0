<script lang="ts">
  import { elsewhere as say } from '../words';
  import { untrack } from 'svelte';
  import { call } from '$lib/api/call';
  import { presentJob, type Person } from '$core/people';
  import type { Answer } from '$api';

  let { person, except }: { person: Person; except: string } = $props();

  let others: Answer<'elsewhere'> = $state.raw([]);
  // The page reloads its people after each verdict: only another person needs a new request.
  const name = $derived(`${except} ${person.id}`);
  $effect(() => {
    void name;
    const asking = new AbortController();
    others = [];
    const body = untrack(() => ({ person: $state.snapshot(person) as Person, except }));
    const timer = setTimeout(() => {
      call('elsewhere', { body, signal: asking.signal }).then(
        (notice) => (others = notice),
        () => {}
      );
    }, 200);
    return () => {
      clearTimeout(timer);
      asking.abort();
    };
  });
  const now = (other: Person) => presentJob(other);
</script>

{#if others.length}
  <section aria-label={say.samePersonAtOtherSources}>
    <span class="soft">{say.otherSources}</span>
    {#each others as { sourceId, sourceName, person: other } (sourceId)}
      <p>
        <b>{sourceName}</b>: {now(other)?.title ?? say.noTitle}, {now(other)?.company ?? say.noFirm}
        {#if other.headcount !== undefined}<span class="soft"
            >· {other.headcount.toLocaleString('en')} {say.people}</span
          >{/if}
        {#if other.mail}<span class="soft">{say.address(other.mail)}</span>{/if}
      </p>
    {/each}
  </section>
{/if}

<style>
  section {
    border-top: 1px solid var(--rule);
    margin-top: 10px;
    padding-top: 8px;
    font-size: 13px;
  }
</style>
