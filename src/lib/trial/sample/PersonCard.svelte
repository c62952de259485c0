<script lang="ts">
  import { personCard as say } from '../words';
  import Elsewhere from './Elsewhere.svelte';
  import { fieldWords } from '../field-words';
  import { ownWords } from '$lib/marks/own-words';
  import Marked from './Marked.svelte';
  import { partGlyph, partTint } from '$lib/marks/parts';
  import { isOwnScope } from '$core/language';
  import { countryName, languageName } from '$core/people';
  import type { Answer } from '$api';

  type Trial = Answer<'readTrial'>;
  let { trial, at }: { trial: Trial; at: number } = $props();

  const sampled = $derived(trial.sample[at]!);
  const person = $derived(sampled.person);
  const highlightsOf = (index: number) => sampled.marks.filter((mark) => mark.value === index);
  const valuesIn = (field: string) =>
    sampled.values.map((value, index) => ({ ...value, index })).filter((value) => value.field === field);
  const valueOfJob = (job: number, fields: readonly string[]) =>
    sampled.values
      .map((value, index) => ({ ...value, index }))
      .find((value) => value.job === job && fields.includes(value.field));

  const now = $derived(person.jobs?.findIndex((job) => !job.to) ?? -1);
  const because = $derived(
    [...new Set(sampled.marks.map((mark) => mark.part))]
      .sort((a, b) => a - b)
      .map((part) => {
        const mark = sampled.marks.find((one) => one.part === part)!;
        const value = sampled.values[mark.value]!;
        const word = value.text.slice(mark.from, mark.to);
        return { part, word: value.field === 'country' ? countryName(word) : word, field: value.field };
      })
  );
  /** What Eave read out of another text is marked as read. */
  const isRead = (fact: 'place' | 'country' | 'language') => (person.read?.includes(fact) ? ' (read)' : '');
  const place = $derived(person.place && `${person.place}${isRead('place')}`);
  const country = $derived(person.country && `${countryName(person.country)}${isRead('country')}`);
  const ownValues = $derived(
    sampled.values.map((value, index) => ({ ...value, index })).filter(({ field }) => isOwnScope(field))
  );
  const year = (month: string | undefined) => (month === 'past' ? '' : (month?.slice(0, 4) ?? ''));
  const span = (from: string | undefined, to: string | undefined) =>
    to === 'past' ? 'earlier' : `${year(from) || '…'} to ${to ? year(to) : 'now'}`;
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<article class="sheet" aria-label={say.profile(person.name)} tabindex="0">
  <p class="name"><Marked text={person.name} marks={highlightsOf(0)} /></p>
  {#if now >= 0}
    {@const title = valueOfJob(now, ['title'])}
    {#if title}<p class="title"><Marked text={title.text} marks={highlightsOf(title.index)} /></p>{/if}
  {/if}
  <p class="soft">
    {[
      person.jobs?.[now]?.company,
      person.headcount && `${person.headcount.toLocaleString('en')} people`,
      [place, country].filter(Boolean).join(', ')
    ]
      .filter(Boolean)
      .join(' · ')}
    {say.shownByAt(trial.sourceName)}
    {sampled.rank.toLocaleString('en')}
  </p>

  <dl class="career">
    {#each person.jobs ?? [] as job, i (i)}
      {@const title = valueOfJob(i, ['title', 'pasttitle'])}
      {@const company = valueOfJob(i, ['company', 'pastcompany'])}
      {@const more = valueOfJob(i, ['jobtext'])}
      <dt>{span(job.from, job.to)}</dt>
      <dd class:past={job.to}>
        {#if title}<Marked text={title.text} marks={highlightsOf(title.index)} />{/if}{title && company
          ? ', '
          : ''}{#if company}<Marked text={company.text} marks={highlightsOf(company.index)} />{/if}
        {#if more}<div class="more"><Marked text={more.text} marks={highlightsOf(more.index)} /></div>{/if}
      </dd>
    {/each}
  </dl>

  {#each valuesIn('about') as value (value.index)}<p class="about">
      <Marked text={value.text} marks={highlightsOf(value.index)} />
    </p>{/each}
  {#each [[say.skills, 'skill'], [say.groups, 'group'], [say.school, 'school'], [say.contact, 'contact']] as [label, field] (field)}
    {@const values = valuesIn(field!)}
    {#if values.length}
      <p class="list">
        <span class="soft">{label}</span>
        {#each values as value, i (value.index)}{i ? ' · ' : ''}<Marked
            text={value.text}
            marks={highlightsOf(value.index)}
          />{/each}
      </p>
    {/if}
  {/each}

  {#if person.language || ownValues.length}
    <dl class="facts">
      {#if person.language}<dt>{say.language}</dt>
        <dd>{languageName(person.language)}{isRead('language')}</dd>{/if}
      {#each ownValues as value (value.index)}<dt>{ownWords(value.field)}</dt>
        <dd><Marked text={value.text} marks={highlightsOf(value.index)} /></dd>{/each}
    </dl>
  {/if}

  {#if because.length}
    <p class="because">
      {say.foundBecause}
      {#each because as { part, word, field }, i (part)}{i ? (i === because.length - 1 ? say.and : ', ') : ''}<b
          style:color={partTint(part)}>{partGlyph(part)} {word}</b
        >
        {say.isIn}
        {fieldWords[field] ?? `“${ownWords(field)}”`}{/each}.
    </p>
  {/if}
  {#if sampled.unlisted.length}
    <p class="unlisted">
      <b>{say.possible}</b>{say.notCertainDoesntList(trial.sourceName)}
      {#each sampled.unlisted as part, i (part)}{i ? ', ' : ''}<span class="mono">{part}</span>{/each}
      {say.forThisPerson}
    </p>
  {/if}
  <Elsewhere {person} except={trial.sourceId} />
</article>

<style>
  article {
    padding: 18px 22px;
    overflow: auto;
  }
  .name {
    font-size: 25px;
    line-height: 1.25;
  }
  .title {
    font-size: 17px;
    font-weight: 600;
    margin-top: 2px;
  }
  .career {
    display: grid;
    grid-template-columns: 112px 1fr;
    gap: 4px 14px;
    margin-top: 16px;
  }
  dt {
    color: var(--soft);
  }
  dd {
    font-weight: 600;
  }
  dd.past,
  .more {
    font-weight: 400;
  }
  .about {
    margin-top: 16px;
    line-height: 1.6;
  }
  .list {
    margin-top: 10px;
    font-size: 13px;
  }
  .list span {
    display: inline-block;
    width: 64px;
  }
  .facts {
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: 2px 14px;
    margin-top: 10px;
    font-size: 13px;
  }
  .facts dd {
    font-weight: 400;
  }
  .unlisted {
    margin-top: 12px;
    font-size: 13px;
    border: 1px dashed var(--grey);
    padding: 4px 8px;
  }
  .because {
    margin-top: 18px;
    font-size: 13px;
    color: var(--soft);
  }
</style>
