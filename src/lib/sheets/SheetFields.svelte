<script lang="ts">
  import Checkbox from 'carbon-components-svelte/src/Checkbox/Checkbox.svelte';
  import type { Box, Fact, Sheet } from '$core/dialect';
  import { isNumberFact, namedFacts, numberFacts, scopes, textScopes, type Scope } from '$core/query';

  interface Props {
    sheet: Sheet;
    disabled: boolean;
    onchange: (sheet: Sheet) => void;
  }
  let { sheet, disabled, onchange }: Props = $props();

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
  const tell = (scope: Scope, isTold: boolean) =>
    put(
      'tells',
      scopes.filter((one) => (one === scope ? isTold : sheet.tells.includes(one)))
    );
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
    ['characters', 'Characters in a box'],
    ['words', 'Words in a search'],
    ['operators', 'Operators in a search'],
    ['nesting', 'Brackets in brackets'],
    ['shown', 'Results shown'],
    ['page', 'Results a page'],
    ['perMinute', 'Requests a minute'],
    ['searches', 'Searches a string may take']
  ];
  const nullable = (value: string) => (value === '' ? null : value);
</script>

<fieldset class="fields" {disabled}>
  <div class="line">
    <label>Name <input value={sheet.name} maxlength="100" oninput={(e) => put('name', e.currentTarget.value)} /></label>
    <label class="wide"
      >About <input value={sheet.about} maxlength="500" oninput={(e) => put('about', e.currentTarget.value)} /></label
    >
  </div>

  <h2>Boxes</h2>
  {#each sheet.boxes as box, i (box.id)}
    <div class="box">
      <div class="line">
        <label
          >Label <input
            value={box.label}
            maxlength="100"
            oninput={(e) => putBox(i, { label: e.currentTarget.value })}
          /></label
        >
        <label
          >searches
          <select
            value={box.searches}
            onchange={(e) => putBox(i, { searches: e.currentTarget.value as Box['searches'] })}
          >
            {#each textScopes as scope (scope)}<option value={scope}>{scope === 'any' ? 'whole profile' : scope}</option
              >{/each}
          </select></label
        >
        <button
          type="button"
          class="quiet"
          onclick={() =>
            put(
              'boxes',
              sheet.boxes.filter((_, at) => at !== i)
            )}
          aria-label="Take out {box.label}">Take out</button
        >
      </div>
      {#if box.scoped}
        <p class="soft">Takes Eave’s notation as it is.</p>
      {:else}
        <div class="line">
          <label
            >and
            <select
              aria-label="How “and” is written"
              value={box.and ?? ''}
              onchange={(e) => putBox(i, { and: nullable(e.currentTarget.value) as Box['and'] })}
            >
              <option value="">no sign</option>{#each ['AND', '&', '+'] as sign (sign)}<option>{sign}</option>{/each}
            </select></label
          >
          <label
            >or
            <select
              aria-label="How “or” is written"
              value={box.or ?? ''}
              onchange={(e) => putBox(i, { or: nullable(e.currentTarget.value) as Box['or'] })}
            >
              <option value="">cannot</option>{#each ['OR', '|', ',', ';'] as sign (sign)}<option>{sign}</option>{/each}
            </select></label
          >
          <label
            >not
            <select
              aria-label="How “not” is written"
              value={box.not ?? ''}
              onchange={(e) => putBox(i, { not: nullable(e.currentTarget.value) as Box['not'] })}
            >
              <option value="">cannot</option>{#each ['NOT', '-', '!'] as sign (sign)}<option>{sign}</option>{/each}
            </select></label
          >
          <label
            >words side by side mean
            <select
              aria-label="What words side by side mean"
              value={box.beside}
              onchange={(e) => putBox(i, { beside: e.currentTarget.value as Box['beside'] })}
            >
              <option value="and">all of them</option><option value="or">any of them</option><option value="phrase"
                >a phrase</option
              >
            </select></label
          >
          <label
            >binds first
            <select
              aria-label="What binds first"
              value={box.binding}
              onchange={(e) => putBox(i, { binding: e.currentTarget.value as Box['binding'] })}
            >
              <option value="standard">and</option><option value="or-first">or</option><option value="left-to-right"
                >what stands left</option
              >
            </select></label
          >
        </div>
        <div class="line">
          {#each [['phrase', 'quotes make phrases'], ['group', 'brackets make groups'], ['prefix', '* ends a word beginning'], ['excludesAlone', 'answers exclusions alone']] as const as [key, words] (key)}
            <label
              ><input
                type="checkbox"
                checked={box[key]}
                onchange={(e) => putBox(i, { [key]: e.currentTarget.checked })}
              />
              {words}</label
            >
          {/each}
          <label class="wide"
            >written before all <input
              value={box.opening}
              maxlength="200"
              placeholder="site:…"
              oninput={(e) => putBox(i, { opening: e.currentTarget.value })}
            /></label
          >
        </div>
      {/if}
    </div>
  {/each}
  <button type="button" class="quiet add" onclick={addBox}>Add a box</button>

  <h2>Facts and lists</h2>
  {#each sheet.facts as fact, i (fact.scope)}
    <div class="line fact">
      <b>{fact.scope}</b>
      <label
        >label <input
          value={fact.label ?? ''}
          placeholder={fact.scope}
          maxlength="100"
          oninput={(e) => putFact(i, { label: e.currentTarget.value || undefined })}
        /></label
      >
      {#if isNumberFact(fact.scope)}
        <label
          ><input
            type="checkbox"
            checked={fact.range}
            onchange={(e) => putFact(i, { range: e.currentTarget.checked })}
          /> from – to</label
        >
      {:else}
        <label
          ><input
            type="checkbox"
            checked={fact.include}
            onchange={(e) => putFact(i, { include: e.currentTarget.checked })}
          /> include</label
        >
        <label
          ><input
            type="checkbox"
            checked={fact.exclude}
            onchange={(e) => putFact(i, { exclude: e.currentTarget.checked })}
          /> exclude</label
        >
        <label
          >at most <input
            class="number"
            inputmode="numeric"
            value={fact.most ?? ''}
            placeholder="any"
            oninput={(e) => putFact(i, { most: e.currentTarget.value.trim() ? Number(e.currentTarget.value) : null })}
          /></label
        >
        <label class="wide"
          >values <input
            value={fact.values?.join('; ') ?? ''}
            placeholder="any; or a list with semicolons"
            onchange={(e) =>
              putFact(i, {
                values: e.currentTarget.value.trim()
                  ? e.currentTarget.value
                      .split(';')
                      .map((v) => v.trim())
                      .filter(Boolean)
                  : null
              })}
          /></label
        >
      {/if}
      <button
        type="button"
        class="quiet"
        onclick={() =>
          put(
            'facts',
            sheet.facts.filter((_, at) => at !== i)
          )}
        aria-label="Take out {fact.scope}">Take out</button
      >
    </div>
  {/each}
  <label
    >Add
    <select
      value=""
      onchange={(e) => {
        addFact(e.currentTarget.value);
        e.currentTarget.value = '';
      }}
    >
      <option value="">a fact or a list …</option>
      {#each unusedScopes as scope (scope)}<option value={scope}>{scope}</option>{/each}
    </select></label
  >

  <fieldset class="tells">
    <legend>What its results tell of a person</legend>
    <p class="soft">What is not ticked is unknown of its people, never a no: they stay, marked as possible.</p>
    {#each tellable as { name, scopes: some } (name)}
      <div>
        <b>{name}</b>
        {#each some as scope (scope)}
          <Checkbox
            labelText={scope === 'any' ? 'the whole profile' : scope}
            checked={sheet.tells.includes(scope)}
            on:check={({ detail }) => tell(scope, detail)}
          />
        {/each}
      </div>
    {/each}
  </fieldset>

  <h2>Limits</h2>
  <div class="grid">
    {#each limits as [key, words] (key)}
      <label
        >{words}<input
          class="number"
          inputmode="numeric"
          value={typed[key] ?? sheet.limits[key] ?? ''}
          placeholder="none"
          oninput={(e) => putLimit(key, e.currentTarget.value)}
        /></label
      >
    {/each}
  </div>

  <h2>How it matches, counts and charges</h2>
  <div class="line">
    <label
      ><input
        type="checkbox"
        checked={sheet.matching.stemming !== null}
        onchange={(e) => put('matching', { ...sheet.matching, stemming: e.currentTarget.checked ? 'english' : null })}
      /> finds other endings (English)</label
    >
    <label
      ><input
        type="checkbox"
        checked={sheet.matching.diacritics === 'folded'}
        onchange={(e) =>
          put('matching', { ...sheet.matching, diacritics: e.currentTarget.checked ? 'folded' : 'kept' })}
      /> takes é for e</label
    >
    <label
      >counts
      <select
        value={sheet.counting.kind}
        onchange={(e) =>
          put(
            'counting',
            e.currentTarget.value === 'rounded'
              ? { kind: 'rounded', above: 1000, figures: 2 }
              : e.currentTarget.value === 'guess'
                ? { kind: 'guess', factor: 3 }
                : { kind: 'exact' }
          )}
      >
        <option value="exact">exactly</option><option value="rounded">rounded</option><option value="guess"
          >by a guess</option
        >
      </select></label
    >
    {#if sheet.counting.kind === 'rounded'}
      {@const counting = sheet.counting}
      <label
        >above <input
          class="number"
          inputmode="numeric"
          value={counting.above}
          oninput={(e) => put('counting', { ...counting, above: Number(e.currentTarget.value) })}
        /></label
      >
      <label
        >to figures <input
          class="number"
          inputmode="numeric"
          value={counting.figures}
          oninput={(e) => put('counting', { ...counting, figures: Number(e.currentTarget.value) })}
        /></label
      >
    {:else if sheet.counting.kind === 'guess'}
      {@const counting = sheet.counting}
      <label
        >up to times off <input
          class="number"
          inputmode="decimal"
          value={counting.factor}
          oninput={(e) => put('counting', { ...counting, factor: Number(e.currentTarget.value) })}
        /></label
      >
    {/if}
  </div>
  <div class="line">
    <label class="wide"
      >words it drops, inside quotes too <input
        value={sheet.matching.stopWords.join(' ')}
        placeholder="of the and"
        onchange={(e) =>
          put('matching', {
            ...sheet.matching,
            stopWords: e.currentTarget.value
              .toLowerCase()
              .split(/[\s,;]+/)
              .filter(Boolean)
          })}
      /></label
    >
    <label
      ><input
        type="checkbox"
        checked={sheet.price !== null}
        onchange={(e) => put('price', e.currentTarget.checked ? { perSearch: 0, perRecord: 0, unit: 'EUR' } : null)}
      /> charges</label
    >
    {#if sheet.price}
      {@const price = sheet.price}
      <label
        >a search <input
          class="number"
          inputmode="decimal"
          value={price.perSearch}
          oninput={(e) => put('price', { ...price, perSearch: Number(e.currentTarget.value) })}
        /></label
      >
      <label
        >a record <input
          class="number"
          inputmode="decimal"
          value={price.perRecord}
          oninput={(e) => put('price', { ...price, perRecord: Number(e.currentTarget.value) })}
        /></label
      >
      <label
        >in <input
          class="number"
          value={price.unit}
          maxlength="20"
          oninput={(e) => put('price', { ...price, unit: e.currentTarget.value })}
        /></label
      >
    {/if}
  </div>
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
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 12px;
    align-items: baseline;
  }
  .box,
  .fact {
    border-top: 1px solid var(--rule);
    padding-top: 6px;
    display: grid;
    gap: 6px;
  }
  .fact {
    display: flex;
  }
  .fact b {
    width: 82px;
    font-size: 13px;
  }
  .grid {
    display: grid;
    grid-template-columns: repeat(4, 1fr);
    gap: 8px;
  }
  .grid label {
    display: grid;
    gap: 2px;
  }
  label {
    font-size: 12.5px;
    color: var(--soft);
  }
  .wide {
    flex: 1;
    display: flex;
    gap: 6px;
    align-items: baseline;
  }
  .wide input {
    flex: 1;
    min-width: 80px;
  }
  :is(input, select) {
    font-size: 13px;
    padding: 3px 6px;
  }
  .fact input:not([type='checkbox']):not(.number) {
    width: 130px;
  }
  .tells {
    border: 1px solid var(--line);
    padding: 6px 12px;
    margin: 12px 0;
  }
  .tells div {
    display: flex;
    flex-wrap: wrap;
    gap: 0 14px;
    align-items: baseline;
  }
  .tells b {
    width: 60px;
    font-size: 13px;
  }
  .tells :global(.bx--form-item) {
    flex: none;
  }
  .add {
    justify-self: start;
  }
  .number {
    width: 66px;
  }
  .grid .number {
    width: auto;
    min-width: 0;
  }
  input[type='checkbox'] {
    accent-color: var(--accent);
    vertical-align: -2px;
  }
</style>
