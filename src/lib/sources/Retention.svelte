<script lang="ts">
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import { count } from '$lib/marks/format';
  import type { Answer } from '$api';

  let { rules }: { rules: Answer<'retention'> } = $props();

  const words: Record<Answer<'retention'>[number]['kind'], string> = {
    trialPages: 'Result pages of trials that are not the newest of their version and source',
    trials: 'Those trials with their samples; the verdicts stay',
    harvests: 'Harvests that stand still or are done, with their people; the verdicts stay',
    imports: 'Records of imports that are over; their people stay'
  };
  const days = (number: number) => (number === 0 ? 'until deleted' : number === 1 ? 'a day' : `${count(number)} days`);
  const goes = ({ days: kept, rows }: Answer<'retention'>[number]) =>
    kept === 0 ? 'never' : rows === 0 ? 'nothing now' : `${count(rows)} now, within the hour`;
</script>

<section class="sheet" aria-label="What is cleared away">
  <h2>What is cleared away</h2>
  <p class="soft">How long things are kept is a setting of the server (docs/run.md). Nothing else goes by itself.</p>
  <div class="tabled">
    <Table>
      <TableHead
        ><TableRow
          ><TableHeader>What</TableHeader><TableHeader>Kept for</TableHeader><TableHeader>Goes</TableHeader></TableRow
        ></TableHead
      >
      <TableBody>
        {#each rules as rule (rule.kind)}
          <TableRow>
            <TableCell>{words[rule.kind]}</TableCell>
            <TableCell>{days(rule.days)}</TableCell>
            <TableCell class="number">{goes(rule)}</TableCell>
          </TableRow>
        {/each}
      </TableBody>
    </Table>
  </div>
</section>

<style>
  section {
    padding: 12px 16px;
  }
  p,
  .tabled :global(td) {
    font-size: 13px;
  }
</style>
