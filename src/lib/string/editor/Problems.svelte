<script lang="ts">
  import { problems as say } from '../words';
  import Button from '$lib/ui/Button.svelte';
  import type { Problem } from '$core/language';

  interface Props {
    problems: readonly Problem[];
    text: string;
    onfix: (fix: NonNullable<Problem['fix']>) => void;
  }
  let { problems, text, onfix }: Props = $props();

  const words = { error: say.error, warning: say.warning, hint: 'hint' };
  const place = (from: number) => {
    const before = text.slice(0, from).split('\n');
    return before.length > 1 || text.includes('\n') ? say.line(before.length) : '';
  };
</script>

{#if problems.length}
  <ul aria-label={say.problemsInString}>
    {#each problems.slice(0, 6) as problem, i (i)}
      <li class={problem.severity}>
        <b>{words[problem.severity]}</b>
        <span>{problem.message} <span class="soft">{place(problem.from)}</span></span>
        {#if problem.fix}
          <Button onclick={() => onfix(problem.fix!)}>{problem.fix.label}</Button>
        {/if}
      </li>
    {/each}
    {#if problems.length > 6}<li class="hint">
        <span class="soft">{say.andMoreMarkedInString(problems.length - 6)}</span>
      </li>{/if}
  </ul>
{/if}

<style>
  ul {
    list-style: none;
    padding: 0;
    border: 1px solid var(--line);
    border-top: 0;
    background: var(--sheet-2);
  }
  li {
    display: flex;
    gap: 12px;
    align-items: center;
    padding: 5px 14px;
    font-size: 13px;
    border-top: 1px solid var(--rule);
  }
  li > span {
    flex: 1;
  }
  b {
    font-weight: 600;
    width: 108px;
    color: var(--warm);
  }
  .hint b {
    color: var(--soft);
  }
  .error {
    background: var(--warm-2);
  }
</style>
