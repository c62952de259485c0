<script lang="ts">
  import Waiting from '$lib/ui/Waiting.svelte';
  import { presentJob } from '$core/people';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Act from '$lib/ui/Act.svelte';
  import Pick from '$lib/ui/Pick.svelte';
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
      (told) => (judges = told),
      (problem: unknown) => (refused = problem)
    );
  });
  async function load(name: string) {
    try {
      const told = await call('agreement', { params: { id: briefId, judge: name } });
      if (name === judge) agreement = told;
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

<section class="sheet panel" aria-label="Two judges">
  <header>
    <h2>Two judges</h2>
    {#if judges && judges.length > 1}
      <Pick label="second judge" value={judge} onpick={(picked) => (wanted = picked)}
        >{#each judges as one (one.judge)}<option value={one.judge}>{one.judge} ({one.judged})</option>{/each}</Pick
      >
    {/if}
  </header>
  <Refused problem={refused} />
  {#if judges && !judges.length}
    <p>
      Nobody judged a second time yet. Open the <a href={briefPath(briefId, 'trial')}>trial</a>, choose “judging as” and
      give the second judge’s name: they see the same people and none of the verdicts given before.
    </p>
  {:else if agreement}
    <div class="two">
      <div>
        <p>
          {agreement.judge} and the first judge both judged <b>{agreement.judged}</b> people and agree on
          {agreement.agreed}{agreement.judged ? `, ${percent(agreement.observed)}` : ''}; by their habits alone they
          would agree on {percent(agreement.expected)}.
        </p>
        <p>
          {#if agreement.kappa === null}
            Cohen’s kappa cannot be told: {agreement.judged
              ? 'all verdicts are the same'
              : 'they have nobody in common yet'}.
          {:else}
            Cohen’s kappa <b>{agreement.kappa.toFixed(2)}</b>
            <span class="soft"
              >{agreement.interval.low.toFixed(2)} to {agreement.interval.high.toFixed(2)} in 95 of 100; 1 is full agreement,
              0 is what chance does</span
            >
          {/if}
        </p>
      </div>
      <div class="tabled">
        <Table aria-label="Verdicts of both">
          <TableHead
            ><TableRow
              ><TableHeader class="soft">first ↓ {agreement.judge} →</TableHeader
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
      <h3>Where they differ</h3>
      <div class="list">
        <div class="tabled">
          <Table aria-label="Where the judges differ">
            <TableHead
              ><TableRow
                ><TableHeader>Person</TableHeader><TableHeader>Source</TableHeader><TableHeader>First judge</TableHeader
                ><TableHeader>{agreement.judge}</TableHeader><TableHeader>Settle as</TableHeader></TableRow
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
                      <Act
                        aria-pressed={one.settled?.verdict === verdict}
                        aria-label="Settle {one.person.name} as {verdicts[verdict].word.toLowerCase()}"
                        onclick={() => settle(one, verdict)}>{verdicts[verdict].sign} {verdicts[verdict].word}</Act
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
  {:else if !refused}<Waiting says="Counting…" lines={3} />{/if}
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
