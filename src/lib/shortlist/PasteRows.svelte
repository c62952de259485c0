<script lang="ts">
  import { pasteRows as say } from './words';
  import Modal from 'carbon-components-svelte/src/Modal/Modal.svelte';
  import { ApiProblem, call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { count } from '$lib/marks/format';
  import TextInput from '$lib/ui/TextInput.svelte';
  import FileUploadButton from '$lib/ui/FileUploadButton.svelte';
  import TextArea from '$lib/ui/TextArea.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
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
      if (problem) throw new ApiProblem(0, say.notAdded, problem);
      if (more && fresh.length)
        await desk.settle({
          columns: [...$state.snapshot(list.columns), ...fresh.map((one) => ({ ...one, choices: [...one.choices] }))]
        });
      const result = await call('keepPeople', {
        params: desk.params,
        body: { why, by: myName(), from: { kind: 'people', people, own } }
      });
      const merged = result.joined ? say.merged(count(result.joined)) : '';
      const objected = result.objected ? say.objected(count(result.objected)) : '';
      said = `${say.added(count(result.kept), count(result.there))}${merged}${objected}.`;
      text = '';
      await desk.again();
    } catch (problem) {
      refused = problem;
    }
  }
</script>

<Modal
  bind:open
  modalHeading={say.addPeopleFromSpreadsheet}
  primaryButtonText={say.add}
  primaryButtonDisabled={!text.trim()}
  secondaryButtonText={say.close}
  on:click:button--secondary={() => (open = false)}
  on:submit={keep}
>
  <Refused problem={refused} />
  <p>
    {say.pasteRowsFromSpreadsheetOrCsv}
  </p>
  <TextArea label={say.rows} rows="9" bind:value={text} placeholder={say.nameTitleCompanyEmail} />
  <div class="line">
    <Checkbox label={say.otherColumnsAreAddedToThis} checked={more} onchange={(on) => (more = on)} />
    <TextInput label={say.reason} inline maxlength="500" bind:value={why} />
    <FileUploadButton
      label={say.importCsv}
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
