<script lang="ts">
  import { retention as say } from './words';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import { count } from '$lib/marks/format';
  import type { Answer } from '$api';

  let { rules }: { rules: Answer<'retention'> } = $props();

  const words: Record<Answer<'retention'>[number]['kind'], string> = {
    trialPages: say.resultPagesSupersededTrials,
    trials: say.supersededTrialsWithTheirSamples,
    harvests: say.pausedOrFinishedHarvestsWithTheir,
    imports: say.recordsFinishedImportsTheirPeopleAre
  };
  const days = (number: number) =>
    number === 0 ? say.untilDeleted : number === 1 ? say.n1Day : say.days(count(number));
  const goes = ({ days: kept, rows }: Answer<'retention'>[number]) =>
    kept === 0 ? 'never' : rows === 0 ? say.nothingNow : say.withinHour(count(rows));
</script>

<section class="sheet" aria-label={say.retention}>
  <h2>{say.retention}</h2>
  <p class="soft">{say.retentionPeriodsAreServerSettings}</p>
  <div class="tabled">
    <Table>
      <TableHead
        ><TableRow
          ><TableHeader>{say.data}</TableHeader><TableHeader>{say.keptFor}</TableHeader><TableHeader
            >{say.dueForDeletion}</TableHeader
          ></TableRow
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
