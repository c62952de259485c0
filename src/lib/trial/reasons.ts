/** Why a person does not fit, as researchers say it; given by the keys 1 to 6. */
export const reasons = [
  'wrong rank',
  'wrong function',
  'wrong industry',
  'changed jobs',
  'too small or large',
  'already a customer'
] as const;
