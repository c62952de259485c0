<script lang="ts">
  import { proposals as say } from '../words';
  import Loading from '$lib/ui/Loading.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Button from '$lib/ui/Button.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
  import { call } from '$lib/api/call';
  import { reading } from '$lib/frame/certain-only';
  import Figure from '$lib/marks/Figure.svelte';
  import { about, count, percent, percentRange } from '$lib/marks/format';
  import type { Answer } from '$api';
  import WhoGoes from './WhoGoes.svelte';
  import type { BestChanges, Proposal } from './proposals.svelte';

  interface Props {
    briefId: string;
    text: string;
    sources: readonly { id: string; name: string }[];
    /** People judged so far in this brief. */
    judged: number | null;
    best: BestChanges;
    /** Makes the changed text a new version. */
    ontake: (text: string, says: string) => void;
    onjudged: () => void;
  }
  let { briefId, text, sources, judged, best, ontake, onjudged }: Props = $props();

  type Effect = Proposal['effects'][number];
  const proposals = $derived(best.list);
  const readFor = $derived(best.readFor);
  let jointFault = $state('');
  const fault = $derived(best.fault || jointFault);
  let chosen: ReadonlySet<string> = $state.raw(new Set());
  let joint: Answer<'jointEffect'> | null = $state.raw(null);
  let looking: { to: string; says: string } | null = $state(null);
  // Another text has other proposals.
  $effect(() => {
    void readFor;
    chosen = new Set();
    looking = null;
  });

  const taken = $derived.by(() => proposals?.filter(({ says }) => chosen.has(says)) ?? []);
  $effect(() => {
    const changes = taken.flatMap((one) => one.changes);
    joint = null;
    if (taken.length < 2) return;
    const asking = new AbortController();
    call('jointEffect', {
      params: { id: briefId },
      body: { text, changes, sourceIds: sources.map(({ id }) => id) },
      signal: asking.signal
    }).then(
      (latest) => (joint = latest),
      (problem: Error) => {
        if (!asking.signal.aborted) jointFault = problem.message;
      }
    );
    return () => asking.abort();
  });
  function choose(says: string) {
    const next = new Set(chosen);
    if (!next.delete(says)) next.add(says);
    chosen = next;
  }
  const share = (lost: Effect['fitsLost']) =>
    lost ? `${percent(lost.share)} (${percentRange(lost)})` : say.noneJudged;
  const allTogether = $derived(taken.map(({ says }) => says).join('; '));
</script>

