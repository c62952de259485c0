<script lang="ts">
  import type { Snippet } from 'svelte';
  import CarbonAccordion from 'carbon-components-svelte/src/Accordion/Accordion.svelte';
  import AccordionItem from 'carbon-components-svelte/src/Accordion/AccordionItem.svelte';

  interface Props {
    title: string;
    open?: boolean;
    /** Replaces the title when it needs more than text. */
    heading?: Snippet;
    children: Snippet;
  }
  let { title, open = $bindable(false), heading, children }: Props = $props();
</script>

<!-- One section that opens and closes. -->
<CarbonAccordion size="sm" align="start" class="accordion">
  <AccordionItem bind:open {title}>
    <svelte:fragment slot="title"
      >{#if heading}{@render heading()}{:else}{title}{/if}</svelte:fragment
    >
    {@render children()}
  </AccordionItem>
</CarbonAccordion>
