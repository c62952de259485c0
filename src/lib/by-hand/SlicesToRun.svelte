<script lang="ts">
  import { slicesToRun as say } from './words';
  import Button from '$lib/ui/Button.svelte';
  import { count } from '$lib/marks/format';
  import type { Answer } from '$api';

  interface Props {
    searches: Answer<'readDiary'>['searches'];
    /** The selected slice, and the next one to run; -1 for none. */
    at: number;
    next: number;
    onchange: (at: number) => void;
  }
  let { searches, at, next, onchange }: Props = $props();

  const slices = $derived(
    searches.flatMap(({ slice, rows }, i) => (slice && slice.state !== 'cut' ? [{ slice, rows, i }] : []))
  );
  const read = $derived(slices.filter(({ slice }) => slice.state === 'read').length);
  const signs = { read: '✓', waiting: '·', stuck: '!', 'left out': '–', cut: '' } as const;
  const words = {
    read: say.read,
    waiting: say.notRun,
    stuck: say.overLimit,
    'left out': say.excluded,
    cut: ''
  } as const;
</script>

<!-- The slices of a harvest here: what is done, and what is next. -->
<section class="sheet" aria-label={say.slices}>
  <h2>{say.slicesRead(count(read), count(slices.length))}</h2>
  <ol>
    {#each slices as { slice, rows, i } (slice.id)}
      <li>
        <Button kind="ghost" aria-current={i === at ? 'step' : undefined} onclick={() => onchange(i)}>
          <span class="sign">{i === next ? '▸' : signs[slice.state]}</span>
          <span class="what">{slice.what}</span>
          <span class="soft"
            >{i === next ? say.next : words[slice.state]}{rows || slice.state === 'read'
              ? `, ${count(rows)}`
              : slice.expected === null
                ? ''
                : `, ≈ ${count(Math.round(slice.expected))}`}</span
          >
        </Button>
      </li>
    {/each}
  </ol>
</section>

<style>
  section {
    padding: 10px 14px;
    font-size: 13px;
    overflow: auto;
  }
  h2 {
    font-size: 13.5px;
    margin-bottom: 6px;
  }
  ol {
    list-style: none;
    padding: 0;
    margin: 0;
  }
  li {
    border-top: 1px solid var(--rule);
  }
  li :global(.button) {
    width: 100%;
    max-width: none;
    display: flex;
    gap: 8px;
    justify-content: flex-start;
    text-align: left;
    white-space: normal;
    padding: 5px 2px;
    height: auto;
  }
  li :global(.button[aria-current]) {
    background: var(--accent-2);
  }
  .sign {
    width: 12px;
    color: var(--accent);
  }
  .what {
    flex: 1;
    overflow-wrap: anywhere;
  }
</style>
