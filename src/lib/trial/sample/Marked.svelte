<script lang="ts">
  import { partGlyph, partTint } from '$lib/marks/parts';
  import type { Highlight } from '$core/semantics';

  let { text, marks }: { text: string; marks: readonly Highlight[] } = $props();

  const pieces = $derived.by(() => {
    const found: { text: string; part: number | null }[] = [];
    let at = 0;
    for (const mark of marks) {
      if (mark.from > at) found.push({ text: text.slice(at, mark.from), part: null });
      found.push({ text: text.slice(mark.from, mark.to), part: mark.part });
      at = mark.to;
    }
    if (at < text.length) found.push({ text: text.slice(at), part: null });
    return found;
  });
</script>

{#each pieces as piece, i (i)}{#if piece.part === null}{piece.text}{:else}<mark
      style:border-color={partTint(piece.part)}
      >{piece.text}<sup style:color={partTint(piece.part)}>{partGlyph(piece.part)}</sup></mark
    >{/if}{/each}

<style>
  mark {
    background: none;
    color: inherit;
    border-bottom: 2.5px solid;
  }
  sup {
    font-size: 9px;
    margin-left: 2px;
  }
</style>
