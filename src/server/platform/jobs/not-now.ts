/** Thrown by a job that was not done for no fault of its own: it is tried again. */
export class NotNow extends Error {}

/** Thrown by a job that is to come again after so many milliseconds, and lets others go first meanwhile. */
export class Later extends Error {
  readonly wait: number;
  constructor(wait: number, why: string) {
    super(why);
    this.wait = wait;
  }
}
