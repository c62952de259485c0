<script lang="ts">
  import { note as say } from '../words';
  import TextArea from '$lib/ui/TextArea.svelte';
  import { untrack } from 'svelte';
  import { ApiProblem, call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';

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
  let field: HTMLTextAreaElement | null = $state(null);
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
      const kept = await call('writeNote', {
        params: { id: briefId },
        body: { sourceId, personId, text, revision: known }
      });
      known = kept?.revision ?? 0;
      said = kept ? 'kept' : say.removed;
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

<TextArea
  label={say.note}
  bind:ref={field}
  bind:value={text}
  rows="2"
  maxlength="2000"
  placeholder={say.noteAboutThisPersonW}
  onchange={keep}
  onkeydown={(event: KeyboardEvent & { currentTarget: HTMLElement }) => {
    if (event.key === 'Escape') event.currentTarget.blur();
  }}
/>
<span class="soft" role="status">{said}</span>
<Refused problem={refused} />

<style>
</style>
