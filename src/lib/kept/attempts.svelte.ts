/** What a page tries, one thing after the other: what the last was refused for is there to be shown. */
export class Attempts {
  refused: unknown = $state(null);

  /** Does something; undefined where it was refused. */
  attempt = async <T>(work: () => Promise<T>): Promise<T | undefined> => {
    this.refused = null;
    try {
      return await work();
    } catch (problem) {
      this.refused = problem;
      return undefined;
    }
  };
}
