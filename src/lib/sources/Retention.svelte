<script lang="ts">
  import { retention as say } from './words';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import { count } from '$lib/marks/format';
  import type { Answer } from '$api';

  let { rules }: { rules: Answer<'retention'> } = $props();

  const words: Record<Answer<'retention'>[number]['kind'], string> = {
    trialPages: say.resultPagesOfTrialsThatAre,
    trials: say.thoseTrialsWithTheirSamplesThe,
    harvests: say.harvestsThatStandStillOrAre,
    imports: say.recordsOfImportsThatAreOver
  };
  const days = (number: number) =>
    number === 0 ? say.untilDeleted : number === 1 ? say.aDay : say.days(count(number));
  const goes = ({ days: kept, rows }: Answer<'retention'>[number]) =>
    kept === 0 ? 'never' : rows === 0 ? say.nothingNow : say.nowWithinTheHour(count(rows));
</script>

<section class="sheet" aria-label={say.whatIsClearedAway}>
  <h2>{say.whatIsClearedAway}</h2>
  <p class="soft">{say.howLongThingsAreKeptIs}</p>
  <div class="tabled">
    <Table>
      <TableHead
        ><TableRow
          ><TableHeader>{say.what}</TableHeader><TableHeader>{say.keptFor}</TableHeader><TableHeader
            >{say.goes}</TableHeader
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
