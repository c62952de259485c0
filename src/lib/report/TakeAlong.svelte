<script lang="ts">
  import { takeAlong as say } from './words';
  import FileButton from '$lib/ui/FileButton.svelte';
  import Act from '$lib/ui/Act.svelte';
  import { certainQuery } from '$lib/frame/certain-only';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import { saveFile } from '$lib/frame/save-file';
  import { reportCsv, reportMarkdown, type Report } from '$core/formats';

  interface Props {
    briefId: string;
    report: Report;
    /** Called when a file brought something in. */
    ontaken: () => void;
  }
  let { briefId, report, ontaken }: Props = $props();

  let refused: unknown = $state(null);
  let said = $state('');
  const params = $derived({ id: briefId });
  const file = $derived(report.brief.replaceAll(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'brief');
  async function act(work: () => Promise<string | void>) {
    refused = null;
    said = '';
    try {
      said = (await work()) ?? '';
    } catch (problem) {
      refused = problem;
    }
  }
  const saveQrels = () =>
    act(async () => saveFile((await call('exportQrels', { params })).text, `${file}.qrels`, 'text/plain'));
  const saveRuns = () =>
    act(async () =>
      saveFile(
        (await call('exportRuns', { params, query: { certain: certainQuery() } })).text,
        `${file}.run`,
        'text/plain'
      )
    );
  const saveBrief = () =>
    act(async () =>
      saveFile(JSON.stringify(await call('exportBrief', { params }), null, 1), `${file}.brief.json`, 'application/json')
    );
  async function take(chosen: File, kind: 'qrels' | 'runs') {
    const text = await chosen.text();
    await act(async () => {
      if (kind === 'qrels') {
        const told = await call('importQrels', { params, body: { text } });
        return [
          say.verdictsTakenIn(told.added),
          say.wereHereAlready(told.same),
          told.otherwise ? say.sayOtherwiseThanHereAndWere(told.otherwise) : '',
          told.elsewhere ? say.areOnSourcesThatAreNot(told.elsewhere) : ''
        ]
          .filter(Boolean)
          .join(', ');
      }
      const told = await call('importRuns', { params, body: { text } });
      return `${told.added} runs imported, ${told.same} already here${told.unknown ? `, ${told.unknown} people aren’t known at their source` : ''}`;
    });
    ontaken();
  }
</script>

<section class="sheet" aria-label={say.takeItAlong}>
  <div>
    <Act onclick={() => window.print()}>{say.print}</Act>
    <Act onclick={() => saveFile(reportMarkdown(report), `${file}.md`, 'text/markdown')}>{say.markdown}</Act>
    <Act onclick={() => saveFile(reportCsv(report), `${file}.csv`, 'text/csv')}>{say.csv}</Act>
    <Act onclick={saveBrief}>{say.wholeBriefAsAFile}</Act>
  </div>
  <div>
    <span class="soft">{say.trec}</span>
    <Act onclick={saveQrels}>{say.verdictsQrels}</Act>
    <Act onclick={saveRuns}>{say.resultsRuns}</Act>
    <FileButton
      label={say.takeQrelsIn}
      accept={['.qrels', '.txt', 'text/plain']}
      onfile={(file) => take(file, 'qrels')}
    />
    <FileButton label={say.takeRunsIn} accept={['.run', '.txt', 'text/plain']} onfile={(file) => take(file, 'runs')} />
  </div>
  {#if said}<p role="status">{said}.</p>{/if}
  <Refused problem={refused} />
</section>

<style>
  section {
    padding: 8px 14px;
    margin-bottom: 12px;
    display: flex;
    gap: 8px 26px;
    flex-wrap: wrap;
    align-items: center;
  }
  div {
    display: flex;
    gap: 8px;
    align-items: center;
  }
  p {
    width: 100%;
    font-size: 13px;
  }
  @media print {
    section {
      display: none;
    }
  }
</style>
