import { catalogue, type Said } from '$lib/words/catalogue';

export const numberField = catalogue('ui/numberField', {
  wholeNumberFrom: (min: Said, max: Said) => `A whole number from ${min}${max}`
});

export const secretField = catalogue('ui/secretField', {
  showKey: 'Show the key',
  hideKey: 'Hide the key'
});

export const toasts = catalogue('ui/toasts', {
  notifications: 'Notifications',
  dismiss: 'Dismiss'
});

export const dateField = catalogue('ui/dateField', { yyyyMmDd: 'yyyy-mm-dd' });

export const confirmDialog = catalogue('ui/confirmDialog', {
  cancel: 'Cancel'
});
