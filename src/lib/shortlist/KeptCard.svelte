<script lang="ts">
  import type { Answer } from '$api';
  import { leadingJob, countryName } from '$core/people';
  import Sure from '$lib/ui/Sure.svelte';
  import { moment } from '$lib/marks/format';
  import Act from '$lib/ui/Act.svelte';
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
    { name: 'greeting', word: 'Greeting', now: person.greeting, before: person.name },
    { name: 'firm', word: 'Firm', now: person.firmSaid, before: person.company },
    { name: 'title', word: 'Title', now: person.tidyTitle, before: person.title }
  ] as const);
  let objecting = $state(false);
  const fields = $derived(card.fields.filter(({ told }) => told.some(Boolean)));
  const shown = (field: string, text: string) => (field === 'country' && text ? countryName(text) : text);
</script>

<!-- Everything that is known of one person, by source and date. -->
<section class="sheet" aria-label="The person">
  <header>
    <h2>{person.name}</h2>
    <Act onclick={() => desk.close()} aria-label="Close the card">Close</Act>
  </header>
  <p>
    {[person.title, person.company].filter(Boolean).join(' at ')}
    <span class="soft">{[person.place, person.country && countryName(person.country)].filter(Boolean).join(', ')}</span>
  </p>
  <p>
    {#if person.mail}{person.mail} <span class="soft">{person.mailState}{person.mailWhy && `: ${person.mailWhy}`}</span>
    {:else if card.guess}<span class="soft"
        >no address; likely <b>{card.guess.address}</b>, a guess by {card.guess.pattern} ({card.guess.seen} of {card
          .guess.of} there)</span
      >{:else}<span class="soft">no address</span>{/if}
    {#if person.phone}· {person.phone}{/if}
  </p>
  <p class="soft">
    Kept {moment(person.keptAt)}{person.keptBy && ` by ${person.keptBy}`} from {person.keptFrom === 'people'
      ? 'a file'
      : person.keptFrom === 'records'
        ? 'a trial'
        : person.keptFrom}{person.keptWhy && `: ${person.keptWhy}`}{person.takenAt
      ? `; taken along ${moment(person.takenAt)}`
      : ''}
  </p>
  <div class="line">
    <Pick label="Priority" value={person.priority ?? 0} onpick={(priority) => change({ priority: priority || null })}>
      <option value={0}>–</option>
      {#each [1, 2, 3, 4, 5] as one (one)}<option value={one}>{one}</option>{/each}
    </Pick>
    <Field
      label="Next"
      inline
      value={person.nextStep}
      maxlength="500"
      onchange={(event: Event) => change({ nextStep: typed(event) }, { nextStep: person.nextStep })}
    />
    <Field
      type="date"
      aria-label="On which day"
      value={person.nextOn ?? ''}
      onchange={(event: Event) => change({ nextOn: typed(event) || null }, { nextOn: person.nextOn })}
    />
  </div>
  <Field
    label="Note"
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

  <h3>In a letter</h3>
  <table class="plain">
    <tbody>
      {#each letter as { name, word, now, before } (name)}
        <tr>
          <td class="soft">{word}</td>
          <td class="soft before">{before}</td>
          <td
            ><Field
              aria-label="{word} in a letter"
              value={now}
              maxlength="200"
              onchange={(event: Event) => change({ written: { [name]: typed(event) } })}
            /></td
          >
          <td
            >{#if card.written.includes(name)}<Act look="plain" onclick={() => change({ written: { [name]: null } })}
                >as Eave would: {card.cleaned[name] || 'none'}</Act
              >{:else if name === 'greeting' && !card.cleaned.sure}<span class="soft">not sure</span>{/if}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>

  <h3>{card.records.length === 1 ? 'One record' : `${card.records.length} records`}</h3>
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
                <Act look="plain" onclick={() => change({ choice: { [field]: null } })}>let go</Act>{/if}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  {#each card.records as { sourceId, sourceName, seenAt, person: one }, i (sourceId + one.id)}
    {@const job = leadingJob(one)}
    <div class="record">
      <b>{sourceId === 'list' ? 'a file' : sourceName}</b> <span class="soft">{moment(seenAt)}</span>
      {#if card.records.length > 1}<Act look="plain" onclick={() => desk.split(person.number, i)}
          >somebody else: split</Act
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
  <Fold title="Leave out, take off, or they objected">
    <div class="line">
      {#if person.leftOut.includes('by hand')}
        <Act onclick={() => change({ leaveOut: null })}>Take in again</Act>
      {:else}<Act onclick={() => change({ leaveOut: '' })}>Leave out</Act>{/if}
      <Act onclick={() => change({ drop: true })}>Take off the list</Act>
      <Act look="danger" onclick={() => (objecting = true)}>Erase on objection…</Act>
    </div>
  </Fold>
</section>
<Sure
  open={objecting}
  heading="Erase {person.name} everywhere?"
  yes="Erase for good"
  no="Cancel"
  onyes={() => {
    const [first] = card.records;
    if (first) void desk.erase({ sourceId: first.sourceId, personId: first.person.id });
  }}
  onclose={() => (objecting = false)}
>
  This deletes every record of this person from files, trials, diaries, harvests, watches and shortlists. Verdicts stay
  as numbers without a name. Only a keyed hash is kept, so that they are never imported again. You can't undo this.
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
