<script lang="ts">
  import { invalidate } from '$app/navigation';
  import TextArea from 'carbon-components-svelte/src/TextArea/TextArea.svelte';
  import TextInput from 'carbon-components-svelte/src/TextInput/TextInput.svelte';
  import { call } from '$lib/api/call';
  import KeptNotice from '$lib/kept/KeptNotice.svelte';
  import { KeptDocument } from '$lib/kept/kept-document.svelte';
  import ChoiceField from '$lib/persona/ChoiceField.svelte';
  import LinesField from '$lib/persona/LinesField.svelte';
  import { countries } from '$core/people/countries';
  import { industries } from '$core/people/industries';
  import { describePersona } from '$core/persona/describe-persona';
  import { personaSchema, type Persona } from '$core/persona/persona';
  import { contract } from '$server/api/contract';

  let { data } = $props();

  // svelte-ignore state_referenced_locally
  const persona = new KeptDocument<Persona>(data.persona, personaSchema, async (body) => {
    const kept = await call(contract.writePersona, { params: { id: data.brief.id }, body });
    await invalidate('eave:brief');
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
      const value = persona.value.size[end];
      if (
        value === null
          ? readSize(sizeText[end]) !== null && !Number.isNaN(readSize(sizeText[end]))
          : readSize(sizeText[end]) !== value && !Number.isNaN(value)
      )
        sizeText[end] = value === null ? '' : String(value);
    }
  });
  function readSize(text: string): number | null {
    const plain = text.replaceAll(/[\s,.'](?=\d{3}\b)/g, '').trim();
    return plain === '' ? null : /^\d+$/.test(plain) ? Number(plain) : Number.NaN;
  }
  function typeSize(end: 'from' | 'to', text: string) {
    sizeText[end] = text;
    set('size', { ...persona.value.size, [end]: readSize(text) });
  }

  const countryChoices = countries
    .map(({ code, name }) => ({ value: name, name: `${name}`, code }))
    .sort((a, b) => a.name.localeCompare(b.name));
  const industryChoices = industries.map(({ code, name }) => ({ value: code, name: `${code} ${name}` }));
  const sizeProblem = $derived(wrong('size'));
</script>

<div class="strip">
  <h1>Persona</h1>
  <p class="soft">{describePersona(persona.value)}</p>
  <KeptNotice document={persona} />
</div>

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
      rows={6}
      lines={persona.value.titles}
      invalid={wrong('titles')}
      onchange={(lines) => set('titles', lines)}
    />
    <LinesField
      label="Functions"
      hint="One a line, such as quality. Sources that know functions are asked for them."
      rows={3}
      lines={persona.value.functions}
      invalid={wrong('functions')}
      onchange={(lines) => set('functions', lines)}
    />
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
    <ChoiceField
      label="Countries"
      hint="Names or codes of ISO 3166-1."
      choices={countryChoices}
      chosen={persona.value.countries}
      invalid={wrong('countries')}
      onchange={(chosen) => set('countries', chosen)}
    />
    <ChoiceField
      label="Industries"
      hint="Divisions of ISIC Rev. 4, by name or number."
      choices={industryChoices}
      chosen={persona.value.industries}
      invalid={wrong('industries')}
      onchange={(chosen) => set('industries', chosen)}
    />
  </section>
  <section class="sheet" aria-labelledby="words">
    <h2 id="words">Words</h2>
    <LinesField
      label="Must have one of"
      hint="One a line, anywhere in the profile."
      rows={6}
      lines={persona.value.mustHave}
      invalid={wrong('mustHave')}
      onchange={(lines) => set('mustHave', lines)}
    />
    <LinesField
      label="Must not come"
      hint="One a line. Whoever has one of these is left out."
      rows={6}
      lines={persona.value.mustNot}
      invalid={wrong('mustNot')}
      onchange={(lines) => set('mustNot', lines)}
    />
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
  .wrong {
    color: var(--warm);
    font-size: 12.5px;
  }
</style>
