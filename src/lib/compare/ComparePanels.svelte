<script lang="ts">
  import { comparePage as say, type panels } from './words';
  import { brief as briefPath } from '$lib/frame/paths';
  import type { Answer } from '$api';
  import SourcesSideBySide from './SourcesSideBySide.svelte';
  import VersionsSideBySide from './VersionsSideBySide.svelte';

  interface Props {
    briefId: string;
    panel: keyof typeof panels;
    board: Answer<'compare'>;
    versions: Answer<'listVersions'>;
    /** How many versions were run. */
    tried: number;
    sources: Answer<'listSources'>;
    from: number;
    to: number;
    source: string;
    here: string;
    there: string;
    version: Answer<'listVersions'>[number] | undefined;
    /** Changes when something of the brief did. */
    turn: number;
    onchoose: (choice: Record<string, string | number | null | undefined>) => void;
    onjudged: () => void;
  }
  let {
    briefId,
    panel,
    board,
    versions,
    tried,
    sources,
    from,
    to,
    source,
    here,
    there,
    version,
    turn,
    onchoose,
    onjudged
  }: Props = $props();
</script>

<!-- The panel chosen below the board; the seldom ones are loaded when they are opened. -->
{#if panel === 'versions'}
  {#if tried > 1}
    <VersionsSideBySide {briefId} {versions} {sources} {from} {to} {source} {turn} {onchoose} {onjudged} />
  {:else}
    <p class="soft hint">{say.changeStringAndRunItAgain}</p>
  {/if}
{:else if panel === 'sources'}
  {#if sources.length > 1}
    <SourcesSideBySide {briefId} versions={board.versions} {sources} version={to} {here} {there} {onchoose} />
  {:else}<p class="soft hint">{say.runVersionAtTwoSourcesTo}</p>{/if}
{:else if panel === 'recall' && version}
  {#await import('./Recall.svelte') then { default: Recall }}
    <Recall {briefId} {board} {sources} {version} {source} stringPath={briefPath(briefId, 'string')} />
  {/await}
{:else if panel === 'judges'}
  {#await import('./Judges.svelte') then { default: Judges }}
    <Judges {briefId} {sources} {turn} onsettled={onjudged} />
  {/await}
{:else if panel === 'same'}
  {#await import('./SamePeople.svelte') then { default: SamePeople }}
    <SamePeople {briefId} {sources} {turn} onchanged={onjudged} />
  {/await}
{/if}

<style>
  .hint {
    margin-top: 12px;
  }
</style>
