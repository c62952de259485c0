/** The largest integer that the database's columns hold. */
export const largest = 2_147_483_647;
