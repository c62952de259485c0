import type { Schema } from '../schema';

export const name = '0013-demo-briefs';

/** The briefs of the demo are known as such: putting the demo back never touches a brief of anybody's own. */
export const up = (schema: Schema): Promise<void> =>
  schema.query('ALTER TABLE briefs ADD COLUMN demo boolean NOT NULL DEFAULT false');

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('briefs', 'demo');
