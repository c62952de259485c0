<script lang="ts">
  import { depthRead as say } from './words';
  import { count } from '$lib/marks/format';

  interface Props {
    /** Pages that the result has, those read, and those to open. */
    pages: number | null;
    read: readonly number[];
    drawn: readonly number[];
  }
  let { pages, read, drawn }: Props = $props();

  const height = 250;
  const deepest = $derived(Math.max(pages ?? 1, ...read, 1));
  const y = (page: number) => 10 + ((page - 0.5) / deepest) * (height - 20);
  const toOpen = $derived(drawn.filter((page) => !read.includes(page)));
  /** Labels that would overlap are dropped; those of pages already read stay. */
  const labelled = $derived.by(() => {
    const taken: number[] = [];
    return [...read.map((page) => ({ page, isRead: true })), ...toOpen.map((page) => ({ page, isRead: false }))].filter(
      ({ page }) => {
        if (taken.some((other) => Math.abs(y(other) - y(page)) < 13)) return false;
        taken.push(page);
        return true;
      }
    );
  });
</script>

<!-- Where in the result the pages stand that were read, and those to open. -->
<svg
  width="220"
  {height}
  role="img"
  aria-label={say.readToOpen(read.length, pages ? say.ofAbout(count(pages)) : '', toOpen.length)}
  font-size="12"
>
  <line x1="40" x2="40" y1="10" y2={height - 10} stroke="var(--ink)" />
  <text x="34" y="14" text-anchor="end" fill="var(--soft)">1</text>
  <text x="34" y={height - 8} text-anchor="end" fill="var(--soft)">{count(deepest)}</text>
  {#each toOpen as page (page)}
    <rect x="46" y={y(page) - 4} width="34" height="8" fill="none" stroke="var(--accent)" stroke-dasharray="3 2" />
  {/each}
  {#each read as page (page)}
    <rect x="46" y={y(page) - 4} width="34" height="8" fill="var(--accent)" />
  {/each}
  {#each labelled as { page, isRead } (page)}
    <text x="88" y={y(page) + 4} fill={isRead ? 'var(--ink)' : 'var(--soft)'}
      >{say.page(count(page), isRead ? say.read : say.toOpen)}</text
    >
  {/each}
</svg>
