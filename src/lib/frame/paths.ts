/** The steps of a brief, in working order. */
export type Step =
  'persona' | 'wording' | 'string' | 'trial' | 'compare' | 'harvest' | 'shortlist' | 'report' | 'by-hand';

export const brief = (id: string, step: Step, query: Record<string, string | number> = {}) => {
  const search = new URLSearchParams(Object.entries(query).map(([k, v]) => [k, String(v)])).toString();
  return `/briefs/${id}/${step}${search && `?${search}`}`;
};
