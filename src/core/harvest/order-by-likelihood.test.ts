import { describe, expect, it } from 'vitest';
import { parse } from '../language/parse';
import { seededRandom } from '../measure/random';
import { exactMatching } from '../semantics/exact-matching';
import { likelihood, learnLogistic } from './logistic';
import { areaUnder, learn, signReader, type JudgedRow } from './order-by-likelihood';

describe('logistic regression', () => {
  it('finds the log odds of a sign that is there or not, held back by the penalty', () => {
    // 80 of 100 with the sign fit, 20 of 100 without: log odds of 4 and of 1/4.
    const rows = Array.from({ length: 200 }, (_, i) => (i < 100 ? [0] : []));
    const fits = rows.map((_, i) => (i < 100 ? i < 80 : i < 120));
    const model = learnLogistic(rows, fits, 1);
    expect(likelihood(model, [0])).toBeCloseTo(0.8, 1);
    expect(likelihood(model, [])).toBeCloseTo(0.2, 1);
    expect(model.weights[0]).toBeLessThan(Math.log(16));
  });
});

describe('reading the likely ones first', () => {
  const random = seededRandom('likely');
  const row = (): JudgedRow => {
    const good = random() < 0.3;
    const signs = [
      good === random() < 0.9 ? 'title word quality' : 'title word sales',
      random() < 0.5 ? 'country DK' : 'country SE'
    ];
    return { signs, fit: good };
  };

  it('learns what speaks for a fit, says how well, and does so again in the same way', () => {
    const rows = Array.from({ length: 120 }, row);
    const learnt = learn(rows, 'seed')!;
    expect(learnt.area).toBeGreaterThan(0.75);
    expect(learnt.strongest[0]!.sign).toMatch(/^title word/);
    expect(learnt.likelihoodOf(['title word quality'])).toBeGreaterThan(learnt.likelihoodOf(['title word sales']));
    expect(learn(rows, 'seed')!.likelihoodOf(['country DK'])).toBe(learnt.likelihoodOf(['country DK']));
  });

  it('learns nothing of noise, and says so', () => {
    const noise = Array.from({ length: 300 }, () => ({
      signs: [`x ${Math.floor(random() * 5)}`],
      fit: random() < 0.5
    }));
    const { area } = learn(noise, 'seed')!;
    expect(area).toBeGreaterThan(0.35);
    expect(area).toBeLessThan(0.65);
    expect(
      learn(
        noise.filter(({ fit }) => fit),
        'seed'
      )
    ).toBeNull();
  });

  it('says of rows it has not seen how likely they fit as often as they do, though it learnt from few and by many signs', () => {
    const draw = seededRandom('calibrated');
    const rowOf = () => {
      const good = draw() < 0.5;
      const signs = Array.from({ length: 60 }, (_, i) => (draw() < 0.2 ? [`noise ${i}`] : [])).flat();
      return { signs: good ? [...signs, 'good'] : signs, fit: draw() < (good ? 0.7 : 0.3) };
    };
    let [said, held, people] = [0, 0, 0];
    for (let run = 0; run < 10; run++) {
      const { likelihoodOf } = learn(Array.from({ length: 150 }, rowOf), `run ${run}`)!;
      for (let i = 0; i < 400; i++) {
        const { signs, fit } = rowOf();
        const likely = likelihoodOf(signs);
        if (likely < 0.6) continue;
        said += likely;
        held += Number(fit);
        people++;
      }
    }
    expect(people).toBeGreaterThan(500);
    expect(Math.abs(said - held) / people).toBeLessThan(0.1);
  });

  it('counts pairs in the right order, ties by half (Hanley and McNeil 1982)', () => {
    expect(areaUnder([1, 2, 3, 4], [false, false, true, true])).toBe(1);
    expect(areaUnder([1, 1, 1], [false, true, true])).toBe(0.5);
    expect(areaUnder([3, 1, 2], [true, true, false])).toBe(0.5);
    expect(areaUnder([1], [true])).toBeNull();
  });

  it('reads terms met, facts, and how a title reads', () => {
    const read = signReader(parse('title:("head of quality" OR QA) AND pharma').query!, exactMatching);
    const signs = read({
      id: '1',
      name: 'Ana',
      country: 'DK',
      headcount: 240,
      jobs: [{ title: 'Head of Quality', company: 'Nordpharma A/S' }],
      about: 'pharma'
    });
    expect(signs).toEqual(
      expect.arrayContaining([
        'meets title:"head of quality"',
        'meets pharma',
        'country DK',
        'size 7',
        'title function quality',
        'title words head of'
      ])
    );
    expect(signs).not.toContain('meets title:QA');
  });
});
