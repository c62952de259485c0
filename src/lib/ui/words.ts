import { catalogue, type Said } from '$lib/words/catalogue';

export const numberField = catalogue('ui/numberField', {
  aWholeNumberFrom: (min: Said, max: Said) => `A whole number from ${min}${max}`
});

export const secretField = catalogue('ui/secretField', {
  showTheKey: 'Show the key',
  hideTheKey: 'Hide the key'
});

export const toasts = catalogue('ui/toasts', {
  doneJustNow: 'Notifications',
  dismiss: 'Dismiss'
});

export const dateField = catalogue('ui/dateField', { form: 'yyyy-mm-dd' });
