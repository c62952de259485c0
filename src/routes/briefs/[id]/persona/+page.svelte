<script lang="ts">
  import { untrack } from 'svelte';
  import { reload } from '$lib/kept/reload';
  import FileButton from '$lib/ui/FileButton.svelte';
  import Act from '$lib/ui/Act.svelte';
  import Fold from '$lib/ui/Fold.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import TextArea from 'carbon-components-svelte/src/TextArea/TextArea.svelte';
  import TextInput from 'carbon-components-svelte/src/TextInput/TextInput.svelte';
  import { call } from '$lib/api/call';
  import KeptNotice from '$lib/kept/KeptNotice.svelte';
  import { brief as briefPath } from '$lib/frame/paths';
  import { KeptDocument } from '$lib/kept/kept-document.svelte';
  import { readJsonFile } from '$lib/frame/read-json-file';
  import { saveFile } from '$lib/frame/save-file';
  import Refused from '$lib/frame/Refused.svelte';
  import Contacted from '$lib/persona/Contacted.svelte';
  import ChoiceField from '$lib/persona/ChoiceField.svelte';
  import LinesField from '$lib/persona/LinesField.svelte';
  import OtherFacts from '$lib/persona/OtherFacts.svelte';
  import SizeBands from '$lib/persona/SizeBands.svelte';
  import { readSize, shownSize } from '$lib/persona/typed-size';
  import type { Person } from '$core/people';
  import { countries, countryName, industries } from '$core/people';
  import {
    describePersona,
    personaSchema,
    type Persona,
    originsOf,
    traced,
    type Origin,
    bandNotes,
    missingFrom,
    takeFacts,
    type BriefFact
  } from '$core/persona';
  import { parse } from '$core/language';
  import { ranks } from '$core/titles';

  let { data } = $props();

  // svelte-ignore state_referenced_locally
  const persona = new KeptDocument<Persona>(data.persona, personaSchema, async (body) => {
    const kept = await call('writePersona', { params: { id: data.brief.id }, body });
    await reload('eave:brief');
    return kept;
  });

  const set = <K extends keyof Persona>(field: K, value: Persona[K]) =>
    persona.change({ ...persona.value, [field]: value }, field);
  const wrong = (field: string) =>
    persona.issues.find(({ path }) => path === field || path.startsWith(`${field}.`))?.message;

  /** Sizes stay as typed; what is no number is told and not kept. */
  let sizeText = $state({ from: '', to: '' });
  $effect.pre(() => {
    for (const end of ['from', 'to'] as const) {
      const shown = shownSize(sizeText[end], persona.value.size[end]);
      if (shown !== sizeText[end]) sizeText[end] = shown;
    }
  });
  function typeSize(end: 'from' | 'to', text: string) {
    sizeText[end] = text;
    set('size', { ...persona.value.size, [end]: readSize(text) });
  }

  const countryChoices = countries
    .map(({ code, name }) => ({ value: name, name: `${name}`, code }))
    .sort((a, b) => a.name.localeCompare(b.name));
  const industryChoices = industries.map(({ code, name }) => ({ value: code, name: `${code} ${name}` }));
  function addRegion(name: string) {
    const region = data.regions.find(({ names }) => names[0] === name);
    if (region)
      set('countries', [
        ...new Set([...persona.value.countries.map(countryName), ...region.countries.map(countryName)])
      ]);
  }
  const addConsent = () =>
    set('notCountries', [
      ...new Set([
        ...persona.value.notCountries.map(countryName),
        ...data.consent.map(({ country }) => countryName(country))
      ])
    ]);
  const rankChoices = ranks.map(({ id }) => ({ value: id, name: id }));
  const sizeProblem = $derived(wrong('size'));
  const bandProblem = $derived(wrong('bands'));
  /** Which terms of the string come from which line here. */
  const inUse = $derived.by(() => {
    const { query } = parse(data.draft.text);
    return query && traced(query, originsOf(persona.value, data.wording));
  });
  /** What is used now and then is folded, unless it says something already. */
  const begun = persona.value;
  const used = {
    functions: begun.functions.length + begun.ranks.length > 0,
    bands: begun.bands.length > 0,
    facts: begun.facts.length > 0,
    leftOut: begun.notIndustries.length + begun.notCountries.length + untrack(() => data.contacted.body.length) > 0
  };
  const missing = $derived(persona.issues.length ? [] : missingFrom(persona.value));

  async function keepKnown(people: Person[]): Promise<boolean> {
    refused = null;
    try {
      await call('addKnown', { params: { id: data.brief.id }, body: { people } });
      return true;
    } catch (problem) {
      refused = problem;
      return false;
    }
  }

  type Reader = 'six' | 'text' | 'customers';
  let reading: Reader | null = $state(null);
  const read = (what: Reader) => (reading = reading === what ? null : what);
  function takeRead(facts: readonly BriefFact[]) {
    persona.change(takeFacts($state.snapshot(persona.value) as Persona, facts));
    reading = null;
  }
  let refused: unknown = $state(null);
  async function take(file: File) {
    refused = null;
    try {
      const hint = 'Choose a persona that was exported here.';
      persona.change(await readJsonFile(file, personaSchema, { kind: 'persona', hint }));
    } catch (problem) {
      refused = problem;
    }
  }
