<script lang="ts">
  import { reportExport as say } from './words';
  import FileUploadButton from '$lib/ui/FileUploadButton.svelte';
  import Button from '$lib/ui/Button.svelte';
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
        const result = await call('importQrels', { params, body: { text } });
        return [
          say.verdictsImported(result.added),
          say.alreadyHere(result.same),
          result.otherwise ? say.differFromYoursAndWerentImported(result.otherwise) : '',
          result.elsewhere ? say.areForSourcesYouDontHave(result.elsewhere) : ''
        ]
          .filter(Boolean)
          .join(', ');
      }
      const result = await call('importRuns', { params, body: { text } });
      return [
        say.runsImported(result.added),
        say.alreadyHere(result.same),
        result.unknown ? say.unknownAtSource(result.unknown) : ''
      ]
        .filter(Boolean)
        .join(', ');
    });
    ontaken();
  }
</script>

<section class="sheet" aria-label={say.exportText}>
  <div>
    <Button onclick={() => window.print()}>{say.print}</Button>
    <Button onclick={() => saveFile(reportMarkdown(report), `${file}.md`, 'text/markdown')}>{say.markdown}</Button>
    <Button onclick={() => saveFile(reportCsv(report), `${file}.csv`, 'text/csv')}>{say.csv}</Button>
    <Button onclick={saveBrief}>{say.wholeBrief}</Button>
  </div>
  <div>
    <span class="soft">{say.trec}</span>
    <Button onclick={saveQrels}>{say.verdictsQrels}</Button>
    <Button onclick={saveRuns}>{say.resultsRuns}</Button>
    <FileUploadButton
      label={say.importQrels}
      accept={['.qrels', '.txt', 'text/plain']}
      onfile={(file) => take(file, 'qrels')}
    />
    <FileUploadButton
      label={say.importRuns}
      accept={['.run', '.txt', 'text/plain']}
      onfile={(file) => take(file, 'runs')}
    />
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
