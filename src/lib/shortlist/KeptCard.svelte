<script lang="ts">
  import { keptCard as say } from './words';
  import type { Answer } from '$api';
  import { leadingJob, countryName } from '$core/people';
  import Sure from '$lib/ui/Sure.svelte';
  import { moment } from '$lib/marks/format';
  import Act from '$lib/ui/Act.svelte';
  import DateField from '$lib/ui/DateField.svelte';
  import Field from '$lib/ui/Field.svelte';
  import Fold from '$lib/ui/Fold.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import type { ShortlistPage } from './shortlist-page.svelte';
  import OwnCell from './OwnCell.svelte';

  let { desk, list, card }: { desk: ShortlistPage; list: Answer<'readShortlist'>; card: Answer<'readKept'> } = $props();

  const { person } = $derived(card);
  const whom = $derived({ numbers: [person.number] });
  const change = (...[what, was]: [Parameters<ShortlistPage['change']>[0], Parameters<ShortlistPage['change']>[2]?]) =>
    desk.change(what, whom, was);
  const typed = (event: Event) => (event.currentTarget as HTMLInputElement).value.trim();
  const letter = $derived([
    { name: 'greeting', word: say.greeting, now: person.greeting, before: person.name },
    { name: 'firm', word: say.firm, now: person.firmSaid, before: person.company },
    { name: 'title', word: say.title, now: person.tidyTitle, before: person.title }
  ] as const);
  let objecting = $state(false);
  const fields = $derived(card.fields.filter(({ told }) => told.some(Boolean)));
  const shown = (field: string, text: string) => (field === 'country' && text ? countryName(text) : text);
</script>

