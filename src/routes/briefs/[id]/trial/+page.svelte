<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { goto, invalidate, replaceState } from '$app/navigation';
  import { page } from '$app/state';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import CertainOnly from '$lib/frame/CertainOnly.svelte';
  import { certainOnly, reading } from '$lib/frame/certain-only';
  import Figure from '$lib/marks/Figure.svelte';
  import { about, count, counted, isExact } from '$lib/marks/format';
  import Causes from '$lib/trial/Causes.svelte';
  import DepthRuler from '$lib/trial/DepthRuler.svelte';
  import { KeptVerdicts, type KeptVerdict } from '$lib/trial/kept-verdicts.svelte';
  import Note from '$lib/trial/Note.svelte';
  import KnownGoods from '$lib/trial/KnownGoods.svelte';
  import PersonCard from '$lib/trial/PersonCard.svelte';
  import PrecisionBar from '$lib/trial/PrecisionBar.svelte';
  import { reload } from '$lib/kept/reload';
  import { watchChanges } from '$lib/kept/changes';
  import { reasons } from '$lib/trial/reasons';
  import TrialProgress from '$lib/trial/TrialProgress.svelte';
  import { isUnderWay } from '$lib/trial/under-way';
  import VerdictDesk from '$lib/trial/VerdictDesk.svelte';
  import { precisionOf, type Verdict } from '$core/measure';
  import { checkFacts, ruledOut } from '$core/persona';
  import { setQueries, parse, print } from '$core/query';
  import { contract } from '$server/api/contract';

  let { data } = $props();

  const kept = new KeptVerdicts((key, { verdict, reason, by = 'person' }, revision) => {
    const [sourceId, personId, judge] = JSON.parse(key) as [string, string, string | null];
    if (judge)
      return call(contract.giveJudgement, {
        params: { id: data.brief.id, judge },
        body: { sourceId, personId, verdict, reason, revision }
      }) as Promise<KeptVerdict | null>;
    return call(contract.giveVerdict, {
      params: { id: data.brief.id },
      body: { sourceId, personId, verdict, reason, by, revision }
    }) as Promise<KeptVerdict | null>;
  });
  const keyOf = (personId: string) => JSON.stringify([data.trial?.sourceId, personId, data.as]);
  const judgeNames = $derived([...new Set([...data.judges.map(({ judge }) => judge), ...(data.as ? [data.as] : [])])]);
  let undone: { index: number; verdict: Verdict | null; reason: string }[] = $state([]);
  let loaded: string | undefined;
  $effect.pre(() => {
    const now = `${data.trial?.id} ${data.as}`;
    if (now === loaded) return;
    loaded = now;
    untrack(() => {
      undone = [];
      kept.problem = null;
    });
  });

  const trial = $derived(
    data.trial && {
      ...data.trial,
      people: reading() === 'certain' ? data.trial.certain : data.trial.people,
      sample: data.trial.sample
        .filter(({ untold }) => !(certainOnly() && untold.length))
        .map((one) => ({ ...one, loaded: one.verdict, verdict: kept.of(keyOf(one.person.id), one.verdict) }))
    }
  );
  type Drawn = NonNullable<typeof trial>['sample'][number];
  /** What counts for a person: the verdict just given here, or what is said of them by the rule for several records. */
  const counting = (one: Drawn): Verdict | null =>
    one.verdict && one.verdict.verdict !== one.loaded?.verdict
      ? one.verdict.verdict
      : one.verdict === null && one.loaded
        ? (one.counts?.records.find(({ personId }) => personId !== one.person.id)?.verdict ?? null)
        : (one.counts?.verdict ?? one.verdict?.verdict ?? null);
  /** The people judged, each once however many records of theirs were drawn. */
  const judgedPeople = $derived.by(() => {
    const people = new Map<number | string, { one: Drawn; verdict: Verdict }>();
    for (const one of trial?.sample ?? []) {
      const verdict = counting(one);
      const key = one.number ?? one.person.id;
      // A verdict just given on one record stands above what was said before on the other.
      if (verdict && (!people.has(key) || one.verdict?.verdict !== one.loaded?.verdict))
        people.set(key, { one, verdict });
    }
    return [...people.values()];
  });
  /** Moves at once and not when the page has loaded: the next key is meant for the next person. */
  let wanted = $state(0);
  let followed = '';
  $effect.pre(() => {
    const place = page.url.searchParams.get('at') ?? '0';
    const now = `${data.trial?.id} ${place}`;
    if (now === followed) return;
    followed = now;
    wanted = Number(place) || 0;
  });
  const at = $derived(trial ? Math.min(trial.sample.length - 1, Math.max(0, wanted)) : 0);
  const current = $derived(trial?.sample[at] ?? null);
  const precision = $derived(
    trial &&
      precisionOf(
        judgedPeople.map(({ verdict }) => verdict),
        trial.people
      )
  );
  const top = $derived(
    precisionOf(judgedPeople.flatMap(({ one, verdict }) => (trial && one.rank <= trial.people / 10 ? [verdict] : [])))
  );
  const checks = $derived(current ? checkFacts(data.persona.body, data.wording.body, current.person) : []);

  const sourceName = (id: string) => data.sources.find((source) => source.id === id)?.name ?? id;
  const versionNumbers = $derived([...new Set(data.trials.map(({ version }) => version))]);
  const judging: Record<string, string> = $derived(data.as ? { as: data.as } : ({} as Record<string, string>));
  const openTrial = (id: string) => goto(briefPath(data.brief.id, 'trial', { trial: id, ...judging }));
  /** Who judges: nobody's name is the first judge, whose verdicts the brief goes by. */
  const judgeAs = (name: string) =>
    goto(briefPath(data.brief.id, 'trial', { ...(trial && { trial: trial.id }), ...(name && { as: name }) }));
  let naming = $state(false);
  const go = (index: number) => {
    if (!trial || index < 0 || index >= trial.sample.length) return;
    wanted = index;
    replaceState(briefPath(data.brief.id, 'trial', { trial: trial.id, at: index, ...judging }), page.state);
  };

  async function judge(index: number, verdict: Verdict | null, reason: string, remember = true) {
    const one = trial?.sample[index];
    if (!one) return;
    const shown = one.verdict;
    if (remember) undone = [...undone, { index, verdict: shown?.verdict ?? null, reason: shown?.reason ?? '' }];
    await kept.give(keyOf(one.person.id), one.loaded, { verdict, reason });
    if (!kept.problem) void invalidate('eave:brief');
  }

  const give = (verdict: Verdict) => {
    void judge(at, verdict, verdict === current?.verdict?.verdict ? (current.verdict?.reason ?? '') : '');
  };
  const because = (reason: string) => {
    if (current?.verdict) void judge(at, current.verdict.verdict, reason);
  };
  const takeBack = () => {
    if (current?.verdict) void judge(at, null, '');
  };
  function undo() {
    const last = undone.at(-1);
    if (!last) return;
    undone = undone.slice(0, -1);
    go(last.index);
    void judge(last.index, last.verdict, last.reason, false);
  }
  let desk: VerdictDesk | undefined = $state();
  let note: Note | undefined = $state();
  function keys(event: KeyboardEvent) {
    const target = event.target as HTMLElement;
    if (!trial || target.closest('input, textarea, select, [role="dialog"]')) return;
    const key = event.key.toLowerCase();
    if (event.ctrlKey || event.metaKey) {
      if (key !== 'z') return;
      undo();
    } else if (key === 'f') give('fit');
    else if (key === 'm') give('miss');
    else if (key === 'u') give('unsure');
    else if (key === 'arrowright' || key === 'arrowdown') go(at + 1);
    else if (key === 'arrowleft' || key === 'arrowup') go(at - 1);
    else if (key === 'backspace') takeBack();
    else if (key === 'n') desk?.focusReason();
    else if (key === 'w') note?.focus();
    else if (reasons[Number(key) - 1]) because(reasons[Number(key) - 1]!);
    else return;
    event.preventDefault();
  }

  const source = $derived(data.sources.find(({ id }) => id === data.trial?.sourceId));
  const query = $derived(data.trial && parse(data.trial.text, setQueries(data.trial.sets)).query);
  const judgedAs = (wanted: Verdict) =>
    judgedPeople.filter(({ verdict }) => verdict === wanted).map(({ one }) => one.person);
  async function settle(verdict: Verdict) {
    if (!current || !trial) return;
    refused = null;
    try {
      await call(contract.settleConflict, {
        params: { id: data.brief.id },
        body: { sourceId: trial.sourceId, personId: current.person.id, verdict, reason: current.verdict?.reason ?? '' }
      });
    } catch (problem) {
      refused = problem;
    }
    kept.forget(keyOf(current.person.id));
    await reload('eave:trials', 'eave:brief');
  }

  /** People not judged yet whom facts alone make a miss. */
  const ruled = $derived(
    trial?.sample.flatMap(({ person, verdict }, index) => {
      const reason = verdict ? null : ruledOut(checkFacts(data.persona.body, data.wording.body, person));
      return reason ? [{ index, reason }] : [];
    }) ?? []
  );
  async function preJudge() {
    for (const { index, reason } of ruled) {
      const one = trial?.sample[index];
      if (one) await kept.give(keyOf(one.person.id), one.loaded, { verdict: 'miss', reason, by: 'rule' });
    }
    void invalidate('eave:brief');
  }

  let refused: unknown = $state(null);
  async function act(operation: typeof contract.stopTrial | typeof contract.resumeTrial, trialId: string) {
    refused = null;
    try {
      await call(operation, { params: { id: data.brief.id, trial: trialId } });
    } catch (problem) {
      refused = problem;
    }
    await invalidate('eave:trials');
  }
  async function drawMore(more: number) {
    if (!data.trial || !trial) return;
    refused = null;
    // Those who are possible only are drawn with the certain, in their share.
    const size = data.trial.sample.length + Math.ceil((more * data.trial.people) / Math.max(1, trial.people));
    try {
      await call(contract.drawMore, {
        params: { id: data.brief.id, trial: data.trial.id },
        body: { size: Math.min(2000, size) }
      });
    } catch (problem) {
      refused = problem;
    }
    await invalidate('eave:trials');
  }
  onMount(() => {
    const poll = setInterval(() => {
      if (data.trials.some(isUnderWay)) void invalidate('eave:trials').catch(() => {});
    }, 600);
    const unwatch = watchChanges(data.brief.id, () => void reload('eave:trials', 'eave:brief'));
    return () => {
      clearInterval(poll);
      unwatch();
    };
  });

  /** Said of the same person on another record, and nothing on this one. */
  const otherRecord = ({ verdict, counts }: Drawn) =>
    verdict || !counts ? null : { verdict: counts.verdict, at: sourceName(counts.records[0]!.sourceId) };

  const nextUnjudged = $derived(trial ? trial.sample.findIndex(({ verdict }, i) => !verdict && i !== at) : -1);
