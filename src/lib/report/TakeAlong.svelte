<script lang="ts">
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
          `${told.added} verdicts taken in`,
          `${told.same} were here already`,
          told.otherwise ? `${told.otherwise} say otherwise than here and were left` : '',
          told.elsewhere ? `${told.elsewhere} are on sources that are not here` : ''
        ]
          .filter(Boolean)
          .join(', ');
      }
      const told = await call('importRuns', { params, body: { text } });
      return `${told.added} runs taken in, ${told.same} were here already${told.unknown ? `, ${told.unknown} people are not known at their source` : ''}`;
    });
    ontaken();
  }
</script>

<section class="sheet" aria-label="Take it along">
  <div>
    <Act onclick={() => window.print()}>Print</Act>
    <Act onclick={() => saveFile(reportMarkdown(report), `${file}.md`, 'text/markdown')}>Markdown</Act>
    <Act onclick={() => saveFile(reportCsv(report), `${file}.csv`, 'text/csv')}>CSV</Act>
    <Act onclick={saveBrief}>Whole brief as a file</Act>
  </div>
  <div>
    <span class="soft">TREC</span>
    <Act onclick={saveQrels}>Verdicts (qrels)</Act>
    <Act onclick={saveRuns}>Results (runs)</Act>
    <FileButton
      label="Take qrels in"
      accept={['.qrels', '.txt', 'text/plain']}
      onfile={(file) => take(file, 'qrels')}
    />
    <FileButton label="Take runs in" accept={['.run', '.txt', 'text/plain']} onfile={(file) => take(file, 'runs')} />
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
