/** The people of a CSV, and what of it cannot be read; what reads files is loaded then. Rejects with a sentence where it is none. */
export const peopleOfFile = async (file: File) =>
  (await import('./read-people-file')).readPeopleFile(await file.text());
