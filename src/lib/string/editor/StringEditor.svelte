<script lang="ts">
  import { onMount } from 'svelte';
  import { isolateHistory, redo, undo } from '@codemirror/commands';
  import type { EditorView } from '@codemirror/view';
  import type { Problem } from '$core/language';
  import { readAgain, showProblems, stringEditor, type EditorContext } from './editor';

  interface Props extends EditorContext {
    text: string;
    /** Problems of the text as it stands; null while they are not known yet. */
    problems: readonly Problem[] | null;
  }
  let { text, problems, ...context }: Props = $props();

  let host: HTMLDivElement;
  let view: EditorView | undefined = $state.raw();

  onMount(() => {
    const made = (view = stringEditor(host, text, {
      change: (next) => context.change(next),
      sets: () => context.sets(),
      offers: () => context.offers(),
      pasted: (pasted, clean, from) => context.pasted(pasted, clean, from),
      countAlone: (query) => context.countAlone(query)
    }));
    return () => made.destroy();
  });

  // A text set from outside replaces the document as one edit, so that the editor's undo restores it.
  $effect(() => {
    const next = text;
    if (view && view.state.doc.toString() !== next)
      view.dispatch({
        changes: { from: 0, to: view.state.doc.length, insert: next },
        annotations: isolateHistory.of('full')
      });
  });
  $effect(() => {
    context.sets();
    if (view) readAgain(view);
  });
  $effect(() => {
    if (view && problems && view.state.doc.toString() === text) showProblems(view, problems);
  });

  export const takeBack = () => view && undo(view);
  export const doAgain = () => view && redo(view);

  /** Puts other text where some was pasted, unless it has changed since. */
  export function replacePasted(from: number, pasted: string, other: string): void {
    if (view?.state.sliceDoc(from, from + pasted.length) === pasted)
      view.dispatch({ changes: { from, to: from + pasted.length, insert: other } });
    view?.focus();
  }
</script>

<div class="editor" bind:this={host}></div>

<style>
  .editor {
    background: var(--sheet);
    border: 1px solid var(--line);
    border-left: 4px solid var(--accent);
  }
  .editor :global(.cm-editor) {
    max-height: 240px;
    min-height: 76px;
  }
  .editor :global(.cm-scroller) {
    font:
      13.5px/19px 'IBM Plex Mono',
      'Noto Emoji',
      monospace;
    overflow: auto;
  }
</style>
