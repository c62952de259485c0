import { customersOf, readCustomerTable } from '$core/formats';

/** The people of a CSV, and what of it cannot be read. Loaded when a file is given. Throws an Error with a sentence where it is none. */
export const readPeopleFile = (text: string) => customersOf(readCustomerTable(text));
