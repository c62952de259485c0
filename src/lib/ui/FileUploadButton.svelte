<script lang="ts">
  import FileUploaderButton from 'carbon-components-svelte/src/FileUploader/FileUploaderButton.svelte';

  interface Props {
    label: string;
    /** Endings and types that are offered. */
    accept: string[];
    disabled?: boolean;
    onfile: (file: File) => void;
  }
  let { label, accept, disabled = false, onfile }: Props = $props();
</script>

<!-- Chooses one file. -->
<FileUploaderButton
  kind="tertiary"
  size="small"
  labelText={label}
  {accept}
  {disabled}
  disableLabelChanges
  on:change={({ detail }: CustomEvent<readonly File[]>) => {
    const [file] = detail;
    if (file) onfile(file);
  }}
/>
