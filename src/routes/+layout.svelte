<script lang="ts">
  import { layout as say } from '$lib/frame/words';
  import '@fontsource/ibm-plex-sans/300.css';
  import '@fontsource/ibm-plex-sans/400.css';
  import '@fontsource/ibm-plex-sans/600.css';
  import '@fontsource/ibm-plex-mono/400.css';
  import '@fontsource/ibm-plex-mono/600.css';
  import '@fontsource/noto-emoji/400.css';
  import 'carbon-components-svelte/css/all.css';
  import '$lib/theme/eave.css';
  import { onMount, type Snippet } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { nameTab } from '$lib/api/call';
  import KeySheet from '$lib/frame/KeySheet.svelte';
  import Ridge from '$lib/frame/Ridge.svelte';
  import { keysOf } from '$lib/frame/keys';
  import { brief as briefPath } from '$lib/frame/paths';
  import { steps } from '$lib/frame/steps';
  import { theme } from '$lib/frame/theme.svelte';
  import { reload } from '$lib/kept/reload';
  import Toasts from '$lib/ui/Toasts.svelte';

  let { children }: { children: Snippet } = $props();
  let keySheet = $state(false);

  onMount(() => {
    nameTab();
    theme.start();
  });

  // Who is who may not be known yet when a page loads: how many are judged is asked again until it is.
  $effect(() => {
    if (page.data.brief?.judged !== null) return;
    const again = setTimeout(() => void reload('eave:brief'), 2000);
    return () => clearTimeout(again);
  });

  const onkeydown = keysOf('everywhere', {
    sheet: () => (keySheet = true),
    step: (event) => {
      const brief = page.data.brief;
      const step = steps[Number(event.key) - 1];
      if (brief && step) void goto(briefPath(brief.id, step.id));
    }
  });
</script>

<svelte:window {onkeydown} />
<svelte:head><title>{page.data.brief ? say.eave(page.data.brief.name) : say.eave2}</title></svelte:head>

<Ridge brief={page.data.brief ?? null} onkeysheet={() => (keySheet = true)} />
<main>{@render children()}</main>
<Toasts />
<KeySheet bind:open={keySheet} />

<style>
  main {
    padding: 14px 20px 40px;
  }
</style>
