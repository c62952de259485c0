<script lang="ts">
  import type { Component, Snippet } from 'svelte';
  import type { HTMLButtonAttributes } from 'svelte/elements';
  import CarbonButton from 'carbon-components-svelte/src/Button/Button.svelte';

  interface Props extends Omit<HTMLButtonAttributes, 'tabindex'> {
    tabindex?: number | string;
    /** Carbon's kinds, drawn smaller. A screen has one `primary` button; `ghost` looks like a word of the text. */
    kind?: 'tertiary' | 'primary' | 'ghost' | 'danger';
    icon?: Component;
    ref?: HTMLButtonElement | null;
    class?: string;
    children?: Snippet;
  }
  let { kind = 'tertiary', ref = $bindable(null), class: more = '', children, ...rest }: Props = $props();
</script>

<!-- Carbon's small button with Eave's tighter padding. -->
<CarbonButton
  kind={kind === 'danger' ? 'danger-tertiary' : kind}
  size="small"
  bind:ref
  class="button {kind} {more}"
  {...rest as object}
>
  {@render children?.()}
</CarbonButton>