{#snippet effects(list: readonly Effect[])}
  {#each list as effect (effect.sourceId)}
    <TableCell class="number">
      <div>
        <Figure name="estimated" value={effect.before[reading()].middle} source={effect.sourceId}
          >{about(effect.before[reading()])}</Figure
        >
        → {about(effect.after[reading()])}
      </div>
      <div class="soft">
        {#if effect.gone.misses + effect.gone.fits + effect.come.fits + effect.come.misses || effect.removed || effect.added}
          {say.missesRemoved(share(effect.missesRemoved))}<br />
          {say.fitsLost} <b class:loses={effect.gone.fits > 0}>{share(effect.fitsLost)}</b>
          {#if effect.come.fits + effect.come.misses}<br />{say.addsFitsAndMisses(
              effect.come.fits,
              effect.come.misses
            )}{/if}
        {:else}{say.noChange}{/if}
      </div>
    </TableCell>
  {/each}
{/snippet}

<section class="sheet" aria-label={say.proposals}>
  <header>
    <h2>{say.proposals}</h2>
    <span class="soft">{say.changesYourVerdictsSupportEach(judged === null ? null : count(judged))}</span>
  </header>
  {#if fault}<p class="fault" role="alert">{fault}</p>{/if}
  {#if best.measured < best.of}
    <div role="status" class="part">
      {say.measuredSoFar(best.measured, best.of)}
      {#if best.isMeasuring}<Loading label={say.measuring} />{:else}<Button onclick={() => best.goOn()}
          >{say.continueText}</Button
        >{/if}
    </div>
  {/if}
  {#if proposals === null}
    {#if !fault}<Loading label={say.measuring} lines={3} />{/if}
  {:else if !proposals.length}
    <p>
      {judged ? say.yourVerdictsSupportNoChangeYet : say.runStringAndJudgeSomePeople}
    </p>
  {:else}
    <div class="scroll">
      <div class="tabled">
        <Table class={readFor !== text ? 'stale' : ''} aria-label={say.proposalsBestFirst}>
          <TableHead>
            <TableRow>
              <TableHeader></TableHeader><TableHeader>{say.change}</TableHeader>
              {#each sources as source (source.id)}<TableHeader>{source.name}</TableHeader>{/each}
              <TableHeader></TableHeader>
            </TableRow>
          </TableHead>
          <TableBody>
            {#each proposals as proposal (proposal.says)}
              <TableRow>
                <TableCell
                  ><Checkbox
                    label={say.select(proposal.says)}
                    hideLabel
                    checked={chosen.has(proposal.says)}
                    onchange={() => choose(proposal.says)}
                  /></TableCell
                >
                <TableCell
                  ><b>{proposal.says}</b>
                  {#if proposal.costly}<div class="costly">
                      {say.mayRemoveMoreThanFewFits}
                    </div>{/if}
                </TableCell>
                {@render effects(proposal.effects)}
                <TableCell class="acts">
                  <Button
                    aria-label={say.whoWouldBeRemoved(proposal.says)}
                    onclick={() => (looking = { to: proposal.text, says: proposal.says })}
                    >{say.whoWouldBeRemoved2}</Button
                  >
                  <Button
                    disabled={readFor !== text}
                    aria-label={say.apply(proposal.says)}
                    onclick={() => ontake(proposal.text, proposal.says)}>{say.apply2}</Button
                  >
                </TableCell>
              </TableRow>
            {/each}
            {#if joint}
              <TableRow class="joint">
                <TableCell></TableCell>
                <TableCell><b>{say.selectedTogether(taken.length)}</b></TableCell>
                {@render effects(joint.effects)}
                <TableCell class="acts">
                  <Button
                    aria-label={say.whoWouldBeRemovedAllSelected}
                    onclick={() => (looking = { to: joint!.text, says: allTogether })}>{say.whoWouldBeRemoved2}</Button
                  >
                  <Button
                    kind="primary"
                    disabled={readFor !== text}
                    aria-label={say.applyAllSelected}
                    onclick={() => ontake(joint!.text, allTogether)}>{say.applyAll}</Button
                  >
                </TableCell>
              </TableRow>
            {/if}
          </TableBody>
        </Table>
      </div>
    </div>
  {/if}
  {#if looking}
    <WhoGoes
      {briefId}
      from={readFor}
      to={looking.to}
      says={looking.says}
      {sources}
      {onjudged}
      onclose={() => (looking = null)}
    />
  {/if}
</section>

<style>
  section {
    margin-top: 12px;
    padding: 10px 16px;
    font-size: 13px;
  }
  header {
    display: flex;
    gap: 12px;
    align-items: baseline;
    margin-bottom: 6px;
  }
  header span {
    flex: 1;
  }
  .part {
    display: flex;
    gap: 12px;
    align-items: center;
    margin-bottom: 6px;
  }
  .scroll {
    overflow: auto;
    max-height: 420px;
  }
  .tabled :global(.stale) {
    color: var(--soft);
  }
  .tabled :global(td),
  .tabled :global(th) {
    padding: 4px 10px;
    font-size: 12.5px;
    vertical-align: top;
  }
  .costly,
  .fault,
  .loses {
    color: var(--warm);
  }
  /* One below the other, so that both are in sight beside four sources. */
  .tabled :global(.acts .button.bx--btn) {
    display: flex;
    margin-bottom: 4px;
    padding: 1px 8px;
    white-space: nowrap;
  }
  .tabled :global(.joint) {
    background: var(--accent-2);
  }
</style>
