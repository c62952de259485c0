<script lang="ts">
  import { otherFacts as say } from './words';
  import Button from '$lib/ui/Button.svelte';
  import TextInput from '$lib/ui/TextInput.svelte';
  import Select from '$lib/ui/Select.svelte';
  import { otherFacts, type Persona } from '$core/persona';
  import { isNumberFact, isOwnScope, readDay, takesRange, writeDay, type OwnScope } from '$core/language';
  import { ownWords } from '$lib/marks/own-words';

  type Fact = Persona['facts'][number];
  interface Props {
    facts: readonly Fact[];
    problem: string | undefined;
    /** The own fields of the sources' files. */
    own: readonly OwnScope[];
    onchange: (facts: Fact[]) => void;
  }
  let { facts, problem, own, onchange }: Props = $props();

  const known: Partial<Record<Fact['scope'], string>> = {
    place: 'place',
    growth: say.growthOverOneYear,
    founded: say.yearFounded,
    tenure: say.monthsInRole,
    moved: say.daysSinceLastMove,
    active: say.daysSinceLastPost,
    hiring: say.firmIsHiringYesNo,
    funded: say.firmWasFundedYesNo,
    tech: say.firmsTechnology,
    mail: say.addressGoodUncertainNone,
    group: 'group',
    skill: 'skill',
    school: 'school',
    language: say.profileLanguage
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
        <TextInput
          inputmode="numeric"
          aria-label={say.from(fact.scope)}
          placeholder={say.any}
          value={shown(fact, 'from')}
          oninput={(e) => putNumber(fact.scope, 'from', e.currentTarget.value)}
        />
        {say.toText}
        <TextInput
          inputmode="numeric"
          aria-label={say.toText2(fact.scope)}
          placeholder={say.any}
          value={shown(fact, 'to')}
          oninput={(e) => putNumber(fact.scope, 'to', e.currentTarget.value)}
        />
      {/if}
      {#if !isNumberFact(fact.scope)}
        <TextInput
          class="wide"
          aria-label={say.valuesSeparatedByCommas(fact.scope)}
          placeholder={say.valuesSeparatedByCommas2}
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
      <Button
        kind="ghost"
        type="button"
        aria-label={say.remove(fact.scope)}
        onclick={() => onchange(facts.filter((one) => one !== fact))}>✕</Button
      >
    </div>
  {/each}
  {#if unused.length}
    <Select
      aria-label={say.addFact}
      value=""
      onchange={(picked) => {
        add(picked);
      }}
    >
      <option value="">{say.addFact2}</option>
      {#each unused as scope (scope)}<option value={scope}>{words(scope)}</option>{/each}
    </Select>
  {/if}
  {#if problem}<p role="alert">{say.fact(problem)}</p>{/if}
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
