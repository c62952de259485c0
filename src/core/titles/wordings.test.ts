import { describe, expect, it } from 'vitest';
import { tokenKeys } from '../language/tokens';
import { composeTitles } from './compose-title';
import { fixedTitles, functionOf, functions, iscoUnitGroups, languages, rankOf, ranks } from './lexicon';
import { readTitle } from './read-title';
import { languageOf, wordings } from './wordings';

const texts = (title: string, ...options: Parameters<typeof wordings> extends [string, ...infer R] ? R : never) =>
  wordings(title, ...options).map(({ text }) => text);

describe('the lexicon', () => {
  it('is as large as it is meant to be', () => {
    expect(ranks.length).toBeGreaterThanOrEqual(12);
    expect(functions().length).toBeGreaterThanOrEqual(24);
    expect(fixedTitles().flatMap(({ titles }) => Object.values(titles).flat()).length).toBeGreaterThanOrEqual(250);
    for (const language of languages) {
      expect(functions().every(({ names }) => names[language].length > 0)).toBe(true);
      expect(ranks.filter(({ patterns }) => patterns[language].length > 0).length).toBeGreaterThanOrEqual(11);
    }
  });

  it('gives each function a unit group of ISCO-08, of which there are 436, and neighbours that exist', () => {
    expect(iscoUnitGroups.size).toBe(436);
    for (const { isco, near, id } of functions()) {
      expect(iscoUnitGroups.has(isco ?? 'none')).toBe(true);
      expect(near.filter((name) => !functionOf(name) || name === id)).toEqual([]);
    }
  });

  it('tells the language of every title it joins or holds: the first that has it', () => {
    const first = new Map<string, string>();
    for (const language of languages)
      for (const title of [
        ...fixedTitles().flatMap(({ titles }) => titles[language] ?? []),
        ...ranks.flatMap((rank) => functions().flatMap((entry) => composeTitles(rank, entry, language)))
      ]) {
        const name = tokenKeys(title).join(' ');
        if (!first.has(name)) first.set(name, language);
      }
    expect(first.size).toBeGreaterThan(10_000);
    expect([...first].filter(([name, language]) => languageOf(name) !== language)).toEqual([]);
    expect(languageOf('Marmalade Whisperer')).toBe('en');
  });

  it('reads back the rank and function of the titles it joins', () => {
    let right = 0;
    let all = 0;
    for (const rank of ranks)
      for (const entry of functions())
        for (const language of languages)
          for (const title of composeTitles(rank, entry, language)) {
            all++;
            const read = readTitle(title);
            if (read.rank === rank.id && read.function === entry.id) right++;
          }
    expect(all).toBeGreaterThan(4000);
    expect(right / all).toBeGreaterThan(0.75);
  });
});

describe('wordings', () => {
  it('proposes the same meaning, other languages, ranks beside and functions near', () => {
    const found = wordings('Head of Quality');
    const of = (nearness: string) => found.filter((one) => one.nearness === nearness).map(({ text }) => text);
    expect(of('same')).toEqual(expect.arrayContaining(['Head of Quality Assurance', 'Head of QA', 'Quality Head']));
    expect(of('translated')).toEqual(
      expect.arrayContaining([
        'Leiter Qualität',
        'Leiterin Qualitätssicherung',
        'Hoofd Kwaliteit',
        'Kvalitetschef',
        'Kvalitetssjef',
        'Responsable qualité'
      ])
    );
    expect(of('rank')).toEqual(expect.arrayContaining(['Quality Director', 'Quality Manager']));
    expect(of('function')).toEqual(expect.arrayContaining(['Head of Compliance', 'Head of Food Safety']));
    expect(found.every(({ why }) => why.length > 5)).toBe(true);
    expect(found.map(({ nearness }) => nearness)).toEqual([
      ...of('same').map(() => 'same'),
      ...of('translated').map(() => 'translated'),
      ...of('rank').map(() => 'rank'),
      ...of('function').map(() => 'function')
    ]);
  });

  it('knows titles that follow no pattern, short forms, genders and spellings', () => {
    expect(texts('Responsible Person')).toEqual(
      expect.arrayContaining(['RP', 'Fagansvarlig', 'Großhandelsbeauftragter', 'Pharmacien responsable'])
    );
    expect(texts('QA Manager')).toContain('Quality Assurance Manager');
    expect(texts('Vice President Quality')).toContain('VP Quality');
    expect(texts('Leiter Qualität')).toContain('Leiterin Qualität');
    expect(texts('QA Manager')).not.toContain('QA Managerin');
    expect(texts('Distribution Centre Manager')).toContain('Distribution Center Manager');
    expect(texts('Owner')).toEqual(expect.arrayContaining(['Founder', 'Inhaber', 'Ejer', 'Gérante']));
  });

  it('keeps to the languages and the nearness asked for', () => {
    const danish = wordings('Head of Quality', { languages: ['da'], nearness: ['translated'] });
    expect(danish.length).toBeGreaterThan(2);
    expect(danish.every(({ language, nearness }) => language === 'da' && nearness === 'translated')).toBe(true);
  });

  it('never proposes a title twice, nor the title itself', () => {
    for (const title of ['Head of Quality', 'CEO', 'Warehouse Manager', 'Kvalitetschef', 'Gardener', '🚚', '']) {
      const names = texts(title).map((text) => tokenKeys(text).join(' '));
      expect(new Set(names).size).toBe(names.length);
      expect(names).not.toContain(tokenKeys(title).join(' '));
      expect(names.every(Boolean)).toBe(true);
    }
    expect(wordings('Gardener of the moon')).toEqual([]);
  });

  it('tells the language of a title it knows', () => {
    expect(languageOf('Leiter Qualität')).toBe('de');
    expect(languageOf('Responsable qualité')).toBe('fr');
    expect(languageOf('Head of Quality')).toBe('en');
    expect(rankOf.get('head')!.level).toBeLessThan(rankOf.get('manager')!.level);
  });
});
