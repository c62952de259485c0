import type { RecordName } from '$server/workers/people-messages';

/** What a record is called where many are kept by name, or gone through in order. */
export const nameOfRecord = ({ sourceId, personId }: RecordName): string => `${sourceId} ${personId}`;
