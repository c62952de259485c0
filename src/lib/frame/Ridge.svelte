<script lang="ts">
  import { ridge as say } from './words';
  import Asleep from 'carbon-icons-svelte/lib/Asleep.svelte';
  import Keyboard from 'carbon-icons-svelte/lib/Keyboard.svelte';
  import Light from 'carbon-icons-svelte/lib/Light.svelte';
  import { page } from '$app/state';
  import Button from '$lib/ui/Button.svelte';
  import type { Answer } from '$api';
  import { brief as briefPath, type Step } from './paths';
  import { steps } from './steps';
  import { theme } from './theme.svelte';
  import Logo from './Logo.svelte';

  let { brief, onkeysheet }: { brief: Answer<'readBrief'> | null; onkeysheet: () => void } = $props();

  const at = $derived(page.route.id?.split('/').at(-1) as Step | undefined);
  // A place run by hand is where a trial comes from.
  const here = $derived(at === 'by-hand' ? 'trial' : at);
</script>

<header>
  <a class="logo" href="/" aria-label={say.eaveAllBriefs}><Logo /><span>{say.eave}</span></a>
  {#if brief}
    <div class="brief">{brief.name}</div>
    <nav aria-label={say.stepsThisBrief}>
      {#each steps as step (step.id)}
        <a
          href={briefPath(brief.id, step.id)}
          class:on={here === step.id}
          aria-current={here === step.id ? 'page' : undefined}
        >
          {step.name}<small>{step.state(brief)}</small>
        </a>
      {/each}
    </nav>
  {:else}
    <nav aria-label={say.eave2}>
      <a href="/" class:on={page.route.id === '/'} aria-current={page.route.id === '/' ? 'page' : undefined}
        >{say.briefs}<small>{say.allJobs}</small></a
      >
    </nav>
  {/if}
  <div class="side">
    {#if !brief}<a href="/terms" aria-current={page.route.id === '/terms' ? 'page' : undefined}>{say.terms}</a>{/if}
    <a href="/library" aria-current={page.route.id?.startsWith('/library') ? 'page' : undefined}>{say.library}</a>
    <a href="/sources" aria-current={page.route.id?.startsWith('/sources') ? 'page' : undefined}>{say.sources}</a>
    <Button kind="ghost" onclick={() => theme.toggle()} aria-label={say.switchLightAndDarkTheme}
      >{#if theme.current === 'white'}<Asleep /> {say.dark}{:else}<Light /> {say.light}{/if}</Button
    >
    <Button kind="ghost" onclick={onkeysheet} aria-label={say.keyboardShortcuts}><Keyboard /></Button>
  </div>
</header>

<style>
  header {
    display: flex;
    align-items: stretch;
    height: 56px;
    background: var(--ridge);
    color: var(--ridge-ink);
    padding: 0 20px;
    gap: 20px;
  }
  a,
  .side :global(.button.ghost) {
    color: var(--ridge-ink);
    text-decoration: none;
  }
  .logo {
    display: flex;
    align-items: center;
    gap: 9px;
    font-weight: 600;
    letter-spacing: 0.02em;
    font-size: 17px;
  }
  .brief {
    align-self: center;
    color: var(--ridge-soft);
    font-size: 13px;
    width: 150px;
    line-height: 1.2;
    max-height: 32px;
    overflow: hidden;
  }
  nav {
    display: flex;
    flex: 1;
    gap: 20px;
  }
  nav a {
    display: flex;
    flex-direction: column;
    justify-content: center;
    padding: 0 9px;
    font-size: 13.5px;
    white-space: nowrap;
    position: relative;
  }
  nav small {
    color: var(--ridge-soft);
    font-size: 11px;
  }
  nav a.on {
    background: var(--paper);
    color: var(--ink);
  }
  nav a.on small {
    color: var(--soft);
  }
  nav a:not(:last-child)::after {
    content: '';
    position: absolute;
    right: -14px;
    top: 23px;
    width: 8px;
    height: 8px;
    border-top: 1px solid #7d8387;
    border-right: 1px solid #7d8387;
    transform: rotate(45deg);
  }
  .side {
    display: flex;
    align-items: center;
    gap: 18px;
    font-size: 13px;
  }
  .side :global(.button.ghost:is(:hover, :focus, :active)) {
    background: var(--ridge);
    color: var(--ridge-ink);
  }
  .side [aria-current] {
    border-bottom: 2px solid #7fc4b6;
  }
</style>
