<script lang="ts">
  import type { Component, Snippet } from 'svelte';
  import type { HTMLButtonAttributes } from 'svelte/elements';
  import Button from 'carbon-components-svelte/src/Button/Button.svelte';

  interface Props extends Omit<HTMLButtonAttributes, 'tabindex'> {
    tabindex?: number | string;
    /** `main` is the one that a screen is for; `plain` looks like a word of the text. */
    look?: 'quiet' | 'main' | 'plain' | 'danger';
    icon?: Component;
    ref?: HTMLButtonElement | null;
    class?: string;
    children?: Snippet;
  }
  let { look = 'quiet', ref = $bindable(null), class: more = '', children, ...rest }: Props = $props();
  const kinds = { quiet: 'tertiary', main: 'primary', plain: 'ghost', danger: 'danger-tertiary' } as const;
</script>

<!-- Carbon's small button, as tight as Eave's pages are. -->
<Button kind={kinds[look]} size="small" bind:ref class="act {look} {more}" {...rest as object}>
  {@render children?.()}
</Button>
