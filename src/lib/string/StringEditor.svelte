<script lang="ts">
  import { onMount } from 'svelte';
  import type { EditorView } from '@codemirror/view';
  import { stringEditor } from './editor';

  interface Props {
    text: string;
    onchange: (text: string) => void;
    onrun: () => void;
  }
  let { text, onchange, onrun }: Props = $props();

  let host: HTMLDivElement;
  let view: EditorView | undefined;

  onMount(() => {
    view = stringEditor(host, text, { change: (next) => onchange(next), run: () => onrun() });
    return () => view?.destroy();
  });

  // A text set from outside replaces what stands there as one edit, so that the editor's undo brings it back.
  $effect(() => {
    const next = text;
    if (view && view.state.doc.toString() !== next)
      view.dispatch({ changes: { from: 0, to: view.state.doc.length, insert: next } });
  });
</script>

<div class="editor" bind:this={host}></div>

<style>
  .editor {
    background: var(--sheet);
    border: 1px solid var(--line);
    border-left: 4px solid var(--accent);
  }
  .editor :global(.cm-editor) {
    max-height: 270px;
    min-height: 76px;
  }
  .editor :global(.cm-scroller) {
    font:
      14.5px/25px 'IBM Plex Mono',
      monospace;
    overflow: auto;
  }
</style>
