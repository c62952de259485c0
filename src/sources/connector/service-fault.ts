/** What a service did wrong, in a sentence. `again` says whether asking again may help. */
export class ServiceFault extends Error {
  readonly again: boolean;
  constructor(message: string, again: boolean) {
    super(message);
    this.again = again;
  }
}
