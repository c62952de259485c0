<script lang="ts">
  interface Props {
    text: string;
    label?: string;
    /** What is copied, for those who do not see where the button stands. */
    of: string;
  }
  let { text, label = 'Copy', of }: Props = $props();

  let said = $state('');
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function copy() {
    clearTimeout(timer);
    try {
      await navigator.clipboard.writeText(text);
      said = 'Copied';
    } catch {
      said = 'Not allowed';
    }
    timer = setTimeout(() => (said = ''), 2000);
  }
</script>

<button class="quiet" onclick={copy} aria-label="{said || label}: {of}">{said || label}</button>

<style>
  button {
    padding: 1px 8px;
    font-size: 12px;
    white-space: nowrap;
  }
</style>
