/** Any number: names the lock that keeps two servers from migrating at once. */
export const migrationLock = 7_203_441;
