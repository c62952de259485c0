<script lang="ts">
  import { untrack } from 'svelte';
  import { ApiProblem, call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { contract } from '$server/api/contract';

  interface Props {
    briefId: string;
    sourceId: string;
    personId: string;
    note: { text: string; revision: number } | null;
    onkept: () => void;
  }
  let { briefId, sourceId, personId, note, onkept }: Props = $props();

  let text = $state(untrack(() => note?.text ?? ''));
  let known = untrack(() => note?.revision ?? 0);
  let refused: unknown = $state(null);
  let said = $state('');
  let field: HTMLTextAreaElement | undefined = $state();
  export const focus = () => field?.focus();

  // What is written elsewhere comes in while nothing is being written here.
  $effect(() => {
    if (note && note.revision > known && document.activeElement !== field) {
      text = note.text;
      known = note.revision;
    }
  });
  async function keep() {
    refused = null;
    said = '';
    try {
      const kept = await call(contract.writeNote, {
        params: { id: briefId },
        body: { sourceId, personId, text, revision: known }
      });
      known = kept?.revision ?? 0;
      said = kept ? 'kept' : 'taken away';
      onkept();
    } catch (problem) {
      refused = problem;
      // Theirs is shown beside what was typed; keeping again follows it.
      if (problem instanceof ApiProblem && problem.status === 409) {
        const current = problem.body.current as { text: string; revision: number } | null;
        known = current?.revision ?? 0;
        if (current) text = `${text}\n${current.text}`;
      }
    }
  }
</script>

<label
  >Note <span class="soft" role="status">{said}</span>
  <textarea
    bind:this={field}
    bind:value={text}
    rows="2"
    maxlength="2000"
    placeholder="what to remember of them (W)"
    onchange={keep}
    onkeydown={(event) => {
      if (event.key === 'Escape') event.currentTarget.blur();
    }}></textarea></label
>
<Refused problem={refused} />

<style>
  label {
    display: block;
    font-size: 13px;
    color: var(--soft);
  }
  textarea {
    width: 100%;
    box-sizing: border-box;
    font: inherit;
    color: var(--ink);
    background: var(--sheet-2);
    border: 1px solid var(--line);
    padding: 4px 8px;
    resize: vertical;
  }
</style>
