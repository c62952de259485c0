<script lang="ts">
  import { proposalCards as say } from '../words';
  import Button from '$lib/ui/Button.svelte';
  import { reading } from '$lib/frame/certain-only';
  import { about, percent } from '$lib/marks/format';
  import type { Proposal } from './proposals.svelte';

  interface Props {
    proposals: readonly Proposal[];
    sources: readonly { id: string; name: string }[];
    /** False while they belong to an earlier text. */
    current: boolean;
    ontake: (text: string, says: string) => void;
    onall: () => void;
  }
  let { proposals, sources, current, ontake, onall }: Props = $props();

  /** What a change does where it does most. */
  const strongest = ({ effects }: Proposal) =>
    [...effects].sort((a, b) => b.removed + b.added - (a.removed + a.added))[0]!;
  const nameOf = (id: string) => sources.find((source) => source.id === id)?.name ?? id;
  const share = (lost: Proposal['effects'][number]['fitsLost']) => (lost ? percent(lost.share) : say.noneJudged);
</script>

<ul aria-label={say.topProposals}>
  {#each proposals.slice(0, 3) as proposal (proposal.says)}
    {@const effect = strongest(proposal)}
    <li class="sheet" class:stale={!current}>
      <div>
        <b>{proposal.says}</b>
        <p class="soft">
          {say.missesRemovedFitsLost(
            nameOf(effect.sourceId),
            about(effect.before[reading()]),
            about(effect.after[reading()]),
            share(effect.missesRemoved)
          )}
          <span class:loses={effect.gone.fits > 0}>{share(effect.fitsLost)}</span>
        </p>
      </div>
      <Button
        disabled={!current}
        aria-label={say.apply(proposal.says)}
        onclick={() => ontake(proposal.text, proposal.says)}>{say.apply2}</Button
      >
    </li>
  {/each}
  {#if proposals.length > 3}<li class="more">
      <Button kind="ghost" onclick={onall}>{say.all(proposals.length)}</Button>
    </li>{/if}
</ul>

<style>
  ul {
    display: grid;
    grid-auto-flow: column;
    grid-auto-columns: 1fr;
    gap: 12px;
    margin-top: 10px;
    padding: 0;
    list-style: none;
    font-size: 13px;
  }
  li.sheet {
    display: flex;
    gap: 10px;
    align-items: start;
    justify-content: space-between;
    padding: 7px 12px;
  }
  ul:has(.more) {
    grid-template-columns: 1fr 1fr 1fr auto;
  }
  .more {
    align-self: center;
    color: var(--accent);
  }
  .stale {
    opacity: 0.6;
  }
  .loses {
    color: var(--warm);
  }
</style>