<!-- Everything that is known of one person, by source and date. -->
<section class="sheet" aria-label={say.thePerson}>
  <header>
    <h2>{person.name}</h2>
    <Act onclick={() => desk.close()} aria-label={say.closeTheCard}>{say.close}</Act>
  </header>
  <p>
    {[person.title, person.company].filter(Boolean).join(' at ')}
    <span class="soft">{[person.place, person.country && countryName(person.country)].filter(Boolean).join(', ')}</span>
  </p>
  <p>
    {#if person.mail}{person.mail} <span class="soft">{person.mailState}{person.mailWhy && `: ${person.mailWhy}`}</span>
    {:else if card.guess}<span class="soft"
        >{say.noAddressLikely} <b>{card.guess.address}</b>{say.aGuessByOfThere(
          card.guess.pattern,
          card.guess.seen,
          card.guess.of
        )}</span
      >{:else}<span class="soft">{say.noAddress}</span>{/if}
    {#if person.phone}· {person.phone}{/if}
  </p>
  <p class="soft">
    {say.kept(moment(person.keptAt))}{person.keptBy && say.by(person.keptBy)}
    {say.from}
    {person.keptFrom === 'people'
      ? say.aFile
      : person.keptFrom === 'records'
        ? say.aTrial
        : person.keptFrom}{person.keptWhy && `: ${person.keptWhy}`}{person.takenAt
      ? say.takenAlong(moment(person.takenAt))
      : ''}
  </p>
  <div class="line">
    <Pick
      label={say.priority}
      value={person.priority ?? 0}
      onpick={(priority) => change({ priority: priority || null })}
    >
      <option value={0}>–</option>
      {#each [1, 2, 3, 4, 5] as one (one)}<option value={one}>{one}</option>{/each}
    </Pick>
    <Field
      label={say.next}
      inline
      value={person.nextStep}
      maxlength="500"
      onchange={(event: Event) => change({ nextStep: typed(event) }, { nextStep: person.nextStep })}
    />
    <DateField
      label={say.onWhichDay}
      hideLabel
      value={person.nextOn ?? ''}
      onpick={(day) => change({ nextOn: day || null }, { nextOn: person.nextOn })}
    />
  </div>
  <Field
    label={say.note}
    value={person.note}
    maxlength="2000"
    onchange={(event: Event) => change({ note: typed(event) }, { note: person.note })}
  />
  {#if list.columns.length}
    <div class="own">
      {#each list.columns as column (column.name)}
        <OwnCell
          {column}
          value={person.own[column.name] ?? null}
          onchange={(value) =>
            change({ own: { [column.name]: value } }, { own: { [column.name]: person.own[column.name] ?? null } })}
        />
      {/each}
    </div>
  {/if}

  <h3>{say.inALetter}</h3>
  <table class="plain">
    <tbody>
      {#each letter as { name, word, now, before } (name)}
        <tr>
          <td class="soft">{word}</td>
          <td class="soft before">{before}</td>
          <td
            ><Field
              aria-label={say.inALetter2(word)}
              value={now}
              maxlength="200"
              onchange={(event: Event) => change({ written: { [name]: typed(event) } })}
            /></td
          >
          <td
            >{#if card.written.includes(name)}<Act look="plain" onclick={() => change({ written: { [name]: null } })}
                >{say.asEaveWould} {card.cleaned[name] || 'none'}</Act
              >{:else if name === 'greeting' && !card.cleaned.sure}<span class="soft">{say.notSure}</span>{/if}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>

  <h3>{card.records.length === 1 ? say.oneRecord : say.records(card.records.length)}</h3>
  {#if card.records.length > 1}
    <table class="plain">
      <tbody>
        {#each fields as { field, from, why, told } (field)}
          <tr>
            <td class="soft">{field}</td>
            <td class="choices">
              {#each told as text, i (i)}{#if text}<Act
                    look="plain"
                    aria-pressed={from === i}
                    onclick={() => change({ choice: { [field]: { record: i } } })}>{shown(field, text)}</Act
                  >{/if}{/each}
            </td>
            <td class="soft"
              >{why}{#if why === 'chosen'}
                <Act look="plain" onclick={() => change({ choice: { [field]: null } })}>{say.letGo}</Act>{/if}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  {#each card.records as { sourceId, sourceName, seenAt, person: one }, i (sourceId + one.id)}
    {@const job = leadingJob(one)}
    <div class="record">
      <b>{sourceId === 'list' ? say.aFile : sourceName}</b> <span class="soft">{moment(seenAt)}</span>
      {#if card.records.length > 1}<Act look="plain" onclick={() => desk.split(person.number, i)}
          >{say.somebodyElseSplit}</Act
        >{/if}
      <div>
        {[
          one.name,
          job && [job.title, job.company].filter(Boolean).join(' at '),
          one.place,
          one.country && countryName(one.country)
        ]
          .filter(Boolean)
          .join(' · ')}
      </div>
    </div>
  {/each}
  <Fold title={say.leaveOutTakeOffOrThey}>
    <div class="line">
      {#if person.leftOut.includes('by hand')}
        <Act onclick={() => change({ leaveOut: null })}>{say.takeInAgain}</Act>
      {:else}<Act onclick={() => change({ leaveOut: '' })}>{say.leaveOut}</Act>{/if}
      <Act onclick={() => change({ drop: true })}>{say.takeOffTheList}</Act>
      <Act look="danger" onclick={() => (objecting = true)}>{say.eraseOnObjection}</Act>
    </div>
  </Fold>
</section>
<Sure
  open={objecting}
  heading={say.eraseEverywhere(person.name)}
  yes={say.eraseForGood}
  no={say.cancel}
  onyes={() => {
    const [first] = card.records;
    if (first) void desk.erase({ sourceId: first.sourceId, personId: first.person.id });
  }}
  onclose={() => (objecting = false)}
>
  {say.thisDeletesEveryRecordOfThis}
</Sure>

<style>
  section {
    padding: 10px 14px;
    overflow: auto;
    min-height: 0;
    font-size: 12.5px;
    overflow-wrap: anywhere;
  }
  header {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    gap: 8px;
  }
  h2 {
    font-size: 16px;
  }
  h3 {
    font-size: 13px;
    margin: 10px 0 2px;
  }
  p {
    margin: 2px 0;
    font-size: 12.5px;
  }
  .line,
  .own {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 10px;
    align-items: center;
    margin: 6px 0;
  }
  .line > :global(.bx--form-item) {
    flex: 1 1 90px;
  }
  .plain {
    width: 100%;
    border-collapse: collapse;
  }
  .plain td {
    padding: 2px 6px 2px 0;
    border-bottom: 1px solid var(--rule);
    vertical-align: middle;
  }
  .plain td:first-child {
    white-space: nowrap;
  }
  .before {
    max-width: 130px;
  }
  .choices {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 8px;
  }
  .record {
    border-top: 1px solid var(--rule);
    padding: 4px 0;
  }
</style>
