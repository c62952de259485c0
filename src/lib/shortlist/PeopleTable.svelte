<script lang="ts">
  import { peopleTable as say } from './words';
  import type { Answer } from '$api';
  import ArrowDown from 'carbon-icons-svelte/lib/ArrowDown.svelte';
  import ArrowUp from 'carbon-icons-svelte/lib/ArrowUp.svelte';
  import Tag from 'carbon-components-svelte/src/Tag/Tag.svelte';
  import { countryName } from '$core/people';
  import { percent } from '$lib/marks/format';
  import { verdicts } from '$lib/marks/verdicts';
  import Button from '$lib/ui/Button.svelte';
  import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from '$lib/ui/table';
  import Checkbox from '$lib/ui/Checkbox.svelte';
  import { unsorted, type PlainColumn } from './list-query';
  import { exclusionReasons, plainColumns } from './words';
  import type { KeptPerson, ShortlistPage } from './shortlist-page.svelte';

  let { desk, list }: { desk: ShortlistPage; list: Answer<'readShortlist'> } = $props();

  /** Pixels of a row: all are of one height, so that those out of sight need not be there. */
  const height = 34;
  const beside = 10;
  let box: HTMLElement | undefined = $state();
  let top = $state(0);
  let seen = $state(600);
  // Where there are fewer than before, what is in sight is their end.
  const first = $derived(Math.min(Math.floor(top / height), desk.of - Math.ceil(seen / height)));
  const from = $derived(Math.max(0, first - beside));
  const to = $derived(Math.min(desk.of, Math.max(0, first) + Math.ceil(seen / height) + beside));
  const places = $derived(Array.from({ length: Math.max(0, to - from) }, (_, i) => from + i));
  $effect(() => void desk.need(from, to));
  // Scrolls to a person reached by a key.
  $effect(() => {
    const { place } = desk;
    if (place < 0 || !box) return;
    if (place * height < box.scrollTop) box.scrollTop = place * height;
    else if ((place + 2) * height > box.scrollTop + box.clientHeight)
      box.scrollTop = (place + 2) * height - box.clientHeight;
  });

  const known = $derived(
    desk.query.columns.filter(
      (name) => name in plainColumns || list.columns.some((column) => `own.${column.name}` === name)
    )
  );
  const heading = (name: string) => plainColumns[name as PlainColumn] ?? name.slice(4);
  const order = (name: string) => {
    const at = desk.query.sort.findIndex((one) => one === name || one === `-${name}`);
    return at < 0
      ? null
      : { down: desk.query.sort[at]!.startsWith('-'), place: desk.query.sort.length > 1 ? at + 1 : null };
  };
  const colourOf = (tag: string) => list.tags.find(({ name }) => name === tag)?.colour ?? 'gray';
  const mailWords: Record<string, string> = {
    good: say.good,
    uncertain: say.uncertain,
    bad: say.bad,
    unanswered: say.noAnswer,
    unchecked: say.notChecked,
    none: say.noAddress
  };
  function ownText(person: KeptPerson, name: string): string {
    const value = person.own[name.slice(4)];
    return value === null || value === undefined
      ? ''
      : typeof value === 'boolean'
        ? value
          ? 'yes'
          : 'no'
        : String(value);
  }
</script>

<!-- A person a row; of a hundred thousand only those in sight are there. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
  class="box"
  bind:this={box}
  bind:clientHeight={seen}
  onscroll={() => (top = box!.scrollTop)}
  tabindex="0"
  role="region"
  aria-label={say.people}
