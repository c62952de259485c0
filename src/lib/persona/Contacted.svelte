<script lang="ts">
  import FileButton from '$lib/ui/FileButton.svelte';
  import Act from '$lib/ui/Act.svelte';
  import { ApiProblem, call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { count } from '$lib/marks/format';
  import { contactKeys } from '$core/people';
  import { peopleOfFile } from './people-of-file';
  import type { Answer } from '$api';

  interface Props {
    briefId: string;
    kept: Answer<'readContacted'>;
  }
  let { briefId, kept }: Props = $props();

  // svelte-ignore state_referenced_locally
  let list = $state.raw(kept);
  let told = $state('');
  let refused: unknown = $state(null);

  async function write(body: typeof list.body, say: string) {
    try {
      const { revision } = await call('writeContacted', {
        params: { id: briefId },
        body: { body, revision: list.revision }
      });
      list = { body, revision };
      told = say;
    } catch (problem) {
      refused = problem;
      list = await call('readContacted', { params: { id: briefId } }).catch(() => list);
    }
  }

  async function take(file: File) {
    refused = null;
    told = '';
    try {
      const { people, faults } = await peopleOfFile(file);
      const there = new Set(list.body.flatMap(contactKeys));
      const usable = people.filter((person) => contactKeys(person).length);
      const fresh = usable.filter((person) => !contactKeys(person).some((key) => there.has(key)));
      const bad = faults.length + people.length - usable.length;
      const numbered = fresh.map((person, i) => ({ ...person, id: `contacted-${list.body.length + i + 1}` }));
      await write(
        [...list.body, ...numbered],
        `${count(fresh.length)} added, ${count(usable.length - fresh.length)} already there${bad ? `, ${count(bad)} without a mail address or a name with a firm` : ''}.`
      );
    } catch (problem) {
      refused = new ApiProblem(0, 'Not read', `${file.name}: ${(problem as Error).message}`);
    }
  }
</script>

<div class="field" role="group" aria-label="People already contacted">
  <span class="bx--label">People already contacted</span>
  <div class="line">
    <span>{list.body.length ? `${count(list.body.length)} people` : 'Nobody yet'}</span>
    <FileButton label="Add a CSV" accept={['.csv', '.txt', '.tsv']} onfile={take} />
    <a href="/sources?list=contacted+{briefId}">Another kind of file…</a>
    {#if list.body.length}<Act onclick={() => write([], 'The list is empty.')}>Empty it</Act>{/if}
    <span class="soft" role="status">{told}</span>
  </div>
  <div class="hint">Known by mail address, or by name and firm. A trial leaves them out and says how many.</div>
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
