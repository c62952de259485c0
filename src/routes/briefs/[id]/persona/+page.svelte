<script lang="ts">
  import { personaPage as say } from '$lib/persona/words';
  import { untrack } from 'svelte';
  import { reload } from '$lib/kept/reload';
  import FileUploadButton from '$lib/ui/FileUploadButton.svelte';
  import Button from '$lib/ui/Button.svelte';
  import Accordion from '$lib/ui/Accordion.svelte';
  import Select from '$lib/ui/Select.svelte';
  import TextArea from 'carbon-components-svelte/src/TextArea/TextArea.svelte';
  import { call } from '$lib/api/call';
  import { brief as briefPath } from '$lib/frame/paths';
  import KeptNotice from '$lib/kept/KeptNotice.svelte';
  import { KeptDocument } from '$lib/kept/kept-document.svelte';
  import { readJsonFile } from '$lib/frame/read-json-file';
  import { saveFile } from '$lib/frame/save-file';
  import Refused from '$lib/frame/Refused.svelte';
  import Contacted from '$lib/persona/Contacted.svelte';
  import ChoiceField from '$lib/persona/ChoiceField.svelte';
  import InString from '$lib/persona/InString.svelte';
  import LinesField from '$lib/persona/LinesField.svelte';
  import OtherFacts from '$lib/persona/OtherFacts.svelte';
  import PersonaReaders from '$lib/persona/PersonaReaders.svelte';
  import PersonaSentence from '$lib/persona/PersonaSentence.svelte';
  import SeveralField from '$lib/persona/SeveralField.svelte';
  import SizeBands from '$lib/persona/SizeBands.svelte';
  import SizeField from '$lib/persona/SizeField.svelte';
  import type { Person } from '$core/people';
  import { countries, countryName, industries } from '$core/people';
  import { personaSchema, type Persona, originsOf, traced, bandNotes, takeFacts, type BriefFact } from '$core/persona';
  import { isOwnScope, parse } from '$core/language';
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

  const countryChoices = countries()
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
  /** The own fields that files hold. */
  const ownFields = $derived([...new Set(data.sources.flatMap(({ sheet }) => sheet.lists.filter(isOwnScope)))].sort());
  const bandProblem = $derived(wrong('bands'));
  /** Which terms of the string come from which line here. */
  const inUse = $derived.by(() => {
    const { query } = parse(data.draft.text);
    return query && traced(query, originsOf(persona.value, data.wording));
  });
  /** What is used now and then is folded, unless it says something already. */
  const initial = persona.value;
  const used = {
    functions: initial.functions.length + initial.ranks.length > 0,
    bands: initial.bands.length > 0,
    facts: initial.facts.length > 0,
    leftOut: initial.notIndustries.length + initial.notCountries.length + untrack(() => data.contacted.body.length) > 0
  };

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
  const takeRead = (facts: readonly BriefFact[]) =>
    persona.change(takeFacts($state.snapshot(persona.value) as Persona, facts));
  let refused: unknown = $state(null);
  async function take(file: File) {
    refused = null;
    try {
      const hint = say.choosePersonaFileExportedFromEave;
      persona.change(await readJsonFile(file, personaSchema, { kind: 'persona', hint }));
    } catch (problem) {
      refused = problem;
    }
  }
</script>

<div class="strip">
  <h1>{say.persona}</h1>
  <span class="rest"></span>
  <KeptNotice document={persona} />
  <Button aria-expanded={reading === 'six'} onclick={() => read('six')}>{say.sixQuestions}</Button>
  <Button aria-expanded={reading === 'text'} onclick={() => read('text')}>{say.importFromText}</Button>
  <Button aria-expanded={reading === 'customers'} onclick={() => read('customers')}>{say.fromWonCustomers}</Button>
  <Button onclick={() => saveFile(JSON.stringify(persona.value, null, 2), 'persona.json', 'application/json')}
    >{say.exportJson}</Button
  >
  <FileUploadButton label={say.importJson} accept={['.json']} onfile={take} />
  <a class="next" href={briefPath(data.brief.id, 'wording')}>{say.chooseWordings}</a>
</div>
<Refused problem={refused} />
<PersonaSentence persona={persona.value} whole={!persona.issues.length} />
<PersonaReaders bind:reading sources={data.sources} regions={data.regions} ontake={takeRead} onkeep={keepKnown} />

