<script lang="ts">
  import { keptCard as say } from './words';
  import type { Answer } from '$api';
  import { leadingJob, countryName } from '$core/people';
  import ConfirmDialog from '$lib/ui/ConfirmDialog.svelte';
  import { moment } from '$lib/marks/format';
  import Button from '$lib/ui/Button.svelte';
  import DateInput from '$lib/ui/DateInput.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Accordion from '$lib/ui/Accordion.svelte';
  import Select from '$lib/ui/Select.svelte';
  import type { ShortlistPage } from './shortlist-page.svelte';
  import OwnCell from './OwnCell.svelte';

  let { desk, list, card }: { desk: ShortlistPage; list: Answer<'readShortlist'>; card: Answer<'readKept'> } = $props();

  const { person } = $derived(card);
  const which = $derived({ numbers: [person.number] });
  const change = (...[what, was]: [Parameters<ShortlistPage['change']>[0], Parameters<ShortlistPage['change']>[2]?]) =>
    desk.change(what, which, was);
  const typed = (event: Event) => (event.currentTarget as HTMLInputElement).value.trim();
  const letter = $derived([
    { name: 'greeting', word: say.greeting, now: person.greeting, before: person.name },
    { name: 'firm', word: say.firm, now: person.firmSaid, before: person.company },
    { name: 'title', word: say.title, now: person.tidyTitle, before: person.title }
  ] as const);
  let objecting = $state(false);
  const fields = $derived(card.fields.filter(({ listed }) => listed.some(Boolean)));
  const shown = (field: string, text: string) => (field === 'country' && text ? countryName(text) : text);
</script>

<!-- Everything that is known of one person, by source and date. -->
<section class="sheet" aria-label={say.person}>
  <header>
    <h2>{person.name}</h2>
    <Button onclick={() => desk.close()} aria-label={say.closeCard}>{say.close}</Button>
  </header>
  <p>
    {[person.title, person.company].filter(Boolean).join(' at ')}
    <span class="soft">{[person.place, person.country && countryName(person.country)].filter(Boolean).join(', ')}</span>
  </p>
  <p>
    {#if person.mail}{person.mail} <span class="soft">{person.mailState}{person.mailWhy && `: ${person.mailWhy}`}</span>
    {:else if card.guess}<span class="soft"
        >{say.noAddressLikely} <b>{card.guess.address}</b>{say.guessedFromAddressesThere(
          card.guess.pattern,
          card.guess.seen,
          card.guess.of
        )}</span
      >{:else}<span class="soft">{say.noAddress}</span>{/if}
    {#if person.phone}· {person.phone}{/if}
  </p>
  <p class="soft">
    {say.added(moment(person.keptAt))}{person.keptBy && say.by(person.keptBy)}
    {say.from}
    {person.keptFrom === 'people'
      ? say.file
      : person.keptFrom === 'records'
        ? say.trial
        : person.keptFrom}{person.keptWhy && `: ${person.keptWhy}`}{person.takenAt
      ? say.exported(moment(person.takenAt))
      : ''}
  </p>
  <div class="line">
    <Select
      label={say.priority}
      value={person.priority ?? 0}
      onchange={(priority) => change({ priority: priority || null })}
    >
      <option value={0}>–</option>
      {#each [1, 2, 3, 4, 5] as one (one)}<option value={one}>{one}</option>{/each}
    </Select>
    <TextInput
      label={say.next}
      inline
      value={person.nextStep}
      maxlength="500"
      onchange={(event: Event) => change({ nextStep: typed(event) }, { nextStep: person.nextStep })}
    />
    <DateInput
      label={say.date}
      hideLabel
      value={person.nextOn ?? ''}
      onchange={(day) => change({ nextOn: day || null }, { nextOn: person.nextOn })}
    />
  </div>
  <TextInput
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

  <h3>{say.inLetter}</h3>
  <table class="plain">
    <tbody>
      {#each letter as { name, word, now, before } (name)}
        <tr>
          <td class="soft">{word}</td>
          <td class="soft before">{before}</td>
          <td
            ><TextInput
              aria-label={say.inLetter2(word)}
              value={now}
              maxlength="200"
              onchange={(event: Event) => change({ written: { [name]: typed(event) } })}
            /></td
          >
          <td
            >{#if card.written.includes(name)}<Button kind="ghost" onclick={() => change({ written: { [name]: null } })}
                >{say.suggested} {card.cleaned[name] || 'none'}</Button
              >{:else if name === 'greeting' && !card.cleaned.sure}<span class="soft">{say.notCertain}</span>{/if}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>

  <h3>{card.records.length === 1 ? say.oneRecord : say.records(card.records.length)}</h3>
  {#if card.records.length > 1}
    <table class="plain">
      <tbody>
        {#each fields as { field, from, why, listed } (field)}
          <tr>
            <td class="soft">{field}</td>
            <td class="choices">
              {#each listed as text, i (i)}{#if text}<Button
                    kind="ghost"
                    aria-pressed={from === i}
                    onclick={() => change({ choice: { [field]: { record: i } } })}>{shown(field, text)}</Button
                  >{/if}{/each}
            </td>
            <td class="soft"
              >{why}{#if why === 'chosen'}
                <Button kind="ghost" onclick={() => change({ choice: { [field]: null } })}>{say.release}</Button
                >{/if}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  {#each card.records as { sourceId, sourceName, seenAt, person: one }, i (sourceId + one.id)}
    {@const job = leadingJob(one)}
    <div class="record">
      <b>{sourceId === 'list' ? say.file : sourceName}</b> <span class="soft">{moment(seenAt)}</span>
      {#if card.records.length > 1}<Button kind="ghost" onclick={() => desk.split(person.number, i)}
          >{say.notSamePersonSplit}</Button
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
  <Accordion title={say.excludeRemoveOrErase}>
    <div class="line">
      {#if person.leftOut.includes('by hand')}
        <Button onclick={() => change({ leaveOut: null })}>{say.include}</Button>
      {:else}<Button onclick={() => change({ leaveOut: '' })}>{say.exclude}</Button>{/if}
      <Button onclick={() => change({ drop: true })}>{say.removeFromList}</Button>
      <Button kind="danger" onclick={() => (objecting = true)}>{say.eraseOnObjection}</Button>
    </div>
  </Accordion>
</section>
<ConfirmDialog
  open={objecting}
  heading={say.eraseEverywhere(person.name)}
  confirm={say.erase}
  cancel={say.cancel}
  onconfirm={() => {
    const [first] = card.records;
    if (first) void desk.erase({ sourceId: first.sourceId, personId: first.person.id });
  }}
  onclose={() => (objecting = false)}
>
  {say.thisDeletesEveryRecordThisPerson}
</ConfirmDialog>

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
