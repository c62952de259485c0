<script lang="ts">
  import { pasteRows as say } from './words';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { count } from '$lib/marks/format';
  import Field from '$lib/ui/Field.svelte';
  import FileButton from '$lib/ui/FileButton.svelte';
  import TextBox from '$lib/ui/TextBox.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import type { Answer } from '$api';
  import { myName } from './my-name';
  import { pastedPeople } from './pasted-people';
  import type { ShortlistPage } from './shortlist-page.svelte';

  interface Props {
    desk: ShortlistPage;
    list: Answer<'readShortlist'>;
    open: boolean;
  }
  let { desk, list, open = $bindable() }: Props = $props();

  let text = $state('');
  let why = $state('');
  let said = $state('');
  let more = $state(true);
  let refused: unknown = $state(null);

  async function keep() {
    refused = null;
    said = '';
    try {
      const { people, own, fresh, problem } = await pastedPeople(text, $state.snapshot(list.columns));
      if (problem) throw new Error(problem);
      if (more && fresh.length)
        await desk.settle({
          columns: [...$state.snapshot(list.columns), ...fresh.map((one) => ({ ...one, choices: [...one.choices] }))]
        });
      const told = await call('keepPeople', {
        params: desk.params,
        body: { why, by: myName(), from: { kind: 'people', people, own } }
      });
      said = `${count(told.kept)} added, ${count(told.there)} already there${told.joined ? `, ${count(told.joined)} merged with one of these` : ''}${told.objected ? `, ${count(told.objected)} excluded because they objected` : ''}.`;
      text = '';
      await desk.again();
    } catch (problem) {
      refused = problem;
    }
  }
</script>

<Modal
  bind:open
  modalHeading={say.keepPeopleOfAFileOr}
  primaryButtonText={say.keepThem}
  primaryButtonDisabled={!text.trim()}
  secondaryButtonText={say.close}
  on:click:button--secondary={() => (open = false)}
  on:submit={keep}
>
  <Refused problem={refused} />
  <p>
    {say.rowsCopiedFromASpreadsheetOr}
  </p>
  <TextBox label={say.rows} rows="9" bind:value={text} placeholder={say.nameTitleCompanyEmail} />
  <div class="line">
    <Tick label={say.otherColumnsBecomeColumnsOfThis} checked={more} ontick={(on) => (more = on)} />
    <Field label={say.whyTheyAreKept} inline maxlength="500" bind:value={why} />
    <FileButton
      label={say.fromACsv}
      accept={['.csv', '.tsv', 'text/csv']}
      onfile={async (file) => (text = await file.text())}
    />
  </div>
  <p role="status">{said}</p>
</Modal>

<style>
  .line {
    display: flex;
    gap: 12px;
    align-items: center;
    margin: 8px 0;
  }
</style>
