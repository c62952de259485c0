import * as z from 'zod';
import { columnProfileSchema } from '$core/shortlist/column-profile-schema';
import { largest } from './limits';
import { operation } from './operation';
import { paths } from './paths';
import { name } from './shortlist-settings';
import { revision } from './shapes';
import { counts, keptFilter, listParams } from './shortlists';

const profileParams = z.object({ name });
const leaving = keptFilter.extend({
  form: z.enum(['csv', 'xlsx', 'jsonl', 'vcf', 'tsv', 'hashed']).default('csv'),
  profile: z.string().max(200).optional(),
  addresses: z.enum(['any', 'good', 'good and uncertain']).default('any'),
  /** Also those who are left out */
  all: z.enum(['true', 'false']).default('false'),
  /** In batches of so many, the one of this number from 1 */
  size: z.coerce.number().int().min(1).max(1_000_000).optional(),
  batch: z.coerce.number().int().min(1).max(1_000_000).default(1),
  salt: z.string().max(200).default(''),
  numbers: z.string().max(200_000).optional(),
  /** Only shown, and not recorded as an export */
  look: z.enum(['true', 'false']).default('false')
});

/** What leaves of a shortlist, as what, and with which columns. */
export const shortlistExports = {
  exportShortlist: operation(paths.exportShortlist, { params: listParams, body: leaving }),
  previewExport: operation(paths.previewExport, {
    params: listParams,
    body: leaving,
    response: z.object({
      headers: z.array(z.string()),
      rows: z.array(z.array(z.string())),
      people: z.int(),
      batches: z.int(),
      leftOut: counts
    })
  }),
  mergePreview: operation(paths.mergePreview, {
    params: listParams,
    body: z.object({ leaving, there: z.string().max(20_000_000) }),
    bodyLimit: 24 * 1024 * 1024,
    response: z.object({
      counts: z.record(z.string(), z.int()),
      compared: z.array(z.object({ here: z.string(), there: z.string() })).describe('The columns that were compared'),
      onlyThere: z.array(z.string()),
      onlyHere: z.array(z.string()),
      lines: z.array(
        z.object({
          who: z.string(),
          what: z.enum(['new', 'would change', 'same', 'conflict']),
          why: z.string(),
          changes: z.array(z.object({ header: z.string(), there: z.string(), here: z.string() }))
        })
      )
    })
  }),
  processingRecord: operation(paths.processingRecord, { params: listParams }),
  listProfiles: operation(paths.listProfiles, {
    response: z.array(z.object({ name: z.string(), body: columnProfileSchema, revision: z.int().min(0) }))
  }),
  writeProfile: operation(paths.writeProfile, {
    params: profileParams,
    body: z.object({ body: columnProfileSchema, revision: z.int().min(0).max(largest) }),
    response: z.object({ revision })
  }),
  deleteProfile: operation(paths.deleteProfile, { params: profileParams })
};
