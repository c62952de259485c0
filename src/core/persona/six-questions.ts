import type { Regions } from '../people/regions';
import { personaFromText, type BriefFact, type BriefReading } from './persona-from-text';

/** Questions for somebody who doesn't know yet who to look for; each answer is read like a line of a written brief. */
export const sixQuestions = [
  { id: 'sold', asks: 'What do you sell?', such: 'Temperature loggers for refrigerated transport' },
  { id: 'trouble', asks: 'Which problem does it solve?', such: 'Loads refused for want of a record' },
  { id: 'day', asks: 'Who has that problem every day?', such: 'Quality managers and heads of logistics' },
  { id: 'signs', asks: 'Who signs off?', such: 'Directors, at firms of 50 to 500 people in Denmark' },
  { id: 'unfit', asks: 'Which firms can’t use it?', such: 'Couriers, consultancies, staffing agencies' },
  { id: 'served', asks: 'Who are your customers already?', such: 'Names of customers, with commas or one a line' }
] as const;
export type SixAnswers = Readonly<Record<(typeof sixQuestions)[number]['id'], string>>;

/**
 * Reads the answers to the six questions: one text with a line an answer, and what it says. Firms served already are to be
 * left out, each by its name.
 */
export function readSixAnswers(answers: SixAnswers, regions?: Regions): { text: string; reading: BriefReading } {
  const line = (said: string) =>
    said
      .split('\n')
      .map((one) => one.trim())
      .filter(Boolean)
      .join(', ');
  const lead = (words: string, said: string, already: RegExp) =>
    said && (already.test(said) ? said : `${words} ${said}`);
  const [sold, trouble, day, signs, unfit] = (['sold', 'trouble', 'day', 'signs', 'unfit'] as const).map((id) =>
    line(answers[id])
  ) as [string, string, string, string, string];
  const asked = [
    lead(
      'We sell',
      sold.replace(/^\p{Lu}(?=\p{Ll})/u, (letter) => letter.toLowerCase()),
      /^we\b/i
    ),
    trouble,
    day,
    signs,
    lead('Not', unfit, /^(not|no|never|without|except)\b/i)
  ].filter(Boolean);
  const before = asked.map((said) => (/[.!?;]$/.test(said) ? said : `${said}.`)).join('\n');
  const reading = personaFromText(before, regions);
  const served = line(answers.served);
  const from = before.length + (before && served ? 1 : 0);
  const firms: BriefFact[] = [];
  const known = new Set<string>();
  for (const piece of served.matchAll(/[^,;]+/g)) {
    const name = piece[0].trim();
    if (!name || known.has(name.toLowerCase())) continue;
    known.add(name.toLowerCase());
    const at = from + piece.index + piece[0].indexOf(name);
    firms.push({ kind: 'firm left out', value: name, words: name, from: at, to: at + name.length });
  }
  return {
    text: served ? `${before}${before && '\n'}${served}` : before,
    reading: { facts: [...reading.facts, ...firms], unread: reading.unread }
  };
}
