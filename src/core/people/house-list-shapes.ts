import * as z from 'zod';

/** A country as it is written: a code of ISO 3166-1 or a name. */
const written = z.string().trim().min(1).max(100);

/** Countries whose mail rules ask that a person agrees before the first mail, with a note on each. `country` reads what is written. */
export const consentOf = <C extends z.ZodType<string, string>>(country: C) =>
  z
    .array(z.object({ country, note: z.string().trim().max(200).default('') }))
    .max(250)
    .refine(
      (rows) => new Set((rows as { country: string }[]).map((row) => row.country)).size === rows.length,
      'A country is listed twice. Remove one.'
    );

/** Regions as a house speaks of them: by which names, and which countries they hold. `country` reads what is written. */
export const regionsOf = <C extends z.ZodType<string, string>>(country: C) =>
  z
    .array(
      z.object({
        names: z.array(z.string().trim().min(1, 'needs a name').max(60)).min(1, 'needs a name').max(10),
        countries: z.array(country).min(1, 'holds no country yet').max(250)
      })
    )
    .max(200)
    .superRefine((regions, context) => {
      const seen = new Set<string>();
      regions.forEach(({ names }, i) => {
        for (const name of names.map((one) => one.toLowerCase())) {
          if (seen.has(name))
            context.addIssue({ code: 'custom', path: [i, 'names'], message: `“${name}” is named twice` });
          seen.add(name);
        }
      });
    });

/** The same, before the countries are looked up. */
export const consentShape = consentOf(written);
export const regionsShape = regionsOf(written);
