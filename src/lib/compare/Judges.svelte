<script lang="ts">
  import { judges as say } from './words';
  import Term from '$lib/terms/Term.svelte';
  import Loading from '$lib/ui/Loading.svelte';
  import { presentJob } from '$core/people';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import { percent } from '$lib/marks/format';
  import { verdicts } from '$lib/marks/verdicts';
  import type { Verdict } from '$core/measure';
  import type { Answer } from '$api';

  interface Props {
    briefId: string;
    sources: readonly { id: string; name: string }[];
    /** Changes when something of the brief did. */
    turn: number;
    onsettled: () => void;
  }
  let { briefId, sources, turn, onsettled }: Props = $props();

  let judges: Answer<'listJudges'> | null = $state.raw(null);
  let wanted = $state('');
  let agreement: Answer<'agreement'> | null = $state.raw(null);
  let refused: unknown = $state(null);
  const judge = $derived.by(() => (judges?.some((one) => one.judge === wanted) ? wanted : (judges?.[0]?.judge ?? '')));
  $effect(() => {
    void turn;
    call('listJudges', { params: { id: briefId } }).then(
      (latest) => (judges = latest),
      (problem: unknown) => (refused = problem)
    );
  });
  async function load(name: string) {
    try {
      const latest = await call('agreement', { params: { id: briefId, judge: name } });
      if (name === judge) agreement = latest;
    } catch (problem) {
      refused = problem;
    }
  }
  $effect(() => {
    void turn;
    if (judge) void load(judge);
  });
  async function settle(one: Answer<'agreement'>['differences'][number], verdict: Verdict) {
    refused = null;
    try {
      await call('settle', {
        params: { id: briefId, judge },
        body: { sourceId: one.sourceId, personId: one.person.id, verdict, revision: one.revision }
      });
      onsettled();
    } catch (problem) {
      refused = problem;
    }
    await load(judge);
  }
  const order: readonly Verdict[] = ['fit', 'miss', 'unsure'];
  const nameOf = (id: string) => sources.find((source) => source.id === id)?.name ?? id;
  const now = (person: Answer<'agreement'>['differences'][number]['person']) => presentJob(person);
</script>

{#snippet mark(said: { verdict: Verdict; reason: string })}
  <span style:color={verdicts[said.verdict].colour}>{verdicts[said.verdict].sign} {verdicts[said.verdict].word}</span>
  <small class="soft">{said.reason}</small>
{/snippet}

<section class="sheet panel" aria-label={say.twoJudges}>
  <header>
    <h2>{say.twoJudges}</h2>
    <Term of="kappa" />
    {#if judges && judges.length > 1}
      <Select label={say.secondJudge} value={judge} onchange={(picked) => (wanted = picked)}
        >{#each judges as one (one.judge)}<option value={one.judge}>{one.judge} ({one.judged})</option>{/each}</Select
      >
    {/if}
  </header>
  <Refused problem={refused} />
  {#if judges && !judges.length}
    <p>
      {say.theresNoSecondJudgeYetOpen}
      <a href={briefPath(briefId, 'trial')}>{say.trial}</a>{say.chooseJudgingAsAndEnterSecond}
    </p>
  {:else if agreement}
    <div class="two">
      <div>
        <p>
          {say.andFirstJudgeBothJudged(agreement.judge)} <b>{agreement.judged}</b>
          {say.peopleAndAgreeOn(agreement.agreed)}{agreement.judged
            ? `, ${percent(agreement.observed)}`
            : ''}{say.expectedByChance(percent(agreement.expected))}
        </p>
        <p>
          {#if agreement.kappa === null}
            {say.cohensKappaCantBeComputed}
            {agreement.judged ? say.allVerdictsAreSame : say.theyHaventJudgedAnyoneInCommon}.
          {:else}
            {say.cohensKappa} <b>{agreement.kappa.toFixed(2)}</b>
            <span class="soft"
              >{say.n95IntervalTo1IsFull(agreement.interval.low.toFixed(2), agreement.interval.high.toFixed(2))}</span
            >
          {/if}
        </p>
      </div>
      <div class="tabled">
        <Table aria-label={say.verdictsBothJudges}>
          <TableHead
            ><TableRow
              ><TableHeader class="soft">{say.first(agreement.judge)}</TableHeader
              >{#each order as verdict (verdict)}<TableHeader
                  >{verdicts[verdict].sign} {verdicts[verdict].word}</TableHeader
                >{/each}</TableRow
            ></TableHead
          >
          <TableBody>
            {#each order as verdict, i (verdict)}
              <TableRow
                ><TableHeader scope="row">{verdicts[verdict].sign} {verdicts[verdict].word}</TableHeader
                >{#each agreement.table[i]! as number, j (j)}<TableCell class="number {i === j ? 'agree' : ''}"
                    >{number}</TableCell
                  >{/each}</TableRow
              >
            {/each}
          </TableBody>
        </Table>
      </div>
    </div>
    {#if agreement.differences.length}
      <h3>{say.disagreements}</h3>
      <div class="list">
        <div class="tabled">
          <Table aria-label={say.disagreementsBetweenJudges}>
            <TableHead
              ><TableRow
                ><TableHeader>{say.person}</TableHeader><TableHeader>{say.source}</TableHeader><TableHeader
                  >{say.firstJudge}</TableHeader
                ><TableHeader>{agreement.judge}</TableHeader><TableHeader>{say.finalVerdict}</TableHeader></TableRow
              ></TableHead
            >
            <TableBody>
              {#each agreement.differences as one (`${one.sourceId} ${one.person.id}`)}
                <TableRow>
                  <TableCell
                    >{one.person.name}
                    <small class="soft"
                      >{[now(one.person)?.title, now(one.person)?.company].filter(Boolean).join(', ')}</small
                    ></TableCell
                  >
                  <TableCell>{nameOf(one.sourceId)}</TableCell>
                  <TableCell>{@render mark(one.first)}</TableCell>
                  <TableCell>{@render mark(one.second)}</TableCell>
                  <TableCell class="judge">
                    {#each order as verdict (verdict)}
                      <Button
                        aria-pressed={one.settled?.verdict === verdict}
                        aria-label={say.settleAs(one.person.name, verdicts[verdict].word.toLowerCase())}
                        onclick={() => settle(one, verdict)}>{verdicts[verdict].sign} {verdicts[verdict].word}</Button
                      >
                    {/each}
                  </TableCell>
                </TableRow>
              {/each}
            </TableBody>
          </Table>
        </div>
      </div>
    {/if}
  {:else if !refused}<Loading label={say.counting} lines={3} />{/if}
</section>

<style>
  .two {
    display: grid;
    grid-template-columns: 1fr 380px;
    gap: 18px;
    align-items: start;
  }
  .two p + p {
    margin-top: 6px;
  }
  .tabled :global(.agree) {
    background: var(--accent-2);
  }
  small {
    display: block;
  }
</style>
