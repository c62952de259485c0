<script lang="ts">
  import { judgingAs as say } from './words';
  import Field from '$lib/ui/Field.svelte';
  import Pick from '$lib/ui/Pick.svelte';

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
  <Field
    label={say.judgingAs}
    inline
    aria-label={say.nameOfTheSecondJudge}
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
  <Pick
    label={say.judgingAs}
    value={as ?? ''}
    onpick={(name) => {
      if (name === '+') naming = true;
      else onjudge(name);
    }}
  >
    <option value="">{say.firstJudge}</option>
    {#each names as name (name)}<option value={name}>{name}</option>{/each}
    <option value="+">{say.someoneElse}</option>
  </Pick>
{/if}
