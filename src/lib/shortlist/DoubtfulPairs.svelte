<script lang="ts">
  import { doubtfulPairs as say } from './words';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import type { Answer } from '$api';
  import { call } from '$lib/api/call';
  import { countryName } from '$core/people';
  import Button from '$lib/ui/Button.svelte';
  import type { ShortlistPage } from './shortlist-page.svelte';

  interface Props {
    desk: ShortlistPage;
    pairs: Answer<'doubtfulKept'> | null;
  }
  let { desk, pairs = $bindable() }: Props = $props();

  const load = () => desk.attempt(async () => (pairs = await call('doubtfulKept', { params: desk.params })));
  async function join(numbers: readonly number[]) {
    await desk.doing(() => call('joinKept', { params: desk.params, body: { numbers: [...numbers] } }));
    await load();
  }
</script>

<!-- Two who may be one: somebody says. -->
<Modal
  open={pairs !== null}
  passiveModal
  modalHeading={say.possibleDuplicates}
  size="lg"
  on:close={() => (pairs = null)}
>
  {#each pairs ?? [] as { numbers, why, people } (numbers.join())}
    <div class="pair">
      {#each people as person (person.number)}
        <div>
          <b>{person.name}</b><br />{[person.title, person.company].filter(Boolean).join(' at ')}<br />
          <span class="soft"
            >{[person.place, person.country && countryName(person.country), person.mail]
              .filter(Boolean)
              .join(' · ')}</span
          >
        </div>
      {/each}
      <div><span class="soft">{why}</span><br /><Button onclick={() => join(numbers)}>{say.merge}</Button></div>
    </div>
  {:else}<p>{say.noPossibleDuplicatesOnThisList}</p>{/each}
</Modal>

<style>
  .pair {
    display: grid;
    grid-template-columns: 1fr 1fr 1fr;
    gap: 12px;
    padding: 8px 0;
    border-bottom: 1px solid var(--rule);
    font-size: 13px;
  }
</style>
