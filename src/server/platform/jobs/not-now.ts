/** Thrown by a job that could not finish through no fault of its own; it is retried. */
export class NotNow extends Error {}

/** Thrown by a job that is to come again after so many milliseconds, and lets others go first meanwhile. */
export class Later extends Error {
  readonly wait: number;
  constructor(wait: number, why: string) {
    super(why);
    this.wait = wait;
  }
}
