import * as z from 'zod';
import { columnMappingSchema } from '$core/formats/column-fields';
import { standardFieldSchema } from '$core/formats/standard-fields';
import { fileValueSchema, importOutcomeSchema, ontoSchema, readingSchema, valueMeaningSchema } from './import-shapes';
import { operation } from './operation';
import { paths } from './paths';
import { sourceId } from './shapes';

const importShape = z.object({
  id: z.uuid(),
  fileName: z.string(),
  bytes: z.int(),
  reading: readingSchema,
  state: z.enum(['ready', 'running', 'done', 'refused', 'stopped']),
  outcome: importOutcomeSchema.nullable(),
  sourceId: sourceId.nullable()
});

const importParams = z.object({ id: z.uuid() });

/** Files of people that become sources. */
export const imports = {
  receiveFile: operation(paths.receiveFile, {
    query: z.object({ name: z.string().trim().min(1).max(300) }),
    response: importShape,
    status: 201
  }),
  readImport: operation(paths.readImport, {
    params: importParams,
    response: importShape
  }),
  startImport: operation(paths.startImport, {
    params: importParams,
    body: z.object({
      name: z.string().trim().min(1, 'A source needs a name.').max(100),
      mapping: columnMappingSchema,
      skipBadRows: z.boolean().default(false),
      values: z.array(valueMeaningSchema).max(5000).default([]),
      /** A cell that is not what its column holds is left empty, or its row is left out */
      badCells: z.enum(['empty', 'skip']).default('empty'),
      /** An imported file whose people these take the place of, by key */
      into: sourceId.nullable().default(null),
      /** A list that they are put on, instead of making a source */
      onto: ontoSchema.default(null)
    }),
    response: importShape,
    status: 202
  }),
  /** The values of the columns that are brought to standard lists, as they would be read */
  readImportValues: operation(paths.readImportValues, {
    params: importParams,
    body: z.object({ mapping: columnMappingSchema }),
    response: z.object({
      values: z.array(fileValueSchema),
      /** What the values of each column can become; none where that is a number */
      lists: z.partialRecord(standardFieldSchema, z.array(z.object({ value: z.string(), name: z.string() }))),
      /** Different values beyond those told, which are read by their names */
      more: z.int()
    })
  }),
  stopImport: operation(paths.stopImport, {
    params: importParams
  })
};
