<script lang="ts">
  import { partChanges as say } from '../words';
  import type { PartChange } from '$core/semantics';

  let { parts }: { parts: readonly PartChange[] } = $props();
  const sign = { added: '+', removed: '−', moved: '→' };
  const most = 60;
</script>

<!-- It can be scrolled by keys. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<ul aria-label={say.changedParts} tabindex="0">
  {#each parts.slice(0, most) as part, i (i)}
    <li class={part.change}>
      <b><span aria-hidden="true">{sign[part.change]}</span> {part.change}</b>
      <span class="mono">{part.text}</span>
      <span class="soft">{part.before ? say.fromTo(part.before, part.place) : part.place}</span>
    </li>
  {/each}
</ul>
{#if parts.length > most}<p class="soft">{say.andMore(parts.length - most)}</p>{/if}

<style>
  ul {
    list-style: none;
    padding: 0;
    margin: 8px 0;
    max-height: 190px;
    overflow: auto;
    font-size: 13px;
  }
  li {
    display: grid;
    grid-template-columns: 92px minmax(120px, auto) 1fr;
    gap: 10px;
    padding: 2px 0;
    border-top: 1px solid var(--rule);
  }
  .added b {
    color: var(--accent);
  }
  .removed b {
    color: var(--warm);
  }
</style>