</script>

<div class="strip">
  <h1>Persona</h1>
  <span class="rest"></span>
  <KeptNotice document={persona} />
  <Act aria-expanded={reading === 'six'} onclick={() => read('six')}>Six questions</Act>
  <Act aria-expanded={reading === 'text'} onclick={() => read('text')}>Read a written brief</Act>
  <Act aria-expanded={reading === 'customers'} onclick={() => read('customers')}>From customers won</Act>
  <Act onclick={() => saveFile(JSON.stringify(persona.value, null, 2), 'persona.json', 'application/json')}
    >Export JSON</Act
  >
  <FileButton label="Import JSON" accept={['.json']} onfile={take} />
</div>
<Refused problem={refused} />
<div class="said">
  <p class="sentence" aria-label="The persona in a sentence">{describePersona(persona.value)}</p>
  {#if missing.length}
    <ul class="missing" aria-label="What is missing">
      {#each missing as note (note)}<li>{note}</li>{/each}
    </ul>
  {/if}
</div>
{#if reading === 'customers'}
  {#await import('$lib/persona/CustomerReader.svelte') then { default: CustomerReader }}
    <CustomerReader
      sources={data.sources}
      ontake={(fact) => persona.change(takeFacts($state.snapshot(persona.value) as Persona, [fact]))}
      onkeep={keepKnown}
      onclose={() => (reading = null)}
    />
  {/await}
{:else if reading === 'text'}
  {#await import('$lib/persona/BriefReader.svelte') then { default: BriefReader }}
    <BriefReader regions={data.regions} ontake={takeRead} onclose={() => (reading = null)} />
  {/await}
{:else if reading === 'six'}
  {#await import('$lib/persona/GuidedStart.svelte') then { default: GuidedStart }}
    <GuidedStart regions={data.regions} ontake={takeRead} onclose={() => (reading = null)} />
  {/await}
{/if}

{#snippet inString(of: Origin['of'])}
  {@const terms = inUse?.counts[of] ?? 0}
  <div id="line-{of}" class="in-string">
    {#if terms}<a href={briefPath(data.brief.id, 'string', { panel: 'tree', from: of })}
        >{terms} term{terms === 1 ? '' : 's'} of the string</a
      >{/if}
  </div>
{/snippet}

<div class="columns">
  <section class="sheet" aria-labelledby="who">
    <h2 id="who">Who</h2>
    <TextArea
      labelText="What is sold"
      rows={2}
      value={persona.value.offer}
      invalid={wrong('offer') !== undefined}
      invalidText="This {wrong('offer')}."
      on:input={(event) => set('offer', (event.target as HTMLTextAreaElement).value)}
    />
    <LinesField
      label="Titles wanted"
      hint="One a line. Each gets a word set of its own in the next step."
      lines={persona.value.titles}
      invalid={wrong('titles')}
      onchange={(lines) => set('titles', lines)}
    />
    {@render inString('titles')}
    <Fold title="Functions and ranks" open={used.functions}>
      <div class="folded">
        <LinesField
          label="Functions"
          hint="One a line, such as quality. Sources that know functions are asked for them."
          lines={persona.value.functions}
          invalid={wrong('functions')}
          onchange={(lines) => set('functions', lines)}
        />
        {@render inString('functions')}
        <ChoiceField
          label="Ranks"
          hint="Sources that know ranks are asked for them."
          choices={rankChoices}
          chosen={persona.value.ranks}
          invalid={wrong('ranks')}
          onchange={(chosen) => set('ranks', chosen)}
        />
        {@render inString('ranks')}
      </div>
    </Fold>
  </section>
  <section class="sheet" aria-labelledby="firm">
    <h2 id="firm">What firm, and where</h2>
    <div class="sizes">
      <TextInput
        labelText="People employed, from"
        value={sizeText.from}
        placeholder="any"
        invalid={sizeProblem !== undefined}
        on:input={(event) => typeSize('from', String(event.detail ?? ''))}
      />
      <TextInput
        labelText="to"
        value={sizeText.to}
        placeholder="any"
        invalid={sizeProblem !== undefined}
        on:input={(event) => typeSize('to', String(event.detail ?? ''))}
      />
    </div>
    {#if sizeProblem}<p class="wrong" role="alert">
        Company size: {sizeProblem}{sizeProblem.endsWith('.') ? '' : '.'} Write digits, as in 51.
      </p>{/if}
    {@render inString('size')}
    <Fold title="Titles by size of firm" open={used.bands}>
      <div class="folded">
        <SizeBands
          bands={persona.value.bands}
          notes={bandProblem ? [`A band: ${bandProblem}`] : bandNotes(persona.value)}
          onchange={(bands) => set('bands', bands)}
        />
      </div>
    </Fold>
    <ChoiceField
      label="Countries"
      hint="Names or codes of ISO 3166-1."
      choices={countryChoices}
      chosen={persona.value.countries}
      invalid={wrong('countries')}
      onchange={(chosen) => set('countries', chosen)}
    />
    {@render inString('countries')}
    <Pick label="A whole region" value="" onpick={addRegion}>
      <option value="">add all of it …</option>
      {#each data.regions as region (region.names[0])}<option value={region.names[0]}>{region.names[0]}</option>{/each}
    </Pick>
    <ChoiceField
      label="Industries"
      hint="Divisions of ISIC Rev. 4, by name or number."
      choices={industryChoices}
      chosen={persona.value.industries}
      invalid={wrong('industries')}
      onchange={(chosen) => set('industries', chosen)}
    />
    {@render inString('industries')}
    <Fold title="Other facts of the firm or the person" open={used.facts}>
      <div class="folded">
        <OtherFacts facts={persona.value.facts} problem={wrong('facts')} onchange={(facts) => set('facts', facts)} />
        {@render inString('facts')}
      </div>
    </Fold>
  </section>
  <section class="sheet" aria-labelledby="words">
    <h2 id="words">Words, and who must not come</h2>
    <LinesField
      label="Must have one of"
      hint="One a line, anywhere in the profile."
      lines={persona.value.mustHave}
      invalid={wrong('mustHave')}
      onchange={(lines) => set('mustHave', lines)}
    />
    {@render inString('mustHave')}
    <LinesField
      label="Firms to leave out"
      hint="Competitors, customers, your own: one a line. Legal forms and spellings are seen to."
      lines={persona.value.notFirms}
      invalid={wrong('notFirms')}
      onchange={(lines) => set('notFirms', lines)}
    />
    {@render inString('notFirms')}
    <Fold title="Industries, countries and people to leave out" open={used.leftOut}>
      <div class="folded">
        <ChoiceField
          label="Industries to leave out"
          hint="Your own, for one: divisions of ISIC Rev. 4."
          choices={industryChoices}
          chosen={persona.value.notIndustries}
          invalid={wrong('notIndustries')}
          onchange={(chosen) => set('notIndustries', chosen)}
        />
        {@render inString('notIndustries')}
        <ChoiceField
          label="Countries to leave out"
          hint="Names or codes of ISO 3166-1."
          choices={countryChoices}
          chosen={persona.value.notCountries}
          invalid={wrong('notCountries')}
          onchange={(chosen) => set('notCountries', chosen)}
        />
        {@render inString('notCountries')}
        <p class="region">
          <Act onclick={addConsent}>Add those that ask consent first</Act>
          {data.consent.length} countries on <a href="/library/places">the list for all briefs</a>
        </p>
        <Contacted briefId={data.brief.id} kept={data.contacted} />
      </div>
    </Fold>
    <LinesField
      label="Must not come"
      hint="One a line. Whoever has one of these is left out."
      lines={persona.value.mustNot}
      invalid={wrong('mustNot')}
      onchange={(lines) => set('mustNot', lines)}
    />
    {@render inString('mustNot')}
  </section>
</div>

<style>
  .columns {
    display: grid;
    grid-template-columns: 1fr 1fr 1fr;
    gap: 14px;
    align-items: start;
  }
  section {
    padding: 14px 18px 18px;
    display: grid;
    gap: 16px;
  }
  .sizes {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 12px;
    align-items: end;
  }
  .region {
    font-size: 12px;
    color: var(--soft);
  }
  .in-string {
    font-size: 12px;
    margin-top: -10px;
    scroll-margin-top: 140px;
  }
  .in-string:empty {
    display: none;
  }
  .rest {
    flex: 1;
  }
  .said {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 24px;
    align-items: baseline;
    margin-bottom: 12px;
  }
  .sentence {
    flex: 3 1 560px;
    font-size: 17px;
    font-weight: 300;
    line-height: 1.35;
  }
  .folded {
    display: grid;
    gap: 12px;
  }
  .missing {
    flex: 1 1 300px;
    font-size: 13px;
    color: var(--soft);
    padding-left: 20px;
    margin: 0;
  }
  .wrong {
    color: var(--warm);
    font-size: 12.5px;
  }
</style>
