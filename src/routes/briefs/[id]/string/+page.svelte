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
  import RenderingCard from '$lib/string/RenderingCard.svelte';
  import StringEditor from '$lib/string/StringEditor.svelte';
  import VersionPanel from '$lib/string/VersionPanel.svelte';
  import Worth, { type Worth as WorthState } from '$lib/string/Worth.svelte';
  import { layOut } from '$core/query/outline';
  import { parse } from '$core/query/parse';
  import { partsOf } from '$core/query/parts';
  import { applyEdits } from '$core/query/problem';
  import { contract } from '$server/api/contract';
  import { draftSchema } from '$server/api/documents';

  let { data } = $props();

  // svelte-ignore state_referenced_locally
  const draft = new KeptDocument<{ text: string }>(data.draft, draftSchema, (body) =>
    call(contract.writeDraft, { params: { id: data.brief.id }, body })
  );

  const text = $derived(draft.value.text);
  const parsed = $derived(parse(text));
  const parts = $derived(parsed.query ? partsOf(parsed.query) : []);
  const blocked = $derived(!parsed.query || parsed.problems.some(({ severity }) => severity === 'error'));
  const same = $derived(data.versions.find((version) => version.text === text));

  let leftOut: string[] = $state([]);
  const chosen = $derived(data.sources.filter(({ id }) => !leftOut.includes(id)));
  const leftOutKey = $derived(`eave-left-out-${data.brief.id}`);
  function choose(id: string, use: boolean) {
    leftOut = use ? leftOut.filter((other) => other !== id) : [...leftOut, id];
    localStorage.setItem(leftOutKey, JSON.stringify(leftOut));
  }

  let worth: Record<string, WorthState> = $state({});
  let worthText = $state('');
  let shownCard = $state('');
  let asking: AbortController | undefined;

  // Figures follow the typing after a short pause; answers to earlier texts are dropped.
  $effect(() => {
    const wanted = text;
    const sources = chosen.map(({ id }) => id);
    if (blocked) return;
    const timer = setTimeout(() => untrack(() => askWorth(wanted, sources)), 150);
    return () => clearTimeout(timer);
  });

  function askWorth(wanted: string, sources: string[]) {
    asking?.abort();
    const { signal } = (asking = new AbortController());
    for (const id of sources) {
      worth[id] = { ...worth[id], state: 'asking' };
      call(contract.worth, { body: { text: wanted, sourceId: id }, signal }).then(
        (answer) => {
          if (signal.aborted) return;
          worth[id] = { state: 'ready', answer };
          worthText = wanted;
        },
        (problem: Error) => {
          if (!signal.aborted) worth[id] = { state: 'refused', message: problem.message };
        }
      );
    }
  }

  let refused: unknown = $state(null);
  let running: { done: number; of: number; name: string } | null = $state(null);
  let stopRun = false;

  async function run() {
    if (running) return;
    refused = null;
    if (blocked) {
      const first = parsed.problems.find(({ severity }) => severity === 'error');
      refused = new ApiProblem(0, 'Not run', first?.message ?? 'Write a string first, or build it from the persona.');
      return;
    }
    if (!chosen.length) {
      refused = new ApiProblem(0, 'Not run', 'No source is chosen. Tick at least one under the string.');
      return;
    }
    const params = { id: data.brief.id };
    stopRun = false;
    running = { done: 0, of: chosen.length, name: chosen[0]!.name };
    try {
      await draft.flush();
      const version = await call(contract.keepVersion, { params, body: { text } });
      let last = '';
      for (const [done, source] of chosen.entries()) {
        if (stopRun) break;
        running = { done, of: chosen.length, name: source.name };
        const trial = await call(contract.runTrial, { params, body: { version: version.number, sourceId: source.id } });
        last ||= trial.id;
      }
      await Promise.all([invalidate('eave:brief'), invalidate('eave:versions')]);
      if (last) await goto(briefPath(data.brief.id, 'trial', { trial: last }));
    } catch (problem) {
      refused = problem;
    } finally {
      running = null;
    }
  }

  async function build() {
    refused = null;
    try {
      const built = await call(contract.buildString, { params: { id: data.brief.id } });
      if (built.text) draft.change({ text: built.text });
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
    return () => clearInterval(poll);
  });

  const opened = $derived(page.url.searchParams.get('version'));
  const open = (version: number | null) =>
    goto(briefPath(data.brief.id, 'string', version === null ? {} : { version }), { keepFocus: true, noScroll: true });
</script>

<div class="strip">
  <h1>
    {same ? `Version ${same.number}` : data.versions.length ? `After version ${data.versions[0]!.number}` : 'String'}
  </h1>
  <p class="soft">{same?.note || data.brief.sentence}</p>
  <KeptNotice document={draft} history={false} />
  <button class="quiet" onclick={build}>Build from persona</button>
  <button class="quiet" disabled={!parsed.query} onclick={() => draft.change({ text: layOut(parsed.query!) })}
    >Lay out</button
  >
  <button
    class="quiet"
    aria-expanded={opened !== null}
    onclick={() => open(opened === null ? (data.versions[0]?.number ?? 0) : null)}
    >Versions ({data.versions.length})</button
  >
  <button class="quiet main" onclick={run} disabled={running !== null}
    >Run on {chosen.length} source{chosen.length === 1 ? '' : 's'} <kbd>Ctrl ↵</kbd></button
  >
</div>

<Refused problem={refused} />
{#if running}
  <p class="running sheet" role="status">
    Running on {running.name} ({running.done + 1} of {running.of})…
    <progress max={running.of} value={running.done} aria-label="Sources done"></progress>
    <button class="quiet" onclick={() => (stopRun = true)}>Stop after this one</button>
  </p>
{/if}

<StringEditor {text} onchange={(next) => draft.change({ text: next }, 'text')} onrun={run} />
<Problems problems={parsed.problems} {text} onfix={(fix) => draft.change({ text: applyEdits(text, fix.edits) })} />

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
    ontake={(old) => draft.change({ text: old })}
    onnote={async (number, note) => {
      await call(contract.noteVersion, { params: { id: data.brief.id, number }, body: { note } });
      await invalidate('eave:versions');
    }}
    onclose={() => open(null)}
  />
{/if}

{#if parts.length && chosen.length}
  <Worth
    sources={chosen}
    {worth}
    {parts}
    stale={blocked || worthText !== text}
    onchoose={(source) => (shownCard = shownCard === source.id ? '' : source.id)}
  />
{:else if !parts.length}
  <p class="empty soft">
    Nothing is wanted yet. Write the string above, or build it from the persona and its wordings.
  </p>
{/if}

{#each chosen as source (source.id)}
  {@const answer = worth[source.id]?.answer}
  {#if shownCard === source.id && answer}<RenderingCard {source} rendering={answer.rendering} />{/if}
{/each}

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
  .running {
    padding: 8px 14px;
    margin-bottom: 10px;
    display: flex;
    gap: 14px;
    align-items: center;
  }
  progress {
    accent-color: var(--accent);
  }
  .empty {
    margin-top: 20px;
  }
</style>
