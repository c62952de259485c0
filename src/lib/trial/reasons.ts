/** Why a person does not fit, as researchers say it; given by the keys 1 to 6. */
export const reasons = [
  'wrong rank',
  'wrong function',
  'wrong trade',
  'moved on',
  'too small or large',
  'ours already'
] as const;
