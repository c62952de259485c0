<script lang="ts">
  import { verdictDesk as say } from '../words';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import type { Snippet } from 'svelte';
  import { verdicts } from '$lib/marks/verdicts';
  import type { Verdict } from '$core/measure';
  import { ownWords } from '$lib/marks/own-words';
  import type { FactCheck } from '$core/persona';
  import type { Onward } from './onward.svelte';
  import { reasons } from '../reasons';
  import Toggle from '$lib/ui/Toggle.svelte';

  interface Props {
    checks: readonly FactCheck[];
    verdict: Verdict | null;
    reason: string;
    /** Given by a rule, until a person says otherwise. */
    byRule: boolean;
    /** Said of the same person at another source, and nothing here. */
    elsewhere: { verdict: Verdict; at: string } | null;
    /** Records of this person that were judged differently, newest first; the newest counts. */
    conflict: readonly { verdict: Verdict; at: string }[];
    onsettle: (verdict: Verdict) => void;
    ongive: (verdict: Verdict) => void;
    onreason: (reason: string) => void;
    onback: () => void;
    onward: Onward;
    children?: Snippet | undefined;
  }
  let {
    checks,
    verdict,
    reason,
    byRule,
    elsewhere,
    conflict,
    onsettle,
    ongive,
    onreason,
    onback,
    onward,
    children
  }: Props = $props();

  const signs = {
    met: { sign: '✓', colour: 'var(--accent)' },
    'not met': { sign: '✕', colour: 'var(--warm)' },
    unknown: { sign: '◐', colour: 'var(--grey)' }
  };
  let own: HTMLInputElement | null = $state(null);
  export const focusReason = () => own?.focus();
</script>

<aside class="sheet" aria-label={say.verdict}>
  <h2 class="soft">{say.comparedWithPersona}</h2>
  {#each checks as { fact, outcome, has } (fact)}
    <div class="fact">
      <span style:color={signs[outcome].colour}>{signs[outcome].sign}</span><span
        >{ownWords(fact)}<span class="visually-hidden"> {outcome}</span></span
      ><b>{has}</b>
    </div>
  {/each}
  <div class="give">
    {#each Object.entries(verdicts) as [name, { sign, word, key, colour }] (name)}
      <Button
        kind="ghost"
        aria-pressed={verdict === name}
        style="--tint: {colour}"
        onclick={() => ongive(name as Verdict)}
        class={verdict === name ? 'on' : ''}
      >
        <span><b style:color={colour}>{sign}</b> {word}</span><kbd>{key}</kbd>
      </Button>
    {/each}
  </div>
  <div class="why">
    {#if byRule}<p class="rule"><b>{say.byRule}</b>{say.yourOwnVerdictOverridesIt(reason)}</p>{/if}
    {#if elsewhere}<p class="rule">
        {say.judged} <b>{verdicts[elsewhere.verdict].word.toLowerCase()}</b>
        {say.atCountsHereUntilYouChange(elsewhere.at)}
      </p>{/if}
    {#if conflict.length}
      <div class="rule" role="group" aria-label={say.recordsJudgedDifferently}>
        {say.thisPersonsRecordsWereJudged}
        {#each conflict as { verdict: said, at }, i (i)}{i ? ', ' : ''}<b>{verdicts[said].word.toLowerCase()}</b>
          {say.at(at)}{/each}{say.newestCounts}
        {#each [...new Set(conflict.map((one) => one.verdict))] as said (said)}
          <Button kind="ghost" onclick={() => onsettle(said)}>{say.makeAll(verdicts[said].word.toLowerCase())}</Button>
        {/each}
      </div>
    {/if}
    <span class="soft">{say.reason}</span>
    <div>
      {#each reasons as text, i (text)}
        <Button
          kind="ghost"
          aria-pressed={reason === text}
          disabled={!verdict}
          onclick={() => onreason(reason === text ? '' : text)}
          class={reason === text ? 'on' : ''}>{i + 1} {text}</Button
        >
      {/each}
    </div>
    <TextInput
      bind:ref={own}
      aria-label={say.yourOwnReason}
      placeholder={say.orInYourOwnWordsN}
      maxlength="500"
      disabled={!verdict}
      value={(reasons as readonly string[]).includes(reason) ? '' : reason}
      onchange={(event) => onreason(event.currentTarget.value)}
      onkeydown={(event) => {
        if (event.key === 'Enter' || event.key === 'Escape') event.currentTarget.blur();
      }}
    />
    {@render children?.()}
    <Toggle label={say.goToNextAutomatically} on={onward.on} onchange={(on) => onward.switch(on)} />
    <p class="soft keys">
      <kbd>←</kbd> <kbd>→</kbd>
      {say.browse}
      <Button kind="ghost" disabled={!verdict} onclick={onback} class="link">{say.undo}</Button> <kbd>⌫</kbd>
    </p>
  </div>
</aside>

<style>
  aside {
    overflow: auto;
  }
  h2 {
    font-size: 13px;
    padding: 12px 14px 4px;
  }
  .fact {
    display: grid;
    grid-template-columns: 20px 82px 1fr;
    padding: 4px 14px;
    border-top: 1px solid var(--rule);
    font-size: 13px;
  }
  .fact b {
    font-weight: 600;
    overflow-wrap: anywhere;
  }
  .give {
    display: grid;
    grid-template-columns: 1fr 1fr 1.25fr;
    gap: 8px;
    padding: 8px 14px;
    border-top: 1px solid var(--line);
  }
  .give :global(.button.bx--btn) {
    border: 1px solid var(--line);
    padding: 8px 4px;
    font-size: 14px;
    white-space: nowrap;
    display: flex;
    gap: 6px;
    align-items: center;
    justify-content: center;
  }
  .give :global(.button.bx--btn.on) {
    border-color: var(--tint);
    box-shadow: inset 0 0 0 1px var(--tint);
    background: var(--sheet-2);
  }
  .why {
    padding: 0 14px 12px;
    font-size: 13px;
  }
  .why div :global(.button.bx--btn) {
    border: 1px solid var(--line);
    padding: 2px 8px;
    margin: 3px 5px 3px 0;
  }
  .why div :global(.button.bx--btn.on) {
    background: var(--warm-2);
    border-color: var(--warm);
  }
  .why :global(.button.bx--btn:disabled) {
    color: var(--grey);
    cursor: default;
  }
  .rule {
    background: var(--sheet-2);
    border: 1px dashed var(--grey);
    padding: 4px 8px;
    margin-bottom: 6px;
  }
  div :global(.link) {
    text-decoration: underline;
  }
</style>