>
  <Table aria-rowcount={desk.of + 1}>
    <TableHead>
      <TableRow>
        <TableHeader class="tick"
          ><Checkbox
            label={say.everyoneMatchingFilter}
            hideLabel
            checked={desk.everybody}
            onchange={(on) => {
              desk.clear();
              desk.everybody = on;
            }}
          /></TableHeader
        >
        {#each ['name', ...known] as name (name)}
          {@const now = order(name)}
          <TableHeader
            aria-sort={now ? (now.down ? 'descending' : 'ascending') : 'none'}
            class="col-{name.replace(/\W/g, '-')}"
          >
            {#if unsorted.has(name)}<span class="head">{heading(name)}</span>{:else}
              <Button kind="ghost" onclick={(event: MouseEvent) => desk.sort(name, event.shiftKey)}
                >{name === 'name' ? say.name : heading(name)}
                {#if now}{#if now.down}<ArrowDown size={16} />{:else}<ArrowUp size={16} />{/if}{now.place ??
                    ''}{/if}</Button
              >{/if}
          </TableHeader>
        {/each}
      </TableRow>
    </TableHead>
    <TableBody>
      {#if from}<tr aria-hidden="true" style:height="{from * height}px"><td colspan={known.length + 2}></td></tr>{/if}
      {#each places as place (place)}
        {@const person = desk.row(place)}
        <TableRow class="person {person && desk.at === person.number ? 'on' : ''}" aria-rowindex={place + 2}>
          {#if person}
            {@const verdict = person.verdict && verdicts[person.verdict]}
            <TableCell class="tick"
              ><Checkbox
                label={say.select(person.name)}
                hideLabel
                checked={desk.everybody || desk.chosen.has(person.number)}
                onchange={(on, { shiftKey }) => desk.choose(place, on, shiftKey)}
              /></TableCell
            >
            <TableCell
              ><Button kind="ghost" class="name" onclick={() => desk.open(person.number)}>{person.name}</Button
              ></TableCell
            >
            {#each known as name (name)}
              <TableCell>
                <span class="cell">
                  {#if name === 'country'}{person.country && countryName(person.country)}
                  {:else if name === 'mailState'}<span class={person.mailState}>{mailWords[person.mailState]}</span>
                  {:else if name === 'verdict'}{#if verdict}<span style:color={verdict.colour}
                        >{verdict.sign} {verdict.word}</span
                      >{/if}
                  {:else if name === 'likelihood'}{person.likelihood === null ? '' : percent(person.likelihood)}
                  {:else if name === 'tags'}{#each person.tags as tag (tag)}<Tag size="sm" type={colourOf(tag)}
                        >{tag}</Tag
                      >{/each}
                  {:else if name === 'nextOn'}{[person.nextOn, person.nextStep].filter(Boolean).join(' ')}
                  {:else if name === 'leftOut'}<span class="soft"
                      >{person.leftOut.map((why) => exclusionReasons[why]).join(', ')}</span
                    >
                  {:else if name === 'keptAt'}{person.keptAt.slice(0, 10)}
                  {:else if name.startsWith('own.')}{ownText(person, name)}
                  {:else}{person[
                      name as
                        | 'title'
                        | 'company'
                        | 'place'
                        | 'mail'
                        | 'phone'
                        | 'note'
                        | 'greeting'
                        | 'headcount'
                        | 'priority'
                    ] ?? ''}{/if}
                </span>
              </TableCell>
            {/each}
          {:else}<TableCell colspan={known.length + 2}><span class="soft">…</span></TableCell>{/if}
        </TableRow>
      {/each}
      {#if to < desk.of}<tr aria-hidden="true" style:height="{(desk.of - to) * height}px"
          ><td colspan={known.length + 2}></td></tr
        >{/if}
    </TableBody>
  </Table>
  {#if !desk.of}<p class="soft nobody">
      {list.people ? say.noMatches : say.nobodyHereYetAddPeopleFrom}
    </p>{/if}
</div>

<style>
  .box {
    overflow: auto;
    min-height: 0;
    border-top: 1px solid var(--line);
  }
  .box :global(tr.person) {
    height: 34px;
  }
  .box :global(tr.person td),
  .box :global(thead th) {
    padding: 0 8px;
    height: 34px;
    vertical-align: middle;
    white-space: nowrap;
  }
  .box :global(thead th) {
    position: sticky;
    top: 0;
    z-index: 1;
    background: var(--paper);
  }
  .box :global(tr.person.on td) {
    background: var(--accent-2);
  }
  .box :global(.button.ghost.name.bx--btn) {
    font-weight: 500;
    color: var(--ink);
  }
  .box :global(.button.ghost.bx--btn) {
    padding: 0;
    min-height: 24px;
  }
  .cell {
    display: block;
    max-width: 186px;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .good {
    color: var(--accent);
  }
  .bad {
    color: var(--warm);
  }
  .nobody {
    padding: 16px;
  }
</style>
