<script lang="ts">
  import { sheetFields as say } from './words';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
  import SheetBox from './SheetBox.svelte';
  import SheetCounting from './SheetCounting.svelte';
  import SheetFact from './SheetFact.svelte';
  import Checkbox from 'carbon-components-svelte/src/Checkbox/Checkbox.svelte';
  import type { Box, Fact, Sheet } from '$core/dialect';
  import { isNumberFact, isOwnScope, namedFacts, numberFacts, scopes, textScopes, type Scope } from '$core/language';

  interface Props {
    sheet: Sheet;
    onchange: (sheet: Sheet) => void;
  }
  let { sheet, onchange }: Props = $props();

  const put = <K extends keyof Sheet>(key: K, value: Sheet[K]) => onchange({ ...sheet, [key]: value });
  const putBox = (at: number, change: Partial<Box>) =>
    put(
      'boxes',
      sheet.boxes.map((box, i) => (i === at ? { ...box, ...change } : box))
    );
  const putFact = (at: number, change: Partial<Fact>) =>
    put(
      'facts',
      sheet.facts.map((fact, i) => (i === at ? { ...fact, ...change } : fact))
    );
  /** Limits as typed, kept beside what they were read as. */
  let typed: Partial<Record<keyof Sheet['limits'], string>> = $state({});
  const putLimit = (key: keyof Sheet['limits'], text: string) => {
    typed[key] = text;
    const value = text.trim() === '' ? null : Number(text.replaceAll(/[,\s]/g, ''));
    put('limits', { ...sheet.limits, [key]: key === 'searches' && value === null ? Number.NaN : value });
  };
  function addBox() {
    const taken = new Set(sheet.boxes.map(({ id }) => id));
    let number = sheet.boxes.length + 1;
    while (taken.has(`box-${number}`)) number++;
    put('boxes', [
      ...sheet.boxes,
      {
        id: `box-${number}`,
        label: `Box ${number}`,
        searches: 'any',
        scoped: false,
        and: 'AND',
        or: 'OR',
        not: 'NOT',
        phrase: true,
        group: true,
        prefix: false,
        beside: 'and',
        binding: 'standard',
        excludesAlone: true,
        opening: ''
      }
    ]);
  }
  const unusedScopes = $derived(
    scopes.filter((scope) => scope !== 'any' && !sheet.facts.some((fact) => fact.scope === scope))
  );
  const tellable: { name: string; scopes: readonly Scope[] }[] = [
    { name: 'texts', scopes: textScopes },
    { name: 'facts', scopes: [...namedFacts, ...numberFacts] }
  ];
  /** In the order of the scopes, so that a sheet does not depend on the order of ticking. */
  const tell = (scope: Scope, isListed: boolean) =>
    put('lists', [
      ...scopes.filter((one) => (one === scope ? isListed : sheet.lists.includes(one))),
      ...sheet.lists.filter(isOwnScope)
    ]);
  function addFact(scope: string) {
    const known = unusedScopes.find((one) => one === scope);
    if (known)
      put('facts', [
        ...sheet.facts,
        {
          scope: known,
          include: !isNumberFact(known),
          exclude: false,
          range: isNumberFact(known),
          values: null,
          most: null
        }
      ]);
  }
  const limits: [keyof Sheet['limits'], string][] = [
    ['characters', say.charactersPerBox],
    ['words', say.wordsPerSearch],
    ['operators', say.operatorsPerSearch],
    ['nesting', say.nestedBrackets],
    ['shown', say.resultsShown],
    ['page', say.resultsPerPage],
    ['perMinute', say.requestsPerMinute],
    ['searches', say.searchesPerString]
  ];
</script>

<fieldset>
  <div class="form-line">
    <TextInput
      label={say.name}
      inline
      value={sheet.name}
      maxlength="100"
      oninput={(e) => put('name', e.currentTarget.value)}
    />
    <TextInput
      label={say.about}
      inline
      value={sheet.about}
      maxlength="500"
      oninput={(e) => put('about', e.currentTarget.value)}
    />
  </div>

  <h2>{say.boxes}</h2>
  {#each sheet.boxes as box, i (box.id)}
    <SheetBox
      {box}
      onchange={(change) => putBox(i, change)}
      onremove={() =>
        put(
          'boxes',
          sheet.boxes.filter((_, at) => at !== i)
        )}
    />
  {/each}
  <Button type="button" onclick={addBox} class="add">{say.addBox}</Button>

  <h2>{say.factsAndLists}</h2>
  {#each sheet.facts as fact, i (fact.scope)}
    <SheetFact
      {fact}
      onchange={(change) => putFact(i, change)}
      onremove={() =>
        put(
          'facts',
          sheet.facts.filter((_, at) => at !== i)
        )}
    />
  {/each}
  <Select
    label={say.add}
    value=""
    onchange={(picked) => {
      addFact(picked);
    }}
  >
    <option value="">{say.factOrList}</option>
    {#each unusedScopes as scope (scope)}<option value={scope}>{scope}</option>{/each}
  </Select>

  <fieldset class="lists">
    <legend>{say.whatItsResultsList}</legend>
    <p class="soft">{say.anythingUntickedIsUnknownNeverNo}</p>
    {#each tellable as { name, scopes: some } (name)}
      <div>
        <b>{name}</b>
        {#each some as scope (scope)}
          <Checkbox
            labelText={scope === 'any' ? say.wholeProfile : scope}
            title=""
            checked={sheet.lists.includes(scope)}
            on:check={({ detail }) => tell(scope, detail)}
          />
        {/each}
      </div>
    {/each}
  </fieldset>

  <h2>{say.limits}</h2>
  <div class="grid">
    {#each limits as [key, words] (key)}
      <TextInput
        label={words}
        inline
        class="number"
        inputmode="numeric"
        value={typed[key] ?? sheet.limits[key] ?? ''}
        placeholder={say.none}
        oninput={(e) => putLimit(key, e.currentTarget.value)}
      />
    {/each}
  </div>

  <h2>{say.matchingCountingAndPrice}</h2>
  <SheetCounting {sheet} {put} />
</fieldset>

<style>
  fieldset {
    border: 0;
    padding: 0;
    margin: 0;
    display: grid;
    gap: 8px;
    min-width: 0;
  }
  h2 {
    margin-top: 6px;
  }
  .grid {
    display: grid;
    grid-template-columns: repeat(4, 1fr);
    gap: 8px;
  }
  .grid :global(label) {
    display: grid;
    gap: 2px;
  }
  fieldset :global(.wide) {
    flex: 1;
    display: flex;
    gap: 6px;
    align-items: baseline;
  }
  .lists {
    border: 1px solid var(--line);
    padding: 6px 12px;
    margin: 12px 0;
  }
  .lists div {
    display: flex;
    flex-wrap: wrap;
    gap: 0 14px;
    align-items: baseline;
  }
  .lists b {
    width: 60px;
    font-size: 13px;
  }
  .lists :global(.bx--form-item) {
    flex: none;
  }
  fieldset :global(.add) {
    justify-self: start;
  }
  .grid :global(.number) {
    width: auto;
    min-width: 0;
  }
</style>
