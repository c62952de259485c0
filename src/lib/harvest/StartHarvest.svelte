<script lang="ts">
  import { startHarvest as say } from './words';
  import type { Answer, Body } from '$api';
  import { call } from '$lib/api/call';
  import Refused from '$lib/frame/Refused.svelte';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
  import Checkbox from '$lib/ui/Checkbox.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import BudgetFields from './BudgetFields.svelte';
  import { noBudget } from './budget';
  import { count } from '$lib/marks/format';

  interface Props {
    brief: Answer<'readBrief'>;
    sources: Answer<'listSources'>;
    versions: Answer<'listVersions'>;
    onstarted: (id: string) => void;
  }
  let { brief, sources, versions, onstarted }: Props = $props();

  const asked = $derived(sources.filter(({ hidden }) => !hidden));
  const chosen = $derived(new Map(brief.chosen.map(({ sourceId, version }) => [sourceId, version])));
  // svelte-ignore state_referenced_locally
  let versionAt: Record<string, number> = $state(
    Object.fromEntries(asked.map(({ id }) => [id, chosen.get(id) ?? versions[0]?.number ?? 0]))
  );
  // svelte-ignore state_referenced_locally
  let taken: string[] = $state(
    chosen.size ? asked.filter(({ id }) => chosen.has(id)).map(({ id }) => id) : asked.slice(0, 1).map(({ id }) => id)
  );
  let name = $state('');
  let budget: Body<'startHarvest'>['budget'] = $state({ ...noBudget });
  let starting = $state(false);
  let refused: unknown = $state(null);
  const usualName = $derived(say.versionWholeResult([...new Set(taken.map((id) => versionAt[id]))].join(', ')));

  async function start(event: SubmitEvent) {
    event.preventDefault();
    refused = null;
    starting = true;
    try {
      const { id } = await call('startHarvest', {
        params: { id: brief.id },
        body: {
          name: name.trim() || usualName,
          from: taken.map((sourceId) => ({ sourceId, version: versionAt[sourceId]! })),
          budget: $state.snapshot(budget)
        }
      });
      onstarted(id);
    } catch (problem) {
      refused = problem;
    }
    starting = false;
  }
</script>

<form class="sheet" onsubmit={start} aria-label={say.startHarvest}>
  <p>
    {say.trialReadsSampleHarvestCollects} <b>{say.wholeResult}</b>{say.ifSourceOnlyShowsFirstPart}
  </p>
  <Table>
    <TableHead
      ><TableRow
        ><TableHeader>{say.collectFrom}</TableHeader><TableHeader>{say.version}</TableHeader><TableHeader
          >{say.shows}</TableHeader
        ><TableHeader>{say.price}</TableHeader></TableRow
      ></TableHead
    >
    <TableBody>
      {#each asked as source (source.id)}
        {@const { limits, price } = source.sheet}
        <TableRow>
          <TableCell
            ><Checkbox
              label={source.name}
              checked={taken.includes(source.id)}
              onchange={(on) => (taken = on ? [...taken, source.id] : taken.filter((id) => id !== source.id))}
            /></TableCell
          >
          <TableCell
            ><Select label={say.versionAt(source.name)} hideLabel bind:value={versionAt[source.id]}>
              {#each versions as version (version.number)}
                <option value={version.number}
                  >{version.number}{version.name && ` ${version.name}`}{chosen.get(source.id) === version.number
                    ? ' (chosen)'
                    : ''}</option
                >
              {/each}
            </Select></TableCell
          >
          <TableCell
            >{limits.shown === null
              ? source.kind === 'by-hand'
                ? '–'
                : 'everybody'
              : say.first(count(limits.shown))}{source.kind === 'by-hand' ? say.manual : ''}</TableCell
          >
          <TableCell
            >{price
              ? `${price.perRecord} per record${price.perSearch ? `, ${price.perSearch} per search` : ''} (${price.unit}s)`
              : '–'}</TableCell
          >
        </TableRow>
      {/each}
    </TableBody>
  </Table>
  <div class="limits">
    <TextInput label={say.name} bind:value={name} placeholder={usualName} maxlength="200" />
    <BudgetFields bind:budget words />
    <Button kind="primary" type="submit" disabled={starting || !taken.length || !versions.length}
      >{starting ? 'Starting…' : say.startHarvest2}</Button
    >
  </div>
  <Refused problem={refused} />
</form>

<style>
  form {
    padding: 14px 18px;
    display: grid;
    gap: 12px;
    max-width: 980px;
  }
  .limits {
    display: flex;
    flex-wrap: wrap;
    gap: 12px;
    align-items: end;
  }
</style>
