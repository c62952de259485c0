<script lang="ts">
  import type { Snippet } from 'svelte';
  import TooltipDefinition from 'carbon-components-svelte/src/TooltipDefinition/TooltipDefinition.svelte';

  interface Props {
    /** One sentence that explains the words inside. */
    text: string;
    align?: 'start' | 'center' | 'end';
    class?: string;
    children: Snippet;
  }
  let { text, align = 'start', class: more = '', children }: Props = $props();
</script>

<!-- A term with an explanation on hover and focus. -->
<TooltipDefinition tooltipText={text} {align} portalTooltip class="tooltip {more}">
  {@render children()}
</TooltipDefinition>