<div class="columns">
  <section class="sheet" aria-labelledby="who">
    <h2 id="who">{say.person}</h2>
    <TextArea
      labelText={say.whatYouSell}
      rows={2}
      value={persona.value.offer}
      invalid={wrong('offer') !== undefined}
      invalidText={say.thisText(wrong('offer'))}
      on:input={(event) => set('offer', (event.target as HTMLTextAreaElement).value)}
    />
    <LinesField
      label={say.jobTitles}
      hint={say.onePerLineEachGetsIts}
      lines={persona.value.titles}
      invalid={wrong('titles')}
      onchange={(lines) => set('titles', lines)}
    />
    <InString briefId={data.brief.id} of="titles" counts={inUse?.counts} />
    <Accordion title={say.functionsAndRanks} open={used.functions}>
      <div class="folded">
        <LinesField
          label={say.functions}
          hint={say.onePerLineForExampleQuality}
          lines={persona.value.functions}
          invalid={wrong('functions')}
          onchange={(lines) => set('functions', lines)}
        />
        <InString briefId={data.brief.id} of="functions" counts={inUse?.counts} />
        <SeveralField
          label={say.ranks}
          hint={say.usedAtSourcesThatCanSearch}
          choices={rankChoices}
          chosen={persona.value.ranks}
          invalid={wrong('ranks')}
          onchange={(chosen) => set('ranks', chosen)}
        />
        <InString briefId={data.brief.id} of="ranks" counts={inUse?.counts} />
      </div>
    </Accordion>
  </section>
  <section class="sheet" aria-labelledby="firm">
    <h2 id="firm">{say.firmAndLocation}</h2>
    <SizeField size={persona.value.size} problem={wrong('size')} onchange={(size) => set('size', size)} />
    <InString briefId={data.brief.id} of="size" counts={inUse?.counts} />
    <Accordion title={say.titlesByFirmSize} open={used.bands}>
      <div class="folded">
        <SizeBands
          bands={persona.value.bands}
          notes={bandProblem ? [`A band: ${bandProblem}`] : bandNotes(persona.value)}
          onchange={(bands) => set('bands', bands)}
        />
      </div>
    </Accordion>
    <ChoiceField
      label={say.countries}
      hint={say.namesOrIso31661Codes}
      choices={countryChoices}
      chosen={persona.value.countries}
      invalid={wrong('countries')}
      onchange={(chosen) => set('countries', chosen)}
    />
    <InString briefId={data.brief.id} of="countries" counts={inUse?.counts} />
    <Select label={say.region} value="" onchange={addRegion}>
      <option value="">{say.addWholeRegion}</option>
      {#each data.regions as region (region.names[0])}<option value={region.names[0]}>{region.names[0]}</option>{/each}
    </Select>
    <ChoiceField
      label={say.industries}
      hint={say.isicRev4DivisionsByName}
      choices={industryChoices}
      chosen={persona.value.industries}
      invalid={wrong('industries')}
      onchange={(chosen) => set('industries', chosen)}
    />
    <InString briefId={data.brief.id} of="industries" counts={inUse?.counts} />
    <Accordion title={say.otherFactsAboutFirmOrPerson} open={used.facts}>
      <div class="folded">
        <OtherFacts
          facts={persona.value.facts}
          problem={wrong('facts')}
          own={ownFields}
          onchange={(facts) => set('facts', facts)}
        />
        <InString briefId={data.brief.id} of="facts" counts={inUse?.counts} />
      </div>
    </Accordion>
  </section>
  <section class="sheet" aria-labelledby="words">
    <h2 id="words">{say.keywordsAndExclusions}</h2>
    <LinesField
      label={say.anyTheseKeywords}
      hint={say.onePerLineAnywhereInProfile}
      lines={persona.value.mustHave}
      invalid={wrong('mustHave')}
      onchange={(lines) => set('mustHave', lines)}
    />
    <InString briefId={data.brief.id} of="mustHave" counts={inUse?.counts} />
    <LinesField
      label={say.excludedFirms}
      hint={say.competitorsCustomersAndYourOwnFirm}
      lines={persona.value.notFirms}
      invalid={wrong('notFirms')}
      onchange={(lines) => set('notFirms', lines)}
    />
    <InString briefId={data.brief.id} of="notFirms" counts={inUse?.counts} />
    <Accordion title={say.otherExclusions} open={used.leftOut}>
      <div class="folded">
        <ChoiceField
          label={say.excludedIndustries}
          hint={say.forExampleYourOwnIsicRev}
          choices={industryChoices}
          chosen={persona.value.notIndustries}
          invalid={wrong('notIndustries')}
          onchange={(chosen) => set('notIndustries', chosen)}
        />
        <InString briefId={data.brief.id} of="notIndustries" counts={inUse?.counts} />
        <ChoiceField
          label={say.excludedCountries}
          hint={say.namesOrIso31661Codes}
          choices={countryChoices}
          chosen={persona.value.notCountries}
          invalid={wrong('notCountries')}
          onchange={(chosen) => set('notCountries', chosen)}
        />
        <InString briefId={data.brief.id} of="notCountries" counts={inUse?.counts} />
        <p class="region">
          <Button onclick={addConsent}>{say.addCountriesThatRequirePriorConsent}</Button>
          {say.countriesOn(data.consent.length)} <a href="/library/places">{say.sharedList}</a>
        </p>
        <Contacted briefId={data.brief.id} kept={data.contacted} />
      </div>
    </Accordion>
    <LinesField
      label={say.excludeKeywords}
      hint={say.onePerLinePeopleWithAny}
      lines={persona.value.mustNot}
      invalid={wrong('mustNot')}
      onchange={(lines) => set('mustNot', lines)}
    />
    <InString briefId={data.brief.id} of="mustNot" counts={inUse?.counts} />
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
  .region {
    font-size: 12px;
    color: var(--soft);
  }
  .rest {
    flex: 1;
  }
  .folded {
    display: grid;
    gap: 12px;
  }
</style>
