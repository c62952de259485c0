<script lang="ts">
  import { depthRuler as say } from '../words';
  import { count, counted } from '$lib/marks/format';
  import { verdicts } from '$lib/marks/verdicts';
  import type { Answer } from '$api';

  type Trial = Answer<'readTrial'>;
  interface Props {
    trial: Trial;
    at: number;
    onopen: (index: number) => void;
  }
  let { trial, at, onopen }: Props = $props();

  const row = 22;
  const unseen = $derived({
    low: Math.max(0, trial.found.reported.low - trial.found.shown),
    high: Math.max(0, trial.found.reported.high - trial.found.shown)
  });
  const height = $derived(Math.max(300, trial.sample.length * row));
  const y = (rank: number) => 8 + (trial.people > 1 ? ((rank - 1) / (trial.people - 1)) * (height - 16) : 0);
  const ticks = $derived(
    [
      ...new Set([
        1,
        Math.round(trial.people / 4),
        Math.round(trial.people / 2),
        Math.round((3 * trial.people) / 4),
        trial.people
      ])
    ].filter((rank) => rank > 0)
  );

  let list: HTMLElement | undefined = $state();
  /** The list is one stop of Tab: arrows go along it. */
  function move(event: KeyboardEvent, from: number) {
    const last = trial.sample.length - 1;
    const to = { ArrowDown: from + 1, ArrowUp: from - 1, Home: 0, End: last }[event.key];
    if (to === undefined || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    event.stopPropagation();
    const next = Math.max(0, Math.min(last, to));
    onopen(next);
    list?.querySelectorAll<HTMLElement>('button')[next]?.focus();
  }
  $effect(() => {
    list?.querySelectorAll('button')[at]?.scrollIntoView({ block: 'nearest' });
  });
</script>

<div class="depth sheet" bind:this={list} role="group" aria-label={say.positionSampleInResult}>
  <h2 class="soft">{say.positionInResult}</h2>
  <div class="plot" style:height="{height}px">
    <svg width="62" {height} aria-hidden="true">
      <line x1="52" x2="52" y1={y(1)} y2={y(trial.people)} stroke="var(--ink)" />
      {#each ticks as rank (rank)}
        <line x1="46" x2="52" y1={y(rank)} y2={y(rank)} stroke="var(--ink)" />
        <text x="42" y={y(rank) + 4} text-anchor="end" fill="var(--soft)" font-size="11">{count(rank)}</text>
      {/each}
      {#each trial.sample as { rank, verdict }, i (rank)}
        <line x1="53" x2="62" y1={y(rank)} y2={i * row + row / 2} stroke="var(--line)" />
        <circle
          cx="52"
          cy={y(rank)}
          r={i === at ? 4.5 : 3}
          fill={verdict ? verdicts[verdict.verdict].colour : 'var(--sheet)'}
          stroke={verdict ? 'none' : 'var(--grey)'}
        />
      {/each}
    </svg>
    <ol>
      {#each trial.sample as { person, verdict, rank, unlisted }, i (rank)}
        <li style:height="{row}px">
          <button
            aria-current={i === at}
            tabindex={i === at ? 0 : -1}
            onclick={() => onopen(i)}
            onkeydown={(event) => move(event, i)}
          >
            <span
              class="sign"
              style:color={i === at ? 'inherit' : verdict ? verdicts[verdict.verdict].colour : 'var(--grey)'}
              >{verdict ? verdicts[verdict.verdict].sign : '·'}</span
            >
            <span class="name" class:open={unlisted.length}>{person.name}</span><span class="visually-hidden"
              >{verdict ? verdicts[verdict.verdict].word : say.notJudged}{unlisted.length ? say.possible : ''}</span
            >{#if unlisted.length}<span class="possible" aria-hidden="true">◇</span>{/if}
          </button>
        </li>
      {/each}
    </ol>
  </div>
  {#if unseen.high > 0}
    <p class="beyond">
      <i></i><span>{say.beyondShown(count(trial.found.shown))}<br />{say.unseen(counted(unseen))}</span>
    </p>
  {/if}
</div>

<style>
  .depth {
    overflow: auto;
    padding: 10px 8px 10px 0;
  }
  h2 {
    padding-left: 12px;
    margin-bottom: 8px;
    font-size: 13px;
  }
  .plot {
    display: flex;
  }
  .possible {
    color: var(--soft);
    margin-left: auto;
  }
  ol {
    list-style: none;
    padding: 0;
    flex: 1;
    min-width: 0;
  }
  button {
    font: inherit;
    background: none;
    border: 0;
    cursor: pointer;
    text-align: left;
    display: flex;
    gap: 6px;
    width: 100%;
    padding: 1px 6px;
    font-size: 12.5px;
    line-height: 20px;
  }
  .name {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .sign {
    width: 12px;
    font-weight: 700;
  }
  button[aria-current='true'] {
    background: var(--ridge);
    color: var(--ridge-ink);
  }
  .beyond {
    display: flex;
    gap: 10px;
    font-size: 12px;
    color: var(--soft);
    padding: 6px 8px 0 46px;
  }
  .beyond i {
    width: 12px;
    flex: none;
    background: repeating-linear-gradient(45deg, var(--line) 0 3px, transparent 3px 6px);
  }
</style>
