<script lang="ts">
  import { otherFacts as say } from './words';
  import Act from '$lib/ui/Act.svelte';
  import Field from '$lib/ui/Field.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import { otherFacts, type Persona } from '$core/persona';
  import { isNumberFact, isOwnScope, readDay, takesRange, writeDay, type OwnScope } from '$core/language';
  import { ownWords } from '$lib/marks/own-words';

  type Fact = Persona['facts'][number];
  interface Props {
    facts: readonly Fact[];
    problem: string | undefined;
    /** The fields of their own that the sources' files have. */
    own: readonly OwnScope[];
    onchange: (facts: Fact[]) => void;
  }
  let { facts, problem, own, onchange }: Props = $props();

  const known: Partial<Record<Fact['scope'], string>> = {
    place: 'place',
    growth: say.growthInAYear,
    founded: say.yearFounded,
    tenure: say.monthsInTheRole,
    moved: say.daysSinceTheLastMove,
    active: say.daysSinceTheLastPost,
    hiring: say.firmIsHiringYesNo,
    funded: say.firmWasFundedYesNo,
    tech: say.technologyOfTheFirm,
    mail: say.mailGoodUncertainNone,
    group: 'group',
    skill: 'skill',
    school: 'school',
    language: say.languageOfTheProfile
  };
  const words = (scope: Fact['scope']) => known[scope] ?? say.ownField(ownWords(scope));
  let typed: Record<string, string> = $state({});
  const unused = $derived([...otherFacts, ...own].filter((scope) => !facts.some((fact) => fact.scope === scope)));
  const put = (scope: Fact['scope'], change: Partial<Fact>) =>
    onchange(facts.map((fact) => (fact.scope === scope ? { ...fact, ...change } : fact)));
  function putNumber(scope: Fact['scope'], end: 'from' | 'to', text: string) {
    typed[`${scope} ${end}`] = text;
    const day = isOwnScope(scope) ? readDay(text.trim(), end === 'from' ? 'first' : 'last') : null;
    put(scope, { [end]: text.trim() === '' ? null : (day ?? Number(text.replace(',', '.'))) });
  }
  const shown = (fact: Fact, end: 'from' | 'to') => {
    const value = fact[end];
    return value === null
      ? ''
      : Number.isNaN(value)
        ? (typed[`${fact.scope} ${end}`] ?? '')
        : (isOwnScope(fact.scope) && writeDay(value)) || String(value);
  };
  function add(scope: string) {
    const known = unused.find((one) => one === scope);
    if (known) onchange([...facts, { scope: known, from: null, to: null, values: [] }]);
  }
</script>

<fieldset>
  <legend>{say.otherFacts}</legend>
  {#each facts as fact (fact.scope)}
    <div>
      <span>{words(fact.scope)}</span>
      {#if takesRange(fact.scope)}
        <Field
          inputmode="numeric"
          aria-label={say.from(fact.scope)}
          placeholder={say.any}
          value={shown(fact, 'from')}
          oninput={(e) => putNumber(fact.scope, 'from', e.currentTarget.value)}
        />
        {say.to}
        <Field
          inputmode="numeric"
          aria-label={say.to2(fact.scope)}
          placeholder={say.any}
          value={shown(fact, 'to')}
          oninput={(e) => putNumber(fact.scope, 'to', e.currentTarget.value)}
        />
      {/if}
      {#if !isNumberFact(fact.scope)}
        <Field
          class="wide"
          aria-label={say.valuesWithCommas(fact.scope)}
          placeholder={say.valuesWithCommas2}
          value={fact.values.join(', ')}
          onchange={(e) =>
            put(fact.scope, {
              values: e.currentTarget.value
                .split(/[,;]/)
                .map((value) => value.trim())
                .filter(Boolean)
            })}
        />
      {/if}
      <Act
        look="plain"
        type="button"
        aria-label={say.takeOut(fact.scope)}
        onclick={() => onchange(facts.filter((one) => one !== fact))}>✕</Act
      >
    </div>
  {/each}
  {#if unused.length}
    <Pick
      aria-label={say.addAFact}
      value=""
      onpick={(picked) => {
        add(picked);
      }}
    >
      <option value="">{say.addAFact2}</option>
      {#each unused as scope (scope)}<option value={scope}>{words(scope)}</option>{/each}
    </Pick>
  {/if}
  {#if problem}<p role="alert">{say.aFact(problem)}</p>{/if}
</fieldset>

<style>
  fieldset {
    border: 0;
    padding: 0;
    margin: 0;
    display: grid;
    gap: 8px;
    justify-items: start;
    font-size: 13px;
  }
  legend {
    font-size: 12px;
    color: var(--soft);
    padding: 0;
  }
  div {
    display: flex;
    gap: 8px;
    align-items: baseline;
    width: 100%;
  }
  div span {
    flex: 1;
  }
  fieldset :global(input.wide) {
    width: 150px;
  }
  p {
    color: var(--warm);
  }
</style>
