<script lang="ts">
  import { chartFrame as say } from './words';
  import ContentSwitcher from 'carbon-components-svelte/src/ContentSwitcher/ContentSwitcher.svelte';
  import Switch from 'carbon-components-svelte/src/ContentSwitcher/Switch.svelte';
  import Button from '$lib/ui/Button.svelte';
  import type { Snippet } from 'svelte';
  import { saveFile } from '$lib/frame/save-file';
  import { pngFile, svgFile } from './chart-file';

  interface Props {
    title: string;
    /** What one sees, in a line. */
    about: string;
    /** Name of a saved file, without its ending. */
    file: string;
    chart: Snippet;
    /** The same figures as a table. */
    table: Snippet;
    children?: Snippet | undefined;
  }
  let { title, about, file, chart, table, children }: Props = $props();

  let shown = $state(0);
  const asTable = $derived(shown === 1);
  let drawn: HTMLElement | undefined = $state();
  let problem = $state('');
  const svg = () => drawn!.querySelector('svg')!;
  async function savePng() {
    problem = '';
    try {
      saveFile(await pngFile(svg()), `${file}.png`, 'image/png');
    } catch (error) {
      problem = (error as Error).message;
    }
  }
</script>

<section class="sheet" aria-label={title}>
  <header>
    <h2>{title}</h2>
    <span class="acts">
      <ContentSwitcher size="sm" aria-label={say.view(title)} bind:selectedIndex={shown}>
        <Switch text={say.chart} />
        <Switch text={say.table} />
      </ContentSwitcher>
      {#if !asTable}
        <Button
          aria-label={say.downloadAsSvg(title)}
          onclick={() => saveFile(svgFile(svg()), `${file}.svg`, 'image/svg+xml')}>{say.svg}</Button
        >
        <Button aria-label={say.downloadAsPng(title)} onclick={savePng}>{say.png}</Button>
      {/if}
    </span>
  </header>
  <p class="soft">{about}</p>
  {@render children?.()}
  {#if problem}<p role="alert">{problem}</p>{/if}
  {#if asTable}<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="table" role="region" aria-label={say.asTable(title)} tabindex="0">{@render table()}</div>{:else}<div
      bind:this={drawn}
    >
      {@render chart()}
    </div>{/if}
</section>

<style>
  .acts :global(.bx--content-switcher) {
    width: auto;
    height: 30px;
  }
  .acts :global(.bx--content-switcher-btn) {
    width: auto;
    padding: 2px 10px;
    font-size: 12px;
    border: 1px solid var(--line);
    border-radius: 0;
    color: var(--ink);
    background: var(--sheet);
  }
  .acts :global(.bx--content-switcher-btn::after),
  .acts :global(.bx--content-switcher-btn::before) {
    display: none;
  }
  .acts :global(.bx--content-switcher--selected) {
    background: var(--accent-2);
    border-color: var(--accent);
    color: var(--accent);
  }
  section {
    padding: 10px 14px;
    min-width: 0;
    font-size: 12.5px;
  }
  header {
    display: flex;
    gap: 8px;
    align-items: baseline;
  }
  h2 {
    flex: 1;
  }
  .acts {
    display: flex;
    gap: 4px;
  }
  .acts :global(.button.bx--btn) {
    font-size: 11.5px;
    padding: 1px 7px;
  }
  .table {
    overflow: auto;
    max-height: 320px;
    margin-top: 8px;
  }
  div :global(svg) {
    width: 100%;
    height: auto;
    display: block;
    font-size: 11px;
  }
  /* What every chart draws alike: lines to read by, and words that are less important. */
  div :global(.rule) {
    stroke: var(--rule);
  }
  div :global(.tick) {
    fill: var(--soft);
  }
</style>
