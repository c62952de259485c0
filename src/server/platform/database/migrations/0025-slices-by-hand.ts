import type { Schema } from '../schema';

export const name = '0025-slices-by-hand';

/** Slices of a place run by hand: the count as it was read, and entries of the diary that belong to a slice. */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    ALTER TABLE harvest_slices ADD COLUMN count jsonb;
    ALTER TABLE hand_entries ADD COLUMN slice_id uuid REFERENCES harvest_slices ON DELETE CASCADE;
    CREATE INDEX hand_entries_of_slice ON hand_entries (slice_id) WHERE slice_id IS NOT NULL`);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('hand_entries', 'slice_id');
