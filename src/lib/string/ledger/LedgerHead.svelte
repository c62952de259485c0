<script lang="ts">
  import { ledgerHead as say } from '../words';
  import Button from '$lib/ui/Button.svelte';
  import Tooltip from '$lib/ui/Tooltip.svelte';
  import { exactness } from '$lib/marks/exactness';
  import { reading } from '$lib/frame/certain-only';
  import Figure from '$lib/marks/Figure.svelte';
  import { about, count, counted, isExact } from '$lib/marks/format';
  import { expectedSpend, possibleOnly } from '$core/measure';
  import type { Answer } from '$api';
  import { fullestLimit } from './ledger-words';
  import type { LedgerState } from './ledgers.svelte';

  interface Props {
    source: Answer<'listSources'>[number];
    now: LedgerState | undefined;
    /** The string has errors: what is shown is of the last one that had none. */
    blocked: boolean;
    /** Asks again with more time. */
    ongoon: () => void;
  }
  let { source, now, blocked, ongoon }: Props = $props();
</script>

<!-- What a source says of the whole string, above what its parts are worth there. -->
{#if now?.answer}
  {@const { found, rendering } = now.answer}
  {@const isSearched = rendering.exactness !== 'impossible'}
  {@const estimated = found.estimated[reading()]}
  <span class="n"
    >{#if isSearched}<Figure name="estimated" value={estimated.middle} source={source.id}>{about(estimated)}</Figure
      >{:else}–{/if}
    <em>{!isSearched ? '' : isExact(estimated) ? say.exact : counted(estimated)}</em></span
  >
  {#if isSearched && rendering.leftover}
    <div class="use soft">
      <Figure name="certain" value={found.certain} source={source.id}>{count(found.certain)}</Figure>
      {say.certain}
      <Figure name="possible only" value={possibleOnly(found)} source={source.id}>{count(possibleOnly(found))}</Figure>
      {say.possible}
      <Figure name="shown" value={found.shown} source={source.id}>{count(found.shown)}</Figure>
      {say.shown}
    </div>
  {/if}
  {#if blocked}<span class="badge">{say.beforeErrors}</span>{:else}<span class="badge {rendering.exactness}"
      ><Tooltip text={exactness[rendering.exactness].means}>{exactness[rendering.exactness].word}</Tooltip></span
    >{/if}
  {say.searches(rendering.searches.length)}
  {@const cost = expectedSpend(source.sheet, rendering.searches.length, found.reported)}
  {#if cost && isSearched}<div class="use soft">{say.runCostsS(counted(cost), cost.unit)}</div>{/if}
  {@const fullest = fullestLimit(source, now.answer)}
  {#if fullest}
    <div class="use-bar" role="img" aria-label={say.used(count(fullest.used), count(fullest.most), fullest.kind)}>
      <i style:width="{Math.min(100, (100 * fullest.used) / fullest.most)}%" class:full={fullest.used > fullest.most}
      ></i>
    </div>
  {/if}
{:else if now?.state === 'refused'}
  <span class="refused">{now.message}</span>
{:else}
  <span class="n soft">…</span><span class="soft"
    >{source.readiness.state === 'preparing' ? say.preparingItsPeople : say.counting}</span
  >
{/if}
{#if now?.isSlow}
  <div class="use" role="status">
    {#if now.answer}{say.partsNotCounted}{/if}
    <Button onclick={ongoon}>{say.continueText}</Button>
  </div>
{/if}

<style>
  .n {
    font-size: 25px;
    font-weight: 300;
    letter-spacing: -0.02em;
    display: block;
    line-height: 1.15;
  }
  .n em {
    font-style: normal;
    font-size: 13px;
    color: var(--soft);
    letter-spacing: 0;
  }
  .use {
    font-size: 11.5px;
    margin-top: 5px;
  }
  .refused {
    color: var(--warm);
    font-size: 13px;
  }
</style>
