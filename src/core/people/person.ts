import * as z from 'zod';
import { ownNamePattern } from '../language/scopes';
import { maxOwn } from './own-fields';

const month = z.string().regex(/^\d{4}(-(0[1-9]|1[0-2]))?$/, 'a month is written 2024-05, a year 2024');
const text = z.string().max(20_000);
const texts = z.array(text).max(500);

/** One job of a career; without `to` it is held now. Months are ISO 8601, `2024-05`; `past` is an unknown end. */
export const jobSchema = z.object({
  title: text,
  company: text,
  from: month.optional(),
  to: z.union([month, z.literal('past')]).optional(),
  text: text.optional()
});

/** A person as listed by a source. Unknown facts are absent. */
export const personSchema = z.object({
  id: z.string().min(1).max(300),
  name: text,
  jobs: z.array(jobSchema).max(200).optional(),
  about: text.optional(),
  skills: texts.optional(),
  schools: texts.optional(),
  groups: texts.optional(),
  contact: texts.optional().describe('Mail addresses, phone numbers, page addresses'),
  place: text.optional().describe('Town or region, as the source writes it'),
  country: text.optional().describe('ISO 3166-1 alpha-2 code where known, otherwise as written'),
  industry: text.optional().describe('ISIC Rev. 4 division, two digits, where known; otherwise as written'),
  function: text.optional(),
  rank: text.optional(),
  headcount: z.number().min(0).optional().describe('People employed by the current firm'),
  growth: z.number().optional().describe('Change of headcount over the last year, in %'),
  tenure: z.number().min(0).optional().describe('Months in the current role'),
  moved: z.number().min(0).optional().describe('Days since the last job change'),
  active: z.number().min(0).optional().describe('Days since the last post'),
  hiring: z.boolean().optional(),
  funded: z.boolean().optional(),
  tech: texts.optional(),
  mail: z.enum(['good', 'uncertain', 'none']).optional(),
  founded: z.number().optional().describe('Year the current firm was founded'),
  language: text.optional().describe('Language of the profile: ISO 639-1 code where known, otherwise as written'),
  own: z
    .record(
      z.string().regex(ownNamePattern, 'letters in small, digits and _'),
      z.union([text, z.number(), z.boolean()])
    )
    .refine((fields) => Object.keys(fields).length <= maxOwn, `at most ${maxOwn} own fields`)
    .optional()
    .describe('Own fields: a text, a number, yes or no, or an ISO 8601 date as text'),
  read: z
    .array(z.enum(['place', 'country', 'language']))
    .max(3)
    .optional()
    .describe('Facts that Eave read out of another text of the record, as a country out of a place')
});

export type Job = z.infer<typeof jobSchema>;
export type Person = z.infer<typeof personSchema>;
