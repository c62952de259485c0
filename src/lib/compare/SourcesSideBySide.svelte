<script lang="ts">
  import { sourcesSideBySide as say } from './words';
  import Loading from '$lib/ui/Loading.svelte';
  import { presentJob } from '$core/people';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Button from '$lib/ui/Button.svelte';
  import Select from '$lib/ui/Select.svelte';
  import { certainQuery } from '$lib/frame/certain-only';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { count, percent } from '$lib/marks/format';
  import { verdicts } from '$lib/marks/verdicts';
  import type { Answer } from '$api';

  interface Props {
    briefId: string;
    versions: readonly { number: number; name: string }[];
    sources: readonly { id: string; name: string }[];
    version: number;
    here: string;
    there: string;
    onchoose: (choice: { to?: number; here?: string; there?: string }) => void;
  }
  let { briefId, versions, sources, version, here, there, onchoose }: Props = $props();

  type Comparison = Answer<'sourcesSideBySide'>;
  let answer: Comparison | null = $state.raw(null);
  let refused: unknown = $state(null);
  let only: string | null = $state(null);
  let last = '';
  $effect(() => {
    const asked = `${version} ${here} ${there} ${certainQuery()}`;
    last = asked;
    answer = null;
    refused = null;
    only = null;
    if (!here || !there || here === there) return;
    call('sourcesSideBySide', {
      params: { id: briefId },
      query: { version, here, there, certain: certainQuery() }
    }).then(
      (latest) => {
        if (asked === last) answer = latest;
      },
      (problem: unknown) => {
        if (asked === last) refused = problem;
      }
    );
  });
  const nameOf = (id: string) => sources.find((source) => source.id === id)?.name ?? id;
  const reasons = $derived.by(() => {
    const counts = new Map<string, number>();
    for (const { reason } of answer?.people ?? []) counts.set(reason, (counts.get(reason) ?? 0) + 1);
    return [...counts].sort((a, b) => b[1] - a[1]);
  });
  const listed = $derived.by(() =>
    (answer?.people ?? []).filter(({ reason }) => !only || reason === only).slice(0, 60)
  );
  const now = (person: Comparison['people'][number]['person'] | null) => (person ? presentJob(person) : undefined);
  const said = (person: Comparison['people'][number]['person'] | null) => {
    const job = now(person);
    return job ? `${job.title}, ${job.company}` : '';
  };
</script>

<section class="sheet panel" aria-label={say.twoSourcesSideBySide}>
  <header>
    <h2>{say.twoSourcesSideBySide}</h2>
    <Select label={say.version} value={version} onchange={(picked) => onchoose({ to: Number(picked) })}
      >{#each versions as { number, name } (number)}<option value={number}>{number} {name}</option>{/each}</Select
    >
    <Select label={say.foundAt} value={here} onchange={(picked) => onchoose({ here: picked })}
      >{#each sources as { id, name } (id)}<option value={id}>{name}</option>{/each}</Select
    >
    <Select label={say.butNotAt} value={there} onchange={(picked) => onchoose({ there: picked })}
      >{#each sources as { id, name } (id)}<option value={id}>{name}</option>{/each}</Select
    >
    <Button onclick={() => onchoose({ here: there, there: here })}>{say.swap}</Button>
  </header>
  <Refused problem={refused} />
  {#if here === there}
    <p class="soft">{say.chooseTwoSources}</p>
  {:else if answer}
    <p>
      {say.showsAlsoShowsThemAndMisses(nameOf(here), count(answer.found), count(answer.both), nameOf(there))}
      <b>{say.itDoesNot(count(answer.lacking))}</b>{answer.looked < answer.lacking
        ? say.theseDrawnFromWholeResultWere(count(answer.looked))
        : ''}.
    </p>
    {#if reasons.length}
      <div class="reasons" role="group" aria-label={say.whyMissesThem(nameOf(there))}>
        {#each reasons as [reason, people] (reason)}
          <Button aria-pressed={only === reason} onclick={() => (only = only === reason ? null : reason)}
            ><b>{percent(people / answer.looked)}</b> {reason} <span class="soft">{people}</span></Button
          >
        {/each}
      </div>
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="list" role="region" aria-label={say.peopleItMisses} tabindex="0">
        <div class="tabled">
          <Table aria-label={say.peopleMisses(nameOf(there))}>
            <TableHead
              ><TableRow
                ><TableHeader>{say.name}</TableHeader><TableHeader>{say.at(nameOf(here))}</TableHeader><TableHeader
                  >{say.at2(nameOf(there))}</TableHeader
                ><TableHeader>{say.why}</TableHeader><TableHeader>{say.verdict}</TableHeader></TableRow
              ></TableHead
            >
            <TableBody>
              {#each listed as one (one.person.id)}
                <TableRow>
                  <TableCell>{one.person.name}</TableCell>
                  <TableCell>{said(one.person)}</TableCell>
                  <TableCell>{one.there ? said(one.there) : ''}</TableCell>
                  <TableCell>{one.reason}</TableCell>
                  <TableCell
                    >{#if one.verdict}<span style:color={verdicts[one.verdict].colour}
                        >{verdicts[one.verdict].sign} {verdicts[one.verdict].word}</span
                      >{/if}</TableCell
                  >
                </TableRow>
              {/each}
            </TableBody>
          </Table>
        </div>
      </div>
    {/if}
  {:else if !refused}<Loading label={say.checkingEachThem} lines={4} />{/if}
</section>

<style>
  .reasons {
    display: flex;
    gap: 8px;
    flex-wrap: wrap;
    margin: 8px 0;
  }
  .reasons :global([aria-pressed='true']) {
    background: var(--accent-2);
  }
</style>
