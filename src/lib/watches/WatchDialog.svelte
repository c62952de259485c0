<script lang="ts">
  import { watchDialog as say } from './words';
  import { toast } from '$lib/ui/toasts.svelte';
  import type { Snippet } from 'svelte';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import type { Body } from '$api';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import { firstRhythm } from './rhythm-words';
  import { usualThresholds } from '$core/changes';
  import RhythmFields from './RhythmFields.svelte';
  import ThresholdFields from './ThresholdFields.svelte';

  type NewWatch = Body<'createWatch'>;
  /** What is watched, and the budget of it. */
  type What = Pick<NewWatch, 'budget'> &
    (Pick<Extract<NewWatch, { from: unknown }>, 'from'> | Pick<Extract<NewWatch, { people: unknown }>, 'people'>);
  interface Props {
    briefId: string;
    heading: string;
    /** What will happen. */
    about: string;
    name: string;
    /** Whether there is anything to watch. */
    ready: boolean;
    what: () => What;
    /** Something that was refused beside it. */
    problem?: unknown;
    open: boolean;
    children: Snippet;
  }
  let {
    briefId,
    heading,
    about,
    name = $bindable(),
    ready,
    what,
    problem = null,
    open = $bindable(),
    children
  }: Props = $props();

  let rhythm = $state(firstRhythm());
  let thresholds = $state(usualThresholds);
  let refused: unknown = $state(null);
  async function begin() {
    refused = null;
    try {
      const body = { name: name.trim(), rhythm: $state.snapshot(rhythm), thresholds, ...what() };
      await call('createWatch', { params: { id: briefId }, body });
      open = false;
      toast(say.watchingUpdatesAppearOnHome(name.trim()), { href: '/', text: say.home });
    } catch (problem) {
      refused = problem;
    }
  }
</script>

<!-- Begins a watch: what it is called and when it comes again; what is watched is said by who opens it. -->
<Modal
  bind:open
  modalHeading={heading}
  primaryButtonText={say.startWatching}
  primaryButtonDisabled={!name.trim() || !ready}
  secondaryButtonText={say.cancel}
  on:click:button--secondary={() => (open = false)}
  on:submit={begin}
>
  <Refused problem={refused ?? problem} />
  <p>{about}</p>
  <TextInput label={say.name} maxlength="200" bind:value={name} />
  <RhythmFields bind:rhythm />
  <ThresholdFields bind:thresholds />
  {@render children()}
</Modal>
