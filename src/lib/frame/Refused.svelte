<script lang="ts">
  import { refused as say } from './words';
  import InlineNotification from 'carbon-components-svelte/src/Notification/InlineNotification.svelte';
  import { ApiProblem } from '$lib/api/call';

  let { problem }: { problem: unknown } = $props();

  const title = $derived(problem instanceof ApiProblem ? problem.title : say.somethingWentWrong);
  const detail = $derived(problem instanceof Error ? problem.message : String(problem));
</script>

{#if problem}
  <InlineNotification lowContrast kind="error" hideCloseButton {title} subtitle={detail} />
{/if}
