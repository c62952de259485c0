import type { Schema } from '../schema';

export const name = '0028-checked-of-addresses';

/** A run never says that it checked more addresses than it has. */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`UPDATE mail_runs SET addresses = checked WHERE checked > addresses;
    ALTER TABLE mail_runs ADD CONSTRAINT mail_runs_checked_of_addresses CHECK (checked <= addresses)`);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> =>
  schema.hasConstraint('mail_runs', 'mail_runs_checked_of_addresses');
