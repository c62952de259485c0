<script lang="ts">
  import { versionsSideBySide as say } from './words';
  import Loading from '$lib/ui/Loading.svelte';
  import { hasPeopleHere } from '$api/source-kinds';
  import Accordion from '$lib/ui/Accordion.svelte';
  import Select from '$lib/ui/Select.svelte';
  import { certainQuery, reading } from '$lib/frame/certain-only';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { about, count, percent, percentRange } from '$lib/marks/format';
  import PartChanges from '$lib/string/versions/PartChanges.svelte';
  import PeopleToJudge from '$lib/trial/sample/PeopleToJudge.svelte';
  import TwoNarrowings from '$lib/charts/TwoNarrowings.svelte';
  import { setQueries, parse, print } from '$core/language';
  import { compareVersions, partsOf } from '$core/semantics';
  import type { Answer } from '$api';

  type Version = Answer<'listVersions'>[number];
  interface Props {
    briefId: string;
    versions: readonly Version[];
    sources: readonly Answer<'listSources'>[number][];
    from: number;
    to: number;
    source: string;
    /** Changes when something of the brief did. */
    turn: number;
    onchoose: (choice: { from?: number; to?: number; source?: string }) => void;
    onjudged: () => void;
  }
  let { briefId, versions, sources, from, to, source, turn, onchoose, onjudged }: Props = $props();

  let answer: Answer<'sideBySide'> | null = $state.raw(null);
  let narrowings: Answer<'ledger'>[] | null = $state.raw(null);
  let refused: unknown = $state(null);
  const before = $derived(versions.find(({ number }) => number === from));
  const after = $derived(versions.find(({ number }) => number === to));
  const where = $derived(sources.find(({ id }) => id === source));
  const parts = $derived(
    before && after
      ? compareVersions(before.text, after.text, { before: setQueries(before.sets), after: setQueries(after.sets) })
      : []
  );
  const excluded = $derived(parts.filter(({ change, place }) => change === 'added' && /exclu|not/i.test(place)));

  let last = '';
  $effect(() => {
    void turn;
    const asked = `${from} ${to} ${source} ${reading()}`;
    if (asked !== last) {
      answer = null;
      narrowings = null;
    }
    const isNew = asked !== last;
    last = asked;
    refused = null;
    if (!source || !before || !after) return;
    call('sideBySide', { params: { id: briefId }, query: { from, to, source, certain: certainQuery() } }).then(
      (latest) => {
        if (asked === last) answer = latest;
      },
      (problem: unknown) => {
        if (asked === last) refused = problem;
      }
    );
    if (isNew && where && hasPeopleHere(where.kind))
      Promise.all(
        [before, after].map(({ text }) => call('ledger', { params: { id: briefId }, body: { text, sourceId: source } }))
      ).then(
        (latest) => {
          if (asked === last) narrowings = latest;
        },
        () => {}
      );
  });

  const textsOf = ({ text, sets }: Version) => {
    const { query } = parse(text, setQueries(sets));
    return query ? partsOf(query).map((part) => print(part.query)) : [];
  };
  type Side = Answer<'sideBySide'>['goes'];
  const judged = ({ fits }: Side) =>
    fits.judged
      ? say.judgedAreFits(fits.count, fits.judged, percent(fits.count / fits.judged), percentRange(fits.interval))
      : say.nobodyJudgedYet;
  /** How many fits a side holds, with the uncertainty of its count and of its share. */
  const fitsIn = ({ count: all, fits }: Side) => ({
    low: all.low * fits.interval.low,
    high: all.high * fits.interval.high
  });
  const range = ({ low, high }: { low: number; high: number }) =>
    Math.round(low) === Math.round(high)
      ? count(Math.round(low))
      : say.toText2(count(Math.round(low)), count(Math.round(high)));
  const cost = $derived.by(() => {
    if (!answer) return '';
    const { goes, comes } = answer;
    const said: string[] = [];
    if (goes.count.high)
      said.push(
        goes.fits.judged
          ? say.removes(about(goes.count), goes.fits.count, goes.fits.judged, range(fitsIn(goes)))
          : say.removesUnjudged(about(goes.count))
      );
    if (comes.count.high)
      said.push(
        comes.fits.judged
          ? say.adds(about(comes.count), comes.fits.count, comes.fits.judged, range(fitsIn(comes)))
          : say.addsUnjudged(about(comes.count))
      );
    return said.length ? `${said.join('; ')}.` : say.bothFindSamePeopleHere;
  });
  const chance = (p: number) => (p < 0.001 ? 'p < 0.001' : `p = ${p.toFixed(3)}`);
  const fileName = $derived(say.narrowing(from, to));
