/** An own field as its column was called. */
export const ownWords = (scope: string): string => scope.replace(/^own\./, '').replaceAll('_', ' ');
