import type { Term } from './words';

/** The anchor of a term on the page of all terms: `estimated-fits` for `estimatedFits`. */
export const termAnchor = (term: Term): string => term.replaceAll(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

export const termPath = (term: Term): string => `/terms#${termAnchor(term)}`;
