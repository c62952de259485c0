<script lang="ts">
  import { judgingAs as say } from '../words';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';

  interface Props {
    /** The second judge; null while the first one judges. */
    as: string | null;
    names: readonly string[];
    onjudge: (name: string) => unknown;
  }
  let { as, names, onjudge }: Props = $props();
  let naming = $state(false);
</script>

{#if naming}
  <TextInput
    label={say.judgingAs}
    inline
    aria-label={say.nameSecondJudge}
    maxlength="60"
    onchange={(event: Event & { currentTarget: HTMLInputElement }) => {
      naming = false;
      onjudge(event.currentTarget.value.trim());
    }}
    onkeydown={(event: KeyboardEvent) => {
      if (event.key === 'Escape') naming = false;
    }}
  />
{:else}
  <Select
    label={say.judgingAs}
    value={as ?? ''}
    onchange={(name) => {
      if (name === '+') naming = true;
      else onjudge(name);
    }}
  >
    <option value="">{say.firstJudge}</option>
    {#each names as name (name)}<option value={name}>{name}</option>{/each}
    <option value="+">{say.someoneElse}</option>
  </Select>
{/if}
