import * as z from 'zod';
import { documentSchemas } from './documents';
import { keptDocument, mebibyte, operation } from './operation';
import { paths } from './paths';
import { brief } from './shapes';

const houseWording = z.object({ wording: z.string(), taken: z.boolean() });

const document = keptDocument([paths.readWording, paths.writeWording], documentSchemas.wording, {
  params: brief,
  bodyLimit: 8 * mebibyte
});

/** The wordings of what is looked for. */
export const wording = {
  readWording: document.read,
  writeWording: document.write,
  foundTitles: operation(paths.foundTitles, {
    params: brief,
    response: z.array(
      z.object({ title: z.string(), people: z.array(z.object({ name: z.string(), company: z.string() })) })
    )
  }),
  houseWordings: operation(paths.houseWordings, {
    query: z.object({ title: z.string().max(300) }),
    response: z.array(houseWording)
  }),
  rememberWordings: operation(paths.rememberWordings, {
    body: z.object({
      title: z.string().min(1).max(300),
      wordings: z.array(z.string().max(300)).max(1000),
      taken: z.boolean()
    }),
    response: z.array(houseWording)
  })
};
