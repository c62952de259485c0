<script lang="ts">
  import { listSettings as say } from './words';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import type { Answer, Body } from '$api';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextArea from '$lib/ui/TextArea.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
  import { callMe, myName } from './my-name';
  import type { ShortlistPage } from './shortlist-page.svelte';

  interface Props {
    briefId: string;
    desk: ShortlistPage;
    list: Answer<'readShortlist'>;
    open: boolean;
  }
  let { briefId, desk, list, open = $bindable() }: Props = $props();

  const types = ['text', 'number', 'date', 'choice', 'yes/no'] as const;
  const colours = ['red', 'green', 'blue', 'purple', 'teal', 'gray'] as const;
  const firmLists = {
    customers: say.customers,
    competitors: say.competitors,
    own: say.ownFirmsIncludingSubsidiaries
  } as const;

  const draftOf = () => ({
    name: list.name,
    purpose: list.purpose,
    columns: list.columns.map((column) => ({ ...column, listed: column.choices.join(', ') })),
    tags: list.tags.map((tag) => ({ ...tag })),
    firms: {
      customers: list.firms.customers.join('\n'),
      competitors: list.firms.competitors.join('\n'),
      own: list.firms.own.join('\n')
    },
    consent: list.consent,
    takenCounts: list.takenCounts
  });
  let draft = $state(draftOf());
  let me = $state('');
  $effect.pre(() => {
    if (!open) return;
    draft = draftOf();
    me = myName();
  });
  const lines = (text: string) =>
    text
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean);
  function keep() {
    const { firms, columns, ...rest } = $state.snapshot(draft);
    const change: Omit<Body<'changeShortlist'>, 'revision'> = {
      ...rest,
      columns: columns
        .filter(({ name }) => name.trim())
        .map(({ name, type, listed }) => ({
          name: name.trim(),
          type,
          choices: listed
            .split(',')
            .map((one) => one.trim())
            .filter(Boolean)
        })),
      tags: rest.tags.filter(({ name }) => name.trim()),
      firms: { customers: lines(firms.customers), competitors: lines(firms.competitors), own: lines(firms.own) }
    };
    open = false;
    callMe(me);
    void desk.settle(change);
  }
</script>

<Modal
  bind:open
  modalHeading={say.listSettings}
  primaryButtonText={say.save}
  primaryButtonDisabled={!draft.name.trim()}
  secondaryButtonText={say.cancel}
  size="lg"
  on:click:button--secondary={() => (open = false)}
  on:submit={keep}
>
  {#if open}
    <div class="two">
      <TextInput label={say.name} maxlength="200" bind:value={draft.name} />
      <TextInput label={say.purpose} maxlength="500" placeholder={say.toContactThemAbout} bind:value={draft.purpose} />
    </div>
    <TextInput
      label={say.yourNameSavedWithPeopleYou}
      maxlength="100"
      placeholder={say.savedInThisBrowser}
      bind:value={me}
    />
    <h4>{say.customColumns}</h4>
    {#each draft.columns as column, i (i)}
      <div class="line">
        <TextInput aria-label={say.nameColumn(i + 1)} maxlength="200" bind:value={column.name} />
        <Select label={say.type} hideLabel value={column.type} onchange={(type) => (column.type = type)}>
          {#each types as type (type)}<option value={type}>{type}</option>{/each}
        </Select>
        {#if column.type === 'choice'}<TextInput
            aria-label={say.choicesSeparatedByCommas}
            placeholder={say.choicesSeparatedByCommas2}
            bind:value={column.listed}
          />{/if}
        <Button
          kind="ghost"
          aria-label={say.remove(column.name)}
          onclick={() => (draft.columns = draft.columns.filter((_, at) => at !== i))}>✕</Button
        >
      </div>
    {/each}
    <Button onclick={() => draft.columns.push({ name: '', type: 'text', choices: [], listed: '' })}
      >{say.addColumn}</Button
    >
    <h4>{say.tagsAndColours}</h4>
    <div class="line">
      {#each draft.tags as tag, i (i)}
        <TextInput aria-label={say.tag(i + 1)} maxlength="60" bind:value={tag.name} />
        <Select label={say.colour} hideLabel value={tag.colour} onchange={(colour) => (tag.colour = colour)}>
          {#each colours as colour (colour)}<option value={colour}>{colour}</option>{/each}
        </Select>
      {/each}
      <Button onclick={() => draft.tags.push({ name: '', colour: 'teal' })}>{say.addTag}</Button>
    </div>
    <h4>{say.exclusionsAlwaysShownWithTheirReason}</h4>
    <div class="three">
      {#each Object.entries(firmLists) as [name, word] (name)}
        <TextArea
          label={say.onePerLine(word)}
          rows="4"
          bind:value={draft.firms[name as keyof typeof firmLists]}
          placeholder={say.firmOrItsDomain}
        />
      {/each}
    </div>
    <a href="/sources?list=customers+{briefId}">{say.importCustomers}</a>
    <Checkbox
      label={say.peopleInCountriesThatRequirePrior}
      checked={draft.consent}
      onchange={(on) => (draft.consent = on)}
    />
    <Checkbox
      label={say.exportedPeopleCountAsContactedIn}
      checked={draft.takenCounts}
      onchange={(on) => (draft.takenCounts = on)}
    />
  {/if}
</Modal>

<style>
  h4 {
    margin: 12px 0 4px;
    font-size: 13px;
  }
  .two,
  .three {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 12px;
  }
  .three {
    grid-template-columns: 1fr 1fr 1fr;
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 10px;
    align-items: center;
    margin-bottom: 4px;
  }
  .line > :global(.bx--form-item) {
    flex: 0 1 200px;
  }
</style>
