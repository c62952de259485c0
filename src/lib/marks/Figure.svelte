<script lang="ts">
  import type { Snippet } from 'svelte';

  type Name =
    | 'reported'
    | 'shown'
    | 'certain'
    | 'possible only'
    | 'estimated'
    | 'precision'
    | 'fits'
    | 'judged'
    | 'harvested'
    | 'shortlisted'
    | 'to export';
  interface Props {
    /** What the figure is called everywhere. */
    name: Name;
    /** The figure itself, as it is known: a test holds screens to each other by it. */
    value: number | null;
    source?: string;
    version?: number | undefined;
    children: Snippet;
  }
  let { name, value, source, version, children }: Props = $props();
</script>

<span data-figure={name} data-value={value} data-source={source} data-version={version}>{@render children()}</span>
