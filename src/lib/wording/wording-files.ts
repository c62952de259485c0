/** Wordings in and out as CSV, loaded when a file is given or wanted. */
export { readWordingsCsv, writeWordingsCsv } from '$core/formats';
