<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { goto, invalidate } from '$app/navigation';
  import { page } from '$app/state';
  import { ApiProblem, call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import KeptNotice from '$lib/kept/KeptNotice.svelte';
  import { KeptDocument } from '$lib/kept/kept-document.svelte';
  import Problems from '$lib/string/Problems.svelte';
  import CertainOnly from '$lib/frame/CertainOnly.svelte';
  import { reading as certainOrPossible } from '$lib/frame/certain-only';
  import { about } from '$lib/marks/format';
  import BuiltDifference from '$lib/string/BuiltDifference.svelte';
  import HandResults from '$lib/string/HandResults.svelte';
  import Ledger, { type LedgerState } from '$lib/string/Ledger.svelte';
  import Meanings from '$lib/string/Meanings.svelte';
  import Narrowing from '$lib/string/Narrowing.svelte';
  import PartTree from '$lib/string/PartTree.svelte';
  import PasteNotice from '$lib/string/PasteNotice.svelte';
  import { StringReading } from '$lib/string/reading.svelte';
  import Proposals from '$lib/string/Proposals.svelte';
  import SourceCard from '$lib/string/SourceCard.svelte';
  import SourcePaste from '$lib/string/SourcePaste.svelte';
  import StringEditor from '$lib/string/StringEditor.svelte';
  import VersionPanel from '$lib/string/VersionPanel.svelte';
  import type { CleanPaste } from '$core/formats';
  import {
    setNamesIn,
    setQueries,
    outlineOf,
    printOutline,
    parseForm,
    partsOf,
    print,
    applyEdits,
    type Query
  } from '$core/query';
  import { ambiguousIn } from '$core/titles';
  import { originsOf } from '$core/persona';
  import { contract } from '$server/api/contract';
  import { draftSchema } from '$server/api/documents';

  let { data } = $props();

  // svelte-ignore state_referenced_locally
  const draft = new KeptDocument<{ text: string; from: number | null }>(data.draft, draftSchema, (body) =>
    call(contract.writeDraft, { params: { id: data.brief.id }, body })
  );
  const write = (next: string, place = '', from = draft.value.from) => draft.change({ text: next, from }, place);

  const text = $derived(draft.value.text);
  const sets = $derived(setQueries(data.wordSets));
  const parsed = $derived(parseForm(text, sets));
  const parts = $derived(parsed.query ? partsOf(parsed.query) : []);
  const ambiguous = $derived(parsed.query ? ambiguousIn(parsed.query) : []);
  const origins = $derived(originsOf(data.persona, data.wording.body));
  const blocked = $derived(!parsed.query || parsed.problems.some(({ severity }) => severity === 'error'));
  const same = $derived(data.versions.find((version) => version.text === text));
  const titles = $derived([
    ...new Set(data.wording.body.flatMap((set) => set.wordings.filter((one) => one.inUse).map((one) => one.text)))
  ]);

  // A worker reads the string in full and translates it for every chosen source.
  const reading = new StringReading();
  const isRead = $derived(reading.text === text);
  const problems = $derived(isRead ? reading.problems : parsed.problems);
  $effect(() => {
    const named = new Set(setNamesIn(text));
    reading.ask({
      text,
      sets: $state
        .snapshot(data.wordSets)
        .filter(({ name }) => named.has(name))
        .map(({ name, wordings }) => ({ name, wordings })),
      sheets: $state.snapshot(chosen).map(({ sheet }) => sheet)
    });
  });

  let leftOut: string[] = $state([]);
  const chosen = $derived(data.sources.filter(({ id }) => !leftOut.includes(id)));
  const leftOutKey = $derived(`eave-left-out-${data.brief.id}`);
  function choose(id: string, use: boolean) {
    leftOut = use ? leftOut.filter((other) => other !== id) : [...leftOut, id];
    localStorage.setItem(leftOutKey, JSON.stringify(leftOut));
  }

  let ledger: Record<string, LedgerState> = $state({});
  let ledgerText = $state('');
  const counted = $derived(chosen.filter(({ kind }) => kind !== 'by-hand'));
  const answers = $derived(Object.fromEntries(counted.map(({ id }) => [id, ledger[id]?.answer])));
  let narrowed: number[] | null = $state(null);
  const order = $derived.by(() =>
    narrowed?.length === parts.length && narrowed.every((part) => part < parts.length)
      ? narrowed
      : parts.map((_, i) => i)
  );
  let asking: AbortController | undefined;
  /** Counts up when verdicts were given on this page. */
  let judgedHere = $state(0);

  // Figures follow the typing after a short pause; answers to earlier texts are dropped.
  $effect(() => {
    const wanted = text;
    const sources = counted.map(({ id }) => id);
    const by = narrowed;
    void judgedHere;
    if (blocked) return;
    const timer = setTimeout(() => untrack(() => askLedger(wanted, sources, by)), 40);
    return () => clearTimeout(timer);
  });

  function askLedger(wanted: string, sources: string[], by: number[] | null) {
    asking?.abort();
    const { signal } = (asking = new AbortController());
    for (const id of sources) {
      ledger[id] = { ...ledger[id], state: 'asking' };
      const body = { text: wanted, sourceId: id, ...(by && { order: [...by] }) };
      call(contract.ledger, { params: { id: data.brief.id }, body, signal }).then(
        (answer) => {
          if (signal.aborted) return;
          ledger[id] = { state: 'ready', answer };
          ledgerText = wanted;
        },
        (problem: Error) => {
          if (!signal.aborted) ledger[id] = { state: 'refused', message: problem.message };
        }
      );
    }
  }

  /** How many people a part finds alone, source by source. */
  async function countAlone(query: Query): Promise<string[]> {
    const texts = [print(query)];
    return Promise.all(
      counted.map(async ({ id, name }) => {
        const answer = await call(contract.count, { body: { texts, sourceId: id } }).catch(() => null);
        const found = answer?.counts[0];
        return `${name}: ${found ? about(found[certainOrPossible()]) : '–'}`;
      })
    );
  }

  /** A proposal taken is a new version, made from what the string was. */
  async function takeProposal(next: string, says: string) {
    refused = null;
    const params = { id: data.brief.id };
    try {
      const before = await call(contract.keepVersion, { params, body: { text, parent: draft.value.from } });
      const version = await call(contract.keepVersion, { params, body: { text: next, parent: before.number } });
      if (!version.note)
        await call(contract.nameVersion, {
          params: { ...params, number: version.number },
          body: { note: says.slice(0, 500) }
        });
      write(next, '', version.number);
      await Promise.all([invalidate('eave:brief'), invalidate('eave:versions')]);
    } catch (problem) {
      refused = problem;
    }
  }

  let refused: unknown = $state(null);
  let running = $state(false);

  async function run() {
    if (running) return;
    refused = null;
    if (blocked) {
      const first = parsed.problems.find(({ severity }) => severity === 'error');
      refused = new ApiProblem(0, 'Not run', first?.message ?? 'Write a string first, or build it from the persona.');
      return;
    }
    if (!counted.length) {
      refused = new ApiProblem(
        0,
        'Not run',
        chosen.length
          ? 'Only places run by hand are chosen. Copy the search from their cards, or tick a source that can be asked.'
          : 'No source is chosen. Tick at least one under the string.'
      );
      return;
    }
    const params = { id: data.brief.id };
    running = true;
    try {
      await draft.flush();
      const version = await call(contract.keepVersion, { params, body: { text, parent: draft.value.from } });
      if (draft.value.from !== version.number) write(text, 'from', version.number);
      const body = { version: version.number, sampleSize: 40, wait: 0 };
      const trials = await Promise.all(
        counted.map(({ id }) => call(contract.runTrial, { params, body: { ...body, sourceId: id } }))
      );
      await Promise.all([invalidate('eave:brief'), invalidate('eave:versions')]);
      await goto(briefPath(data.brief.id, 'trial', { trial: trials[0]!.id }));
    } catch (problem) {
      refused = problem;
    } finally {
      running = false;
    }
  }

  /** What the persona would make of the string, while it is not taken. */
  let proposal: string | null = $state(null);
  async function build() {
    refused = null;
    try {
      const built = await call(contract.buildString, { params: { id: data.brief.id } });
      if (built.text && !text.trim()) write(built.text);
      else if (built.text) proposal = built.text;
      else
        refused = new ApiProblem(
          0,
          'Nothing to build from',
          'The persona says nothing yet. Name at least one title there.'
        );
    } catch (problem) {
      refused = problem;
    }
  }

  let editor: StringEditor;
  let pasted: { raw: string; clean: CleanPaste; from: number } | null = $state(null);
  const panel = $derived(page.url.searchParams.get('panel'));
  const tree = $derived(page.url.searchParams.has('tree'));
  const showing = (name: 'panel' | 'tree' | 'version', value: string | null) => {
    const query = Object.fromEntries([...page.url.searchParams].filter(([key]) => key !== name));
    if (value !== null) query[name] = value;
    return goto(briefPath(data.brief.id, 'string', query), { keepFocus: true, noScroll: true });
  };

  async function pull(name: string, unwanted: boolean, wordings: string[]): Promise<boolean> {
    refused = null;
    try {
      await call(contract.createWordSet, {
        body: { name: name.replace(/^@/, ''), kind: unwanted ? 'unwanted' : 'wanted', wordings, note: '' }
      });
      await invalidate('eave:word-sets');
      return true;
    } catch (problem) {
      refused = problem;
      return false;
    }
  }

  onMount(() => {
    leftOut = JSON.parse(localStorage.getItem(leftOutKey) ?? '[]') as string[];
    if (page.url.searchParams.has('build')) {
      // An edited string is never overwritten unasked: the button does that.
      if (!text.trim()) void build();
      void goto(briefPath(data.brief.id, 'string'), { replaceState: true, keepFocus: true });
    }
    const poll = setInterval(() => {
      if (data.sources.some(({ readiness }) => readiness.state === 'preparing')) void invalidate('eave:sources');
    }, 1500);
    return () => {
      clearInterval(poll);
      reading.stop();
    };
  });

  const opened = $derived(page.url.searchParams.get('version'));
  const open = (version: number | null) => showing('version', version === null ? null : String(version));
</script>

<div class="strip">
  <h1>
    {same ? `Version ${same.number}` : data.versions.length ? `After version ${data.versions[0]!.number}` : 'String'}
  </h1>
  <p class="soft" title={reading.description}>{(isRead && reading.description) || same?.note || data.brief.sentence}</p>
  <KeptNotice document={draft} history={false} />
  <CertainOnly briefId={data.brief.id} onrefused={(problem) => (refused = problem)} />
  <button class="quiet main" onclick={run} disabled={running}
    >Run on {counted.length} source{counted.length === 1 ? '' : 's'} <kbd>Ctrl ↵</kbd></button
  >
</div>

<Refused problem={refused} />

<StringEditor
  bind:this={editor}
  {text}
  problems={isRead ? reading.problems : null}
  change={(next) => write(next, 'text')}
  {run}
  sets={() => sets}
  offers={() => ({ sets: data.wordSets, titles })}
  pasted={(raw, clean, from) => (pasted = { raw, clean, from })}
  {countAlone}
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
<Problems {problems} {text} onfix={(fix) => write(applyEdits(text, fix.edits))} />

<div class="tools" role="toolbar" aria-label="What to do with the string">
  <button class="quiet" onclick={() => editor.takeBack()} title="Ctrl Z">Undo</button>
  <button class="quiet" onclick={() => editor.doAgain()} title="Ctrl Y">Redo</button>
  <button class="quiet" onclick={build}>Build from persona</button>
  <button
    class="quiet"
    disabled={blocked}
    title="Each part on a line; long groups an alternative a line"
    onclick={() => write(printOutline(outlineOf(text, sets, parsed)))}>Lay out</button
  >
  <button
    class="quiet"
    disabled={blocked}
    onclick={() => write(printOutline(outlineOf(text, sets, parsed), Infinity).replaceAll(/\s*\n\s*/g, ' '))}
    >One line</button
  >
  {#if isRead && reading.shorter}
    <button
      class="quiet"
      title="The same people, said shorter: {reading.shorter}"
      onclick={() => write(reading.shorter!)}>Shorten</button
    >
  {/if}
  <button class="quiet" aria-pressed={tree} onclick={() => showing('tree', tree ? null : '1')}>As a tree</button>
  {#if parts.length && counted.length}
    {#each [['proposals', 'Proposals'], ['narrowing', 'Narrowing']] as const as [name, words] (name)}
      <button
        class="quiet"
        aria-expanded={panel === name}
        onclick={() => showing('panel', panel === name ? null : name)}>{words}</button
      >
    {/each}
  {/if}
  {#if ambiguous.length && counted.length}
    <button
      class="quiet"
      aria-expanded={panel === 'meanings'}
      title="Words that mean several things: {ambiguous.map(({ word }) => word).join(', ')}"
      onclick={() => showing('panel', panel === 'meanings' ? null : 'meanings')}>Meanings ({ambiguous.length})</button
    >
  {/if}
  <button
    class="quiet"
    aria-expanded={panel === 'paste'}
    onclick={() => showing('panel', panel === 'paste' ? null : 'paste')}>Paste from a source</button
  >
  <button
    class="quiet"
    aria-expanded={opened !== null}
    onclick={() => open(opened === null ? (data.versions[0]?.number ?? 0) : null)}
    >Versions ({data.versions.length})</button
  >
</div>

{#if proposal !== null}
  <BuiltDifference
    {text}
    {proposal}
    ontake={() => {
      write(proposal!);
      proposal = null;
    }}
    onclose={() => (proposal = null)}
  />
{/if}
{#if panel === 'narrowing' && parts.length && counted.length}
  <Narrowing
    sources={counted}
    {answers}
    {parts}
    {order}
    onorder={(next) => (narrowed = next)}
    onclose={() => showing('panel', null)}
  />
{/if}
{#if panel === 'proposals' && counted.length && !blocked}
  <Proposals
    briefId={data.brief.id}
    {text}
    sources={counted}
    judged={data.brief.judged}
    ontake={takeProposal}
    onjudged={() => {
      judgedHere++;
      void invalidate('eave:brief');
    }}
    onclose={() => showing('panel', null)}
  />
{/if}
{#if panel === 'meanings' && counted.length && !blocked}
  <Meanings {text} sources={counted} ontake={(taken) => write(taken)} onclose={() => showing('panel', null)} />
{/if}
{#if panel === 'paste'}
  <SourcePaste
    sources={data.sources.filter(({ kind }) => kind !== 'file')}
    ontake={(taken) => {
      write(taken);
      void showing('panel', null);
    }}
    onclose={() => showing('panel', null)}
  />
{/if}
{#if tree}
  <PartTree
    root={outlineOf(text, sets, parsed)}
    enabled={!parsed.problems.some(({ severity }) => severity === 'error')}
    sets={data.wordSets}
    {origins}
    personaPath={briefPath(data.brief.id, 'persona')}
    lit={page.url.searchParams.get('from')}
    onchange={(next) => write(next)}
    onundo={() => editor.takeBack()}
    onredo={() => editor.doAgain()}
    onpull={pull}
  />
{/if}

<div class="sources" role="group" aria-label="Sources to run on">
  {#each data.sources as source (source.id)}
    <label
      ><input
        type="checkbox"
        checked={!leftOut.includes(source.id)}
        onchange={(event) => choose(source.id, event.currentTarget.checked)}
      />
      {source.name}
      <span class="soft number">{source.people === null ? '' : source.people.toLocaleString('en')}</span></label
    >
  {/each}
  <a href="/sources">Import a file of people</a>
</div>

{#if opened !== null}
  <VersionPanel
    versions={data.versions}
    opened={Number(opened)}
    {text}
    onopen={open}
    {sets}
    ontake={(old) => write(old.text, '', old.number)}
    onname={async (number, change) => {
      await call(contract.nameVersion, { params: { id: data.brief.id, number }, body: change });
      await invalidate('eave:versions');
    }}
    onclose={() => open(null)}
  />
{/if}

{#if parsed.query && parts.length && counted.length}
  <Ledger
    sources={counted}
    {ledger}
    query={parsed.query}
    stale={blocked || ledgerText !== text}
    onchoose={(source) => document.getElementById(`card-${source.id}`)?.scrollIntoView({ behavior: 'smooth' })}
  />
{:else if !parts.length}
  <p class="empty soft">
    Nothing is wanted yet. Write the string above, or build it from the persona and its wordings.
  </p>
{/if}

{#if parsed.query}
  <div class="cards">
    {#each chosen as source (source.id)}
      <div id="card-{source.id}">
        {#snippet hand()}
          <HandResults
            briefId={data.brief.id}
            {text}
            parent={draft.value.from}
            {source}
            searches={reading.sources[source.id]?.rendering.searches.length ?? 0}
            ondone={async (trial) => {
              await invalidate('eave:brief');
              await goto(briefPath(data.brief.id, 'trial', { trial }));
            }}
          />
        {/snippet}
        <SourceCard
          {source}
          reading={reading.sources[source.id]}
          stale={!isRead}
          keptBack={answers[source.id]?.keptBack}
          hand={source.kind === 'by-hand' && !blocked ? hand : undefined}
        />
      </div>
    {/each}
  </div>
{/if}

<style>
  .strip p {
    flex: 1;
    display: -webkit-box;
    line-clamp: 2;
    -webkit-line-clamp: 2;
    -webkit-box-orient: vertical;
    overflow: hidden;
  }
  .sources {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 20px;
    margin-top: 8px;
    font-size: 13px;
    align-items: center;
  }
  .sources input {
    accent-color: var(--accent);
    vertical-align: -2px;
  }
  .tools {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin-top: 8px;
  }
  .tools [aria-pressed='true'] {
    background: var(--accent-2);
  }
  .cards {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 12px;
    margin-top: 12px;
  }
  .cards > div {
    min-width: 0;
    display: grid;
  }
  .empty {
    margin-top: 20px;
  }
</style>
