/** Prints one line of progress. */
export const say = (line) => console.log(`eave  ${line}`);

/** Ends with a sentence that says what happened and what to do. */
export function stopWith(sentence) {
  console.error(`\neave  ${sentence}\n`);
  process.exit(1);
}
