<script lang="ts">
  import TextArea from 'carbon-components-svelte/src/TextArea/TextArea.svelte';

  interface Props {
    label: string;
    hint: string;
    lines: readonly string[];
    /** Lines shown at least; it grows with what it holds, up to some more. */
    rows?: number;
    invalid?: string | undefined;
    onchange: (lines: string[]) => void;
  }
  let { label, hint, lines, rows = 2, invalid, onchange }: Props = $props();

  const read = (written: string) =>
    written
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean);

  // Text stays as typed, unless the lines change from outside, for example by undo.
  // svelte-ignore state_referenced_locally
  let text = $state(lines.join('\n'));
  $effect.pre(() => {
    if (read(text).join('\n') !== lines.join('\n')) text = lines.join('\n');
  });
</script>

<TextArea
  labelText={label}
  helperText={hint}
  rows={Math.max(rows, Math.min(12, text.split('\n').length + 1))}
  value={text}
  invalid={invalid !== undefined}
  invalidText={invalid ?? ''}
  on:input={(event) => {
    text = (event.target as HTMLTextAreaElement).value;
    onchange(read(text));
  }}
/>
