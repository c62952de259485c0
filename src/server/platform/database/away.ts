import { ConnectionError, DatabaseError } from 'sequelize';

/** What the driver says of an error: its SQLSTATE, or the code of the system. */
export const driverErrorOf = (error: unknown): { code?: string; message?: string } =>
  (error instanceof DatabaseError ? error.parent : (error as { parent?: object }).parent) ?? (error as object) ?? {};

/** Whether an error means that the database cannot be reached now: what was asked can be asked again when it is back. */
export function isDatabaseAway(error: unknown): boolean {
  if (error instanceof ConnectionError) return true;
  const { code, message } = driverErrorOf(error);
  return (
    /^(57P0[123]|08\w{3}|ECONN\w+|EPIPE|ENOTFOUND|ETIMEDOUT)$/.test(code ?? '') ||
    /Connection (terminated|ended)|ConnectionManager|timeout exceeded when trying to connect|is not queryable/.test(
      message ?? ''
    )
  );
}

/** Whether there is no room left on a disk: of the database (SQLSTATE 53100), or here. */
export const isDiskFull = (error: unknown): boolean => /^(53100|ENOSPC|EDQUOT)$/.test(driverErrorOf(error).code ?? '');