</script>

<svelte:window onkeydown={keys} />

{#if !trial}
  <h1>Trial</h1>
  <div class="sheet empty">
    <h2>Nothing was run yet</h2>
    <p>
      A trial runs the string at the sources and draws a sample to read. <a href={briefPath(data.brief.id, 'string')}
        >Run the string</a
      > first.
    </p>
  </div>
{:else}
  <div class="strip">
    <h1>Version {trial.version} on {trial.sourceName}</h1>
    <p class="soft">
      {#if trial.state === 'done'}
        {@const { found } = trial}
        <Figure
          name="estimated"
          value={found.estimated[reading()].middle}
          source={trial.sourceId}
          version={trial.version}>{about(found.estimated[reading()])}</Figure
        >
        found{isExact(found.estimated[reading()])
          ? ''
          : ` (${counted(found.estimated[reading()])})`}{#if trial.rendering.leftover}:
          <Figure name="shown" value={found.shown} source={trial.sourceId} version={trial.version}
            >{count(found.shown)}</Figure
          > shown,
          <Figure name="certain" value={found.certain} source={trial.sourceId} version={trial.version}
            >{count(found.certain)}</Figure
          > certain,
          <Figure name="possible" value={found.possible} source={trial.sourceId} version={trial.version}
            >{count(found.possible)}</Figure
          > possible{#if trial.filtered}, {count(trial.filtered)} contradicted and removed{/if}{/if}.
        {!trial.people
          ? 'Nobody is left to read.'
          : trial.sample.length === trial.people
            ? `All ${count(trial.people)} are here to read.`
            : `${trial.sample.length} drawn through all ${count(trial.people)}.`}
        {#if trial.contacted}{count(trial.contacted)} were contacted already and are left out.{/if}
        {#if trial.duplicates}{count(trial.duplicates)} look like a person shown before under another id.{/if}
        {#if trial.spent}Spent: {count(trial.spent.amount)} {trial.spent.unit}s.{/if}
      {/if}
    </p>
    <label>
      <span class="visually-hidden">Trial</span>
      <select value={trial.id} onchange={(event) => openTrial(event.currentTarget.value)}>
        {#each versionNumbers as number (number)}
          <optgroup label="Version {number}">
            {#each data.trials.filter(({ version }) => version === number) as one (one.id)}
              <option value={one.id}
                >Version {number} on {sourceName(one.sourceId)}{one.state === 'done' ? '' : ` (${one.state})`}</option
              >
            {/each}
          </optgroup>
        {/each}
      </select>
    </label>
    <label class="as"
      >judging as {#if naming}<input
          aria-label="Name of the second judge"
          maxlength="60"
          onchange={(event) => {
            naming = false;
            void judgeAs(event.currentTarget.value.trim());
          }}
          onkeydown={(event) => {
            if (event.key === 'Escape') naming = false;
          }}
        />{:else}<select
          value={data.as ?? ''}
          onchange={(event) => {
            if (event.currentTarget.value === '+') naming = true;
            else void judgeAs(event.currentTarget.value);
          }}
        >
          <option value="">first judge</option>
          {#each judgeNames as name (name)}<option value={name}>{name}</option>{/each}
          <option value="+">someone else…</option>
        </select>{/if}</label
    >
    {#if ruled.length && !data.as}
      <button
        class="quiet"
        title="By firm size, country, industry and firms to leave out; marked as by rule"
        onclick={preJudge}>Pre-judge {ruled.length} by rule</button
      >
    {/if}
    <CertainOnly briefId={data.brief.id} onrefused={(problem) => (refused = problem)} />
    <button class="quiet" disabled={nextUnjudged < 0} onclick={() => go(nextUnjudged)}>Next not judged</button>
    <button class="quiet" disabled={!undone.length} onclick={undo} title="Ctrl Z">Undo</button>
  </div>
  <Refused problem={kept.problem ?? refused} />
  {#if kept.waiting}
    <p class="sheet waiting" role="status">
      {kept.waiting} verdict{kept.waiting === 1 ? ' is' : 's are'} not kept yet.
      <button class="quiet" onclick={() => kept.tryAgain()}>Try again</button>
    </p>
  {/if}
  {#if trial.state !== 'done'}
    <div class="under-way">
      {#each [data.trial!, ...data.underWay] as one (one.id)}
        <TrialProgress
          trial={one}
          onstop={() => act(contract.stopTrial, one.id)}
          onresume={() => act(contract.resumeTrial, one.id)}
        />
      {/each}
    </div>
  {:else if data.underWay.length}
    <p class="sheet waiting" role="status">
      On the way:
      {#each data.underWay as one, i (one.id)}
        {i ? ', ' : ''}<a href={briefPath(data.brief.id, 'trial', { trial: one.id, ...judging })}
          >version {one.version} on {one.sourceName}</a
        >
        ({count(one.progress.rows)} rows so far)
      {/each}
    </p>
  {/if}
  {#if trial.state === 'done' && current}
    <div class="desk">
      <DepthRuler {trial} {at} onopen={go} />
      <PersonCard {trial} {at} />
      <VerdictDesk
        bind:this={desk}
        {checks}
        verdict={current.verdict?.verdict ?? null}
        reason={current.verdict?.reason ?? ''}
        byRule={current.verdict?.by === 'rule'}
        elsewhere={otherRecord(current)}
        conflict={data.as || !current.counts?.conflict
          ? []
          : current.counts.records.map(({ verdict, sourceId, personId }) => ({
              verdict,
              at: personId === current.person.id ? `${sourceName(sourceId)} (here)` : sourceName(sourceId)
            }))}
        onsettle={settle}
        ongive={give}
        onreason={because}
        onback={takeBack}
      >
        {#key current.person.id}{#if !data.as}
            <Note
              bind:this={note}
              briefId={data.brief.id}
              sourceId={trial.sourceId}
              personId={current.person.id}
              note={current.note}
              onkept={() => void reload('eave:trials')}
            />{/if}
        {/key}
      </VerdictDesk>
    </div>
    <PrecisionBar
      precision={precision!}
      {top}
      population={trial.people}
      source={trial.sourceId}
      sampled={trial.sample.length}
      onmore={drawMore}
    />
    {#if data.as}
      <p class="sheet waiting">
        {data.as} judges the same people without seeing what was said before. The brief goes by the first judge’s verdicts;
        <a href={briefPath(data.brief.id, 'compare', { panel: 'judges' })}>hold both against each other</a>.
      </p>
    {/if}
    {#if query && !data.as && judgedAs('miss').length}
      <Causes
        {query}
        matching={source?.sheet.matching ?? { stemming: null, diacritics: 'kept' }}
        misses={judgedAs('miss')}
        fits={judgedAs('fit')}
        proposalsPath={briefPath(data.brief.id, 'string', { panel: 'proposals' })}
      />
    {/if}
    {#if source}
      <KnownGoods briefId={data.brief.id} text={trial.text} {source} stringPath={briefPath(data.brief.id, 'string')} />
    {/if}
    {#if trial.events.length}
      <details class="sheet log">
        <summary>What went wrong on the way ({trial.events.length})</summary>
        <ul>
          {#each trial.events as event, i (i)}<li>
              search {event.search + 1}, page {event.page + 1}: {event.what}
            </li>{/each}
        </ul>
      </details>
    {/if}
  {:else if trial.state === 'done'}
    <div class="sheet empty">
      {#if trial.filtered || data.trial!.people}
        <h2>Nobody is left</h2>
        <p>
          {#if certainOnly() && data.trial!.people}
            {count(data.trial!.people)} people are possible here, and none is certain: {trial.sourceName} does not tell all
            that the string asks. Untick <i>Certain only</i> to read them.
          {:else}
            {count(trial.filtered)} came from {trial.sourceName}, and what it tells of them contradicts the part that it
            cannot be asked:
            <code class="mono">{trial.rendering.leftover ? print(trial.rendering.leftover) : trial.text}</code>
          {/if}
        </p>
      {:else}
        <h2>Nobody is found</h2>
        <p>
          {trial.rendering.notes.join(' ') || `${trial.sourceName} has nobody for this string.`}
          <a href={briefPath(data.brief.id, 'string')}>Change the string.</a>
        </p>
      {/if}
    </div>
  {/if}
{/if}

<style>
  select {
    font: inherit;
    font-size: 13px;
    color: var(--ink);
    background: var(--sheet);
    border: 1px solid var(--grey);
    padding: 4px 8px;
  }
  .desk {
    display: grid;
    grid-template-columns: 236px 1fr 330px;
    gap: 14px;
    height: max(430px, calc(100vh - 240px));
  }
  .log {
    margin-top: 12px;
    padding: 8px 18px;
    font-size: 13px;
  }
  .under-way {
    display: grid;
    gap: 10px;
  }
  .waiting {
    padding: 6px 14px;
    margin-bottom: 10px;
  }
</style>
