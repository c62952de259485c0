<script lang="ts">
  import { stringPage as say } from '$lib/string/words';
  import { onMount, untrack } from 'svelte';
  import OverflowMenu from 'carbon-components-svelte/src/OverflowMenu/OverflowMenu.svelte';
  import OverflowMenuItem from 'carbon-components-svelte/src/OverflowMenu/OverflowMenuItem.svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import CertainOnly from '$lib/frame/CertainOnly.svelte';
  import Refused from '$lib/frame/Refused.svelte';
  import { keysOf } from '$lib/frame/keys';
  import { brief as briefPath } from '$lib/frame/paths';
  import { followSources } from '$lib/kept/follow-sources';
  import KeptNotice from '$lib/kept/KeptNotice.svelte';
  import BuiltDifference from '$lib/string/versions/BuiltDifference.svelte';
  import PasteNotice from '$lib/string/editor/PasteNotice.svelte';
  import Problems from '$lib/string/editor/Problems.svelte';
  import StringEditor from '$lib/string/editor/StringEditor.svelte';
  import StringPanels from '$lib/string/page/StringPanels.svelte';
  import { runCostWords } from '$lib/string/page/run-cost-words';
  import { StringPage } from '$lib/string/page/string-page.svelte';
  import Button from '$lib/ui/Button.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
  import { applyEdits } from '$core/language';
  import type { CleanPaste } from '$core/formats';

  let { data } = $props();

  const string = new StringPage(() => data);
  let editor: StringEditor;
  let pasted: { raw: string; clean: CleanPaste; from: number } | null = $state(null);

  $effect(() => string.readString());
  // Figures follow the typing after a short pause.
  $effect(() => {
    const { text, narrowed, blocked } = string;
    const sources = string.counted.map(({ id }) => id);
    void string.judgedHere;
    if (blocked) return;
    const timer = setTimeout(() => untrack(() => string.ledgers.ask(text, sources, narrowed)), 40);
    return () => clearTimeout(timer);
  });
  // Proposals take longer to measure: they wait until the typing rests.
  $effect(() => {
    const { text, blocked } = string;
    const sources = string.counted.map(({ id }) => id);
    void [string.judgedHere, data.brief.judged];
    if (blocked || !sources.length) return;
    const timer = setTimeout(() => untrack(() => string.best.ask(text, sources)), 400);
    return () => clearTimeout(timer);
  });

  const onkeydown = keysOf(
    'string',
    {
      run: ({ target }) => {
        if (!(target as Element).closest('[role="dialog"]')) void string.run();
      }
    },
    true
  );

  onMount(() => {
    if (page.url.searchParams.has('build')) {
      // An edited string is never overwritten unasked: the button does that.
      if (!string.text.trim()) void string.build();
      void goto(briefPath(data.brief.id, 'string'), { replaceState: true, keepFocus: true });
    }
    const unwatch = followSources(() => data.sources);
    return () => {
      unwatch();
      string.stop();
    };
  });
</script>

<svelte:window {onkeydown} />

<div class="strip">
  <h1>
    {string.same
      ? say.version(string.same.number)
      : data.versions.length
        ? say.afterVersion(data.versions[0]!.number)
        : say.string}
  </h1>
  <p class="soft" title={string.reading.description}>
    {(string.isRead && string.reading.description) || string.same?.note || data.brief.sentence}
  </p>
  <KeptNotice document={string.draft} history={false} />
  <Button onclick={string.build}>{say.buildFromPersona}</Button>
  <Button disabled={string.blocked} onclick={string.layOut}>{say.format}</Button>
  <Button kind="primary" onclick={string.run} disabled={string.running}
    >{say.runOnSources(string.runAt.length, runCostWords(string.runCost))}
    <kbd>{say.ctrl}</kbd></Button
  >
  <OverflowMenu flipped size="sm" aria-label={say.moreActions}>
    <OverflowMenuItem text={say.undo} on:click={() => editor.takeBack()} />
    <OverflowMenuItem text={say.redo} on:click={() => editor.doAgain()} />
    <OverflowMenuItem text={say.onOneLine} disabled={string.blocked} on:click={string.onOneLine} />
    <OverflowMenuItem
      text={say.shorten}
      disabled={!string.isRead || !string.reading.shorter}
      on:click={() => string.write(string.reading.shorter!)}
    />
    <OverflowMenuItem text={say.importFilePeople} on:click={() => goto('/sources')} />
  </OverflowMenu>
</div>

<Refused problem={string.refused} />

<StringEditor
  bind:this={editor}
  text={string.text}
  problems={string.isRead ? string.reading.problems : null}
  change={(next) => string.write(next, 'text')}
  sets={() => string.sets}
  offers={() => ({ sets: data.wordSets, titles: string.titles, own: string.ownFields, valuesOf: string.valuesOf })}
  pasted={(raw, clean, from) => (pasted = { raw, clean, from })}
  countAlone={(query) => string.countAlone(query)}
/>
{#if pasted}
  <PasteNotice
    clean={pasted.clean}
    onasitwas={() => {
      editor.replacePasted(pasted!.from, pasted!.clean.text, pasted!.raw);
      pasted = null;
    }}
    onask={() => {
      editor.replacePasted(pasted!.from, pasted!.clean.text, pasted!.clean.ask!.text);
      pasted = null;
    }}
    onclose={() => (pasted = null)}
  />
{/if}
<Problems
  problems={string.problems}
  text={string.text}
  onfix={(fix) => string.write(applyEdits(string.text, fix.edits))}
/>
{#if string.proposed !== null}
  <BuiltDifference
    text={string.text}
    proposal={string.proposed}
    ontake={() => {
      string.write(string.proposed!);
      string.proposed = null;
    }}
    onclose={() => (string.proposed = null)}
  />
{/if}

<div class="sources" role="group" aria-label={say.sourcesToRunOn}>
  {#each data.sources as source (source.id)}
    <Checkbox
      label="{source.name} {source.people === null ? '' : source.people.toLocaleString('en')}"
      checked={!string.leftOut.includes(source.id)}
      onchange={(on) => void string.chooseSource(source.id, on)}
    />
  {/each}
  <CertainOnly briefId={data.brief.id} onrefused={(problem) => (string.refused = problem)} />
</div>

<StringPanels {string} {data} onundo={() => editor.takeBack()} onredo={() => editor.doAgain()} />

<style>
  .strip {
    margin-bottom: 8px;
  }
  .strip p {
    flex: 1;
    display: -webkit-box;
    line-clamp: 2;
    -webkit-line-clamp: 2;
    -webkit-box-orient: vertical;
    overflow: hidden;
    line-height: 1.3;
  }
  .sources {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 18px;
    margin-top: 6px;
    align-items: center;
  }
  .sources > :global(:last-child) {
    margin-left: auto;
  }
</style>
