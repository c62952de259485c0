/** What the first of several sources lists, and what it leaves open by those behind it. */
export const firstLeads = <T extends object>(all: readonly T[]): T => Object.assign({}, ...[...all].reverse()) as T;
