<script lang="ts">
  import { harvestCard as say } from './words';
  import type { Answer } from '$api';
  import { disagreements, leadingJob, countryName } from '$core/people';
  import { moment } from '$lib/marks/format';
  import { verdicts } from '$lib/marks/verdicts';
  import Button from '$lib/ui/Button.svelte';
  import type { Verdict } from '$core/measure';

  interface Props {
    card: Answer<'readHarvestPerson'>;
    verdict: Verdict | null;
    ongive: (verdict: Verdict) => void;
  }
  let { card, verdict, ongive }: Props = $props();
  const [first] = $derived(card.records);
  const differing = $derived(disagreements(card.records.map(({ person }) => person)));
</script>

<!-- All records of one person, the newest first. -->
<section class="sheet" aria-label={say.person}>
  <header>
    <h2>{first?.person.name}</h2>
    <span class="give">
      {#each Object.entries(verdicts) as [name, { sign, word, key, colour }] (name)}
        <Button
          aria-pressed={verdict === name}
          class={verdict === name ? 'on' : ''}
          onclick={() => ongive(name as Verdict)}><b style:color={colour}>{sign}</b> {word} <kbd>{key}</kbd></Button
        >
      {/each}
    </span>
  </header>
  {#if card.evidence.length}
    <ul class="evidence" aria-label={say.whyThisLikely}>
      {#each card.evidence as { words, speaksFor } (words)}
        <li class:against={!speaksFor}>
          <span class="visually-hidden">{speaksFor ? say.speaksFor : say.speaksAgainst}</span>
          <span aria-hidden="true">{speaksFor ? '+' : '−'}</span>
          {words}
        </li>
      {/each}
    </ul>
  {/if}
  {#if differing.length}
    <div class="record" role="group" aria-label={say.differencesBetweenRecords}>
      <p>
        <b>{say.recordsDiffer}</b>
        <span class="soft">{say.newestIsUsed(first?.sourceName, moment(first!.seenAt))}</span>
      </p>
      <dl>
        {#each differing as { field, says } (field)}
          <dt>{field}</dt>
          <dd>
            {#each says as { text, records }, i (text)}{i ? ' · ' : ''}{#if i === 0}<b>{text}</b>{:else}{text}{/if}
              <span class="soft">{records.map((at) => card.records[at]!.sourceName).join(', ')}</span>{/each}
          </dd>
        {/each}
      </dl>
    </div>
  {/if}
  {#each card.records as { sourceId, sourceName, person, reading, unlisted, slices, seenAt } (sourceId + person.id)}
    {@const job = leadingJob(person)}
    <div class="record">
      <p>
        <b>{sourceName}</b>
        <span class="soft">{say.inText(moment(seenAt), slices.join('; '))}</span>
        <span class="soft">{reading === 'met' ? 'certain' : say.possibleNotListed(unlisted.join(', '))}</span>
      </p>
      <p>
        {[job && say.at(job.title, job.company), person.place, person.country && countryName(person.country)]
          .filter(Boolean)
          .join(' · ')}
        {#if person.headcount !== undefined}<span class="soft"
            >· {person.headcount.toLocaleString('en')} {say.people}</span
          >{/if}
      </p>
      {#if person.contact?.length}<p class="soft">{person.contact.join(' · ')}</p>{/if}
    </div>
  {/each}
</section>

<style>
  section {
    padding: 8px 14px;
    font-size: 12.5px;
    overflow: auto;
  }
  header {
    display: flex;
    gap: 10px;
    align-items: baseline;
    justify-content: space-between;
  }
  h2 {
    font-size: 15px;
  }
  .give :global(.button.on) {
    background: var(--accent-2);
  }
  dl {
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: 2px 12px;
  }
  dt {
    color: var(--soft);
  }
  .evidence {
    display: flex;
    flex-wrap: wrap;
    gap: 0 14px;
    margin: 4px 0;
    padding: 0;
    list-style: none;
    color: var(--accent);
  }
  .evidence .against {
    color: var(--warm);
  }
  .record {
    border-top: 1px solid var(--rule);
    padding: 4px 0;
    overflow-wrap: anywhere;
  }
</style>
