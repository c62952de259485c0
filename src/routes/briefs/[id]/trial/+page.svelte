<script lang="ts">
  import { trialPage as say } from '$lib/trial/words';
  import { onMount, untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import CertainOnly from '$lib/frame/CertainOnly.svelte';
  import Refused from '$lib/frame/Refused.svelte';
  import { keysOf } from '$lib/frame/keys';
  import { brief as briefPath } from '$lib/frame/paths';
  import { watchBrief } from '$lib/kept/changes';
  import { reload } from '$lib/kept/reload';
  import DeleteTrial from '$lib/trial/page/DeleteTrial.svelte';
  import DepthRuler from '$lib/trial/sample/DepthRuler.svelte';
  import KnownGoods from '$lib/trial/sample/KnownGoods.svelte';
  import NobodyFound from '$lib/trial/judging/NobodyFound.svelte';
  import Note from '$lib/trial/judging/Note.svelte';
  import PersonCard from '$lib/trial/sample/PersonCard.svelte';
  import PrecisionBar from '$lib/trial/page/PrecisionBar.svelte';
  import SampleList from '$lib/trial/sample/SampleList.svelte';
  import TrialProgress from '$lib/trial/page/TrialProgress.svelte';
  import JudgingAs from '$lib/trial/judging/JudgingAs.svelte';
  import TrialLog from '$lib/trial/page/TrialLog.svelte';
  import TrialSummary from '$lib/trial/page/TrialSummary.svelte';
  import VerdictDesk from '$lib/trial/judging/VerdictDesk.svelte';
  import { reasons } from '$lib/trial/reasons';
  import { isUnderWay } from '$lib/trial/page/under-way';
  import { keepOnShortlist } from '$lib/shortlist/keep';
  import { TrialPage } from '$lib/trial/page/trial-page.svelte';
  import Button from '$lib/ui/Button.svelte';
  import Deferred from '$lib/ui/Deferred.svelte';
  import Information from 'carbon-icons-svelte/lib/Information.svelte';
  import TooltipIcon from 'carbon-components-svelte/src/TooltipIcon/TooltipIcon.svelte';
  import Select from '$lib/ui/Select.svelte';
  import { parse, setQueries } from '$core/language';

  let { data } = $props();

  const desk = new TrialPage(() => data);
  const { judging } = desk;
  const { kept } = judging;
  const trial = $derived(desk.trial);
  const at = $derived(desk.at);
  const current = $derived(desk.current);
  const source = $derived(desk.source);
  const as = $derived(desk.as);
  const query = $derived(data.trial && parse(data.trial.text, setQueries(data.trial.sets)).query);
  $effect.pre(() => {
    void [data.trial?.id, data.as];
    untrack(() => desk.follow());
  });
  $effect.pre(() => desk.followPlace());
  const causesOfMisses = () => import('$lib/trial/sample/Causes.svelte');
  const plainMatching = { stemming: null, diacritics: 'kept' } as const;
  let verdicts: VerdictDesk | undefined = $state();
  let note: Note | undefined = $state();
  const onTrialKey = keysOf('trial', {
    fit: () => desk.give('fit'),
    miss: () => desk.give('miss'),
    unsure: () => desk.give('unsure'),
    reason: (event) => {
      const reason = reasons[Number(event.key) - 1];
      if (reason) desk.because(reason);
    },
    before: () => desk.go(at - 1),
    after: () => desk.go(at + 1),
    ownReason: () => verdicts?.focusReason(),
    note: () => note?.focus(),
    takeBack: desk.takeBack,
    keep: () => void keepOne()
  });
  async function keepOne() {
    if (!current || !trial) return;
    await desk.doing(async () => {
      await keepOnShortlist(
        data.brief.id,
        { kind: 'records', records: [{ sourceId: trial.sourceId, personId: current.person.id }] },
        `version ${trial.version} on ${trial.sourceName}`
      );
      await reload('eave:brief');
    });
  }
  const onUndoKey = keysOf('everywhere', { undo: desk.undo });
  function keys(event: KeyboardEvent) {
    if (!trial) return;
    onTrialKey(event);
    onUndoKey(event);
  }
  onMount(() => {
    desk.onward.recall();
    return watchBrief(data.brief.id, {
      changed: () => void reload('eave:trials', 'eave:brief'),
      progressed: () => void reload('eave:trials'),
      // A trial may have come to its end before anybody listened.
      began: () => {
        if (data.underWay.length || (data.trial && isUnderWay(data.trial))) void reload('eave:trials');
      }
    });
  });
</script>

<svelte:window onkeydown={keys} />

{#if !trial}
  <h1>{say.trial}</h1>
  <div class="sheet empty">
    <h2>{say.nothingRunYet}</h2>
    <p>
      {say.trialRunsStringAtYourSources} <a href={briefPath(data.brief.id, 'string')}>{say.runString}</a>
      {say.first}
    </p>
  </div>
{:else}
  <div class="strip">
    <h1>{say.versionOn(trial.version, trial.sourceName)}</h1>
    <TrialSummary {trial} />
    <Select label={say.trial} hideLabel value={trial.id} onchange={desk.openTrial}>
      {#each desk.versionNumbers as number (number)}
        <optgroup label={say.version(number)}>
          {#each data.trials.filter(({ version }) => version === number) as one (one.id)}
            <option value={one.id}
              >{say.versionOn2(number, desk.sourceName(one.sourceId))}{one.state === 'done'
                ? ''
                : ` (${one.state})`}</option
            >
          {/each}
        </optgroup>
      {/each}
    </Select>
    <JudgingAs as={data.as} names={desk.judgeNames} onjudge={desk.judgeAs} />
    {#if judging.ruled && !data.as}
      <Button onclick={() => desk.doing(() => judging.judgeByRule())}>{say.preJudgeByRule(judging.ruled)}</Button>
      <TooltipIcon tooltipText={say.byFirmSizeCountryIndustryAnd} icon={Information} />
    {/if}
    {#if judging.byRule && !data.as}
      <Button onclick={() => desk.doing(() => judging.takeBackRules())}>{say.removeRuleVerdicts(judging.byRule)}</Button
      >
    {/if}
    <CertainOnly briefId={data.brief.id} onrefused={(problem) => (desk.refused = problem)} />
    {#if source?.kind === 'by-hand'}
      <Button
        onclick={() => goto(briefPath(data.brief.id, 'by-hand', { version: trial.version, source: trial.sourceId }))}
        >{say.diary}</Button
      >
    {/if}
    <Button disabled={desk.nextUnjudged < 0} onclick={() => desk.go(desk.nextUnjudged)}>{say.nextUnjudged}</Button>
    <Button disabled={!judging.canUndo} onclick={desk.undo}>{say.undo}</Button>
    {#if data.trial && !data.as}
      <DeleteTrial
        briefId={data.brief.id}
        trial={data.trial}
        ondeleted={() => void goto(briefPath(data.brief.id, 'trial'), { invalidateAll: true })}
        onrefused={(problem) => (desk.refused = problem)}
      />
    {/if}
  </div>
  <Refused problem={kept.problem ?? desk.refused} />
  {#if kept.waiting}
    <p class="sheet waiting" role="status">
      {say.verdict(kept.waiting)}{kept.waiting === 1 ? say.is : say.sAre}
      {say.notSavedYet}
      <Button onclick={() => kept.tryAgain()}>{say.retry}</Button>
    </p>
  {/if}
  {@const running = [...(trial.state === 'done' ? [] : [data.trial!]), ...data.underWay]}
  {#if running.length}
    <div class="sheet under-way">
      {#each running as one (one.id)}
        <TrialProgress
          trial={one}
          href={one.id === trial.id ? undefined : briefPath(data.brief.id, 'trial', { trial: one.id, ...as })}
          onstop={() => desk.act('stopTrial', one.id)}
          onresume={() => desk.act('resumeTrial', one.id)}
        />
      {/each}
      <p class="soft">{say.whatsCollectedSoFarIsSaved}</p>
    </div>
  {/if}
  {#if trial.state === 'done' && current}
    <div class="desk">
      <DepthRuler {trial} {at} onopen={desk.go} />
      <PersonCard {trial} {at} />
      <VerdictDesk
        bind:this={verdicts}
        onward={desk.onward}
        checks={desk.checks}
        verdict={current.verdict?.verdict ?? null}
        reason={current.verdict?.reason ?? ''}
        byRule={current.verdict?.by === 'rule'}
        elsewhere={desk.otherRecord(current)}
        conflict={desk.conflictOf(current)}
        onsettle={desk.settle}
        ongive={desk.give}
        onreason={desk.because}
        onback={desk.takeBack}
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
        <div class="keep">
          <Button onclick={keepOne}>{say.addToShortlist} <kbd>K</kbd></Button>
        </div>
      </VerdictDesk>
    </div>
    <PrecisionBar
      precision={judging.precision!}
      top={judging.top}
      population={trial.people}
      speaksOf={judging.speaksOf}
      source={trial.sourceId}
      sampled={trial.sample.length}
      onmore={desk.drawMore}
    />
    <Deferred height="300px">
      {#if !data.as && data.trial}
        <SampleList
          briefId={data.brief.id}
          sourceId={data.trial.sourceId}
          sample={trial.sample}
          {query}
          matching={source?.sheet.matching ?? plainMatching}
          onjudged={() => void reload('eave:trials', 'eave:brief')}
        />
      {/if}
      {#if data.as}
        <p class="sheet waiting">
          {say.judgesSamePeopleWithoutSeeingEarlier(data.as)}
          <a href={briefPath(data.brief.id, 'compare', { panel: 'judges' })}>{say.compareBoth}</a>.
        </p>
      {/if}
      {#if query && !data.as && judging.judgedAs('miss').length}
        {#await causesOfMisses() then { default: Causes }}
          <Causes
            {query}
            matching={source?.sheet.matching ?? plainMatching}
            misses={judging.judgedAs('miss')}
            fits={judging.judgedAs('fit')}
            proposalsPath={briefPath(data.brief.id, 'string', { panel: 'proposals' })}
          />
        {/await}
      {/if}
      {#if source}
        <KnownGoods
          briefId={data.brief.id}
          text={trial.text}
          {source}
          stringPath={briefPath(data.brief.id, 'string')}
        />
      {/if}
      {#if trial.events.length}
        <TrialLog events={trial.events} />
      {/if}
    </Deferred>
  {:else if trial.state === 'done'}
    <div class="sheet empty">
      <NobodyFound {trial} people={data.trial!.people} stringPath={briefPath(data.brief.id, 'string')} />
    </div>
  {/if}
{/if}

<style>
  .keep {
    display: flex;
    gap: 8px;
    align-items: center;
    margin-top: 6px;
    font-size: 12px;
  }
  /* The result gets its own line below the selects, because a column would hold one word a line. */
  .strip {
    row-gap: 2px;
  }
  .strip > :global(p) {
    order: 1;
    flex-basis: 100%;
  }
  .strip > h1 {
    margin-right: auto;
  }
  .desk {
    display: grid;
    grid-template-columns: 236px 1fr 330px;
    gap: 14px;
    height: max(430px, calc(100vh - 308px));
  }
  .under-way {
    padding: 6px 14px;
    margin-bottom: 10px;
    font-size: 12.5px;
  }
  .waiting {
    padding: 6px 14px;
    margin-bottom: 10px;
  }
</style>
