<script lang="ts">
  import type { Snippet } from 'svelte';
  import Accordion from 'carbon-components-svelte/src/Accordion/Accordion.svelte';
  import AccordionItem from 'carbon-components-svelte/src/Accordion/AccordionItem.svelte';

  interface Props {
    title: string;
    open?: boolean;
    /** Said in place of the title, where it is more than words. */
    heading?: Snippet;
    children: Snippet;
  }
  let { title, open = $bindable(false), heading, children }: Props = $props();
</script>

<!-- What is looked at now and then. -->
<Accordion size="sm" align="start" class="fold">
  <AccordionItem bind:open {title}>
    <svelte:fragment slot="title"
      >{#if heading}{@render heading()}{:else}{title}{/if}</svelte:fragment
    >
    {@render children()}
  </AccordionItem>
</Accordion>
