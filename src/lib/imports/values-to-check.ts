import type { FileValue } from '$api/import-shapes';

const order = { null: 0, likeness: 1, memory: 2, name: 3 } as const;

/** The values that are worth a look before a file is imported: those not known first, then what is only likely or was chosen before. */
export const valuesToCheck = <V extends Pick<FileValue, 'by' | 'rows'>>(values: readonly V[]): V[] =>
  values
    .filter(({ by }) => by !== 'name')
    .sort((a, b) => order[a.by ?? 'null'] - order[b.by ?? 'null'] || b.rows - a.rows);
