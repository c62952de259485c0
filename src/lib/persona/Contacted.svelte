<script lang="ts">
  import { contacted as say } from './words';
  import Button from '$lib/ui/Button.svelte';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { count } from '$lib/marks/format';
  import type { Answer } from '$api';

  interface Props {
    briefId: string;
    kept: Answer<'readContacted'>;
  }
  let { briefId, kept }: Props = $props();

  // svelte-ignore state_referenced_locally
  let list = $state.raw(kept);
  let notice = $state('');
  let refused: unknown = $state(null);

  async function empty() {
    refused = null;
    try {
      const params = { id: briefId };
      const { revision } = await call('writeContacted', { params, body: { body: [], revision: list.revision } });
      list = { body: [], revision };
      notice = say.listCleared;
    } catch (problem) {
      refused = problem;
      list = await call('readContacted', { params: { id: briefId } }).catch(() => list);
    }
  }
</script>

<div class="field" role="group" aria-label={say.peopleAlreadyContacted}>
  <span class="bx--label">{say.peopleAlreadyContacted}</span>
  <div class="line">
    <span>{list.body.length ? say.people(list.body.length, count(list.body.length)) : say.nobodyYet}</span>
    <a href="/sources?list=contacted+{briefId}">{say.importPeople}</a>
    {#if list.body.length}<Button onclick={empty}>{say.clearList}</Button>{/if}
    <span class="soft" role="status">{notice}</span>
  </div>
  <div class="hint">{say.matchedByEmailAddressOrBy}</div>
  <Refused problem={refused} />
</div>

<style>
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    align-items: baseline;
    font-size: 13px;
  }
  .hint {
    font-size: 12px;
    color: var(--soft);
    margin-top: 4px;
  }
</style>
