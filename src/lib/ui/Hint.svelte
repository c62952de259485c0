<script lang="ts">
  import type { Snippet } from 'svelte';
  import TooltipDefinition from 'carbon-components-svelte/src/TooltipDefinition/TooltipDefinition.svelte';

  interface Props {
    /** What the words inside mean, in a sentence. */
    says: string;
    align?: 'start' | 'center' | 'end';
    class?: string;
    children: Snippet;
  }
  let { says, align = 'start', class: more = '', children }: Props = $props();
</script>

<!-- A term that is explained where it stands, to the mouse and to the keyboard. -->
<TooltipDefinition tooltipText={says} {align} portalTooltip class="hint {more}">
  {@render children()}
</TooltipDefinition>