</script>

<section class="sheet panel" aria-label={say.twoVersionsSideBySide}>
  <header>
    <h2>{say.twoVersionsSideBySide}</h2>
    <Select label={say.from} value={from} onchange={(picked) => onchoose({ from: Number(picked) })}
      >{#each versions as { number, name } (number)}<option value={number}>{number} {name}</option>{/each}</Select
    >
    <Select label={say.toText} value={to} onchange={(picked) => onchoose({ to: Number(picked) })}
      >{#each versions as { number, name } (number)}<option value={number}>{number} {name}</option>{/each}</Select
    >
    <Select label={say.at} value={source} onchange={(picked) => onchoose({ source: picked })}
      >{#each sources as { id, name } (id)}<option value={id}>{name}</option>{/each}</Select
    >
  </header>
  {#if from === to}
    <p class="soft">{say.chooseTwoDifferentVersions}</p>
  {:else}
    <div class="top">
      <div>
        <h3>{say.changesInString}</h3>
        {#if parts.length}<PartChanges {parts} />{:else}<p class="soft">{say.onlySpellingDiffers}</p>{/if}
        <Refused problem={refused} />
        {#if answer}
          <p class="cost">
            {#if excluded.length}<b
                >{say.gainedAndLostBy} {excluded.length === 1 ? say.thisExclusion : say.theseExclusions}{say.cost}</b
              >{/if}
            {cost}
          </p>
          <p class="soft">
            {say.peopleJudgedVersionAloneIsRight(answer.test.before, from, answer.test.after, to)}{answer.test.before +
            answer.test.after
              ? ` (McNemar’s exact test: ${chance(answer.test.p)}${answer.test.p < 0.05 ? '' : ', which could be chance'})`
              : ''}{say.fitsLostMissesRemovedFitsGained(
              answer.test.gone.fits,
              answer.test.gone.misses,
              answer.test.come.fits,
              answer.test.come.misses
            )}
          </p>
        {/if}
      </div>
      {#if narrowings && before && after && where}
        <TwoNarrowings
          sides={[before, after].map((version, i) => ({
            version: version.number,
            people: where.people,
            parts: textsOf(version),
            narrowing: narrowings![i]!.narrowing
          }))}
          sourceName={where.name}
          file={fileName}
        />
      {/if}
    </div>
    {#if answer}
      <div class="sides">
        {#each [['goes', 'removed'], ['comes', 'added'], ['stays', 'kept']] as const as [key, word] (key)}
          {@const side = answer[key]}
          <Accordion title={word} open={key !== 'stays' && side.shown > 0}>
            {#snippet heading()}
              <span class="n">{about(side.count)}</span>
              {word}
              <span class="soft"
                >{side.shown ? say.drawnFromWholeResult(judged(side), side.sample.length, count(side.shown)) : ''}</span
              >
            {/snippet}
            {#if side.sample.length}
              <div class="list">
                <PeopleToJudge {briefId} sourceId={source} people={side.sample} label={say.people(word)} {onjudged} />
              </div>
            {:else}<p class="soft">{say.nobody}</p>{/if}
          </Accordion>
        {/each}
      </div>
    {:else if !refused}<Loading label={say.comparing} lines={4} />{/if}
  {/if}
</section>

<style>
  .top {
    display: grid;
    grid-template-columns: 1fr 430px;
    gap: 16px;
    align-items: start;
  }
  .cost {
    font-size: 14px;
    margin: 6px 0;
  }
  .n {
    font-size: 19px;
    font-weight: 300;
  }
</style>
