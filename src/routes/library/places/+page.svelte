<script lang="ts">
  import { libraryPlacesPage as say } from '$lib/library/words';
  import Breadcrumb from 'carbon-components-svelte/src/Breadcrumb/Breadcrumb.svelte';
  import BreadcrumbItem from 'carbon-components-svelte/src/Breadcrumb/BreadcrumbItem.svelte';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import { call } from '$lib/api/call';
  import KeptNotice from '$lib/kept/KeptNotice.svelte';
  import { KeptDocument } from '$lib/kept/kept-document.svelte';
  import ChoiceField from '$lib/persona/ChoiceField.svelte';
  import {
    consentCountries,
    consentSchema,
    type ConsentCountries,
    countries,
    countryCode,
    countryName,
    regions as shippedRegions,
    regionsSchema,
    type Regions
  } from '$core/people';

  let { data } = $props();

  // svelte-ignore state_referenced_locally
  const regions = new KeptDocument<Regions>(data.regions, regionsSchema, (body) => call('writeRegions', { body }));
  // svelte-ignore state_referenced_locally
  const consent = new KeptDocument<ConsentCountries>(data.consent, consentSchema, (body) =>
    call('writeConsent', { body })
  );

  const choices = countries()
    .map(({ name }) => ({ value: name, name }))
    .sort((a, b) => a.name.localeCompare(b.name));
  const codes = (names: readonly string[]) => names.map((name) => countryCode(name) ?? name);
  const putRegion = (at: number, change: Partial<Regions[number]>) =>
    regions.change(
      regions.value.map((region, i) => (i === at ? { ...region, ...change } : region)),
      `${Object.keys(change)[0]} ${at}`
    );
  const wrong = (document: { issues: { path: string; message: string }[] }, at: number) =>
    document.issues.find(({ path }) => path === String(at) || path.startsWith(`${at}.`))?.message;
  const note = (country: string) => consent.value.find((row) => row.country === country)?.note ?? '';
</script>

<Breadcrumb noTrailingSlash>
  <BreadcrumbItem href="/library">{say.library}</BreadcrumbItem>
  <BreadcrumbItem isCurrentPage>{say.regionsAndConsent}</BreadcrumbItem>
</Breadcrumb>
<div class="strip">
  <h1>{say.regionsAndConsent}</h1>
  <p class="soft">{say.sharedByAllBriefsPersonasThat}</p>
</div>

<div class="columns">
  <section class="sheet" aria-labelledby="regions">
    <div class="line">
      <h2 id="regions">{say.regions}</h2>
      <KeptNotice document={regions} history={false} />
      <Button disabled={!regions.canUndo} onclick={() => regions.undo()}>{say.undo}</Button>
      <Button onclick={() => regions.change([{ names: [''], countries: [] }, ...regions.value])}>{say.newRegion}</Button
      >
      <Button onclick={() => regions.change(shippedRegions)}>{say.resetToDefault}</Button>
    </div>
    {#each regions.value as region, i (i)}
      <div class="row">
        <TextInput
          label={say.namesSeparatedByCommas}
          inline
          value={region.names.join(', ')}
          aria-invalid={wrong(regions, i) !== undefined}
          onchange={(event) => putRegion(i, { names: event.currentTarget.value.split(',').map((name) => name.trim()) })}
        />
        <ChoiceField
          label={say.countries(region.names[0] || 'the new region')}
          hint=""
          {choices}
          chosen={region.countries.map(countryName)}
          invalid={wrong(regions, i)}
          onchange={(chosen) => putRegion(i, { countries: codes(chosen) })}
        />
        <Button
          aria-label={say.deleteText(region.names[0] || 'the new region')}
          onclick={() => regions.change(regions.value.filter((_, at) => at !== i))}>✕</Button
        >
      </div>
    {/each}
  </section>
  <section class="sheet" aria-labelledby="consent">
    <div class="line">
      <h2 id="consent">{say.countriesThatRequirePriorConsent}</h2>
      <KeptNotice document={consent} history={false} />
      <Button disabled={!consent.canUndo} onclick={() => consent.undo()}>{say.undo}</Button>
      <Button onclick={() => consent.change(consentCountries)}>{say.resetToDefault}</Button>
    </div>
    <p class="soft">
      {say.countriesWhereFirstEmailCommonly}
    </p>
    <ChoiceField
      label={say.countries2}
      hint={say.namesOrCodesIso31661}
      {choices}
      chosen={consent.value.map(({ country }) => countryName(country))}
      invalid={consent.issues[0]?.message}
      onchange={(chosen) => consent.change(codes(chosen).map((country) => ({ country, note: note(country) })))}
    />
    {#each consent.value as row, i (row.country)}
      <TextInput
        label={countryName(row.country)}
        inline
        value={row.note}
        placeholder={say.note}
        oninput={(event) =>
          consent.change(
            consent.value.map((other, at) => (at === i ? { ...other, note: event.currentTarget.value } : other)),
            `note ${i}`
          )}
      />
    {/each}
  </section>
</div>

<style>
  .columns {
    display: grid;
    grid-template-columns: 3fr 2fr;
    gap: 14px;
    align-items: start;
  }
  section {
    padding: 14px 18px 18px;
    display: grid;
    gap: 12px;
    font-size: 13px;
  }
  .line {
    display: flex;
    gap: 10px;
    align-items: baseline;
  }
  h2 {
    flex: 1;
  }
  .row {
    display: grid;
    grid-template-columns: 220px 1fr auto;
    gap: 12px;
    align-items: start;
    border-top: 1px solid var(--rule);
    padding-top: 10px;
  }
  .row :global(label) {
    display: grid;
    gap: 4px;
    font-size: 12px;
    color: var(--soft);
  }
  div :global(.note) {
    display: grid;
    grid-template-columns: 130px 1fr;
    align-items: center;
  }
</style>
