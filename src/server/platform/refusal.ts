/** Something asked that cannot be done, with a sentence for the person who asked. Becomes an RFC 9457 problem. */
export class Refusal extends Error {
  readonly status: number;
  readonly title: string;
  readonly extra: Record<string, unknown>;

  constructor(status: number, title: string, detail: string, extra: Record<string, unknown> = {}) {
    super(detail);
    this.status = status;
    this.title = title;
    this.extra = extra;
  }

  /** As it goes from thread to thread, where the class is lost. */
  serialize(): SerializedRefusal {
    return { status: this.status, title: this.title, detail: this.message, extra: this.extra };
  }

  static of({ status, title, detail, extra }: SerializedRefusal): Refusal {
    return new Refusal(status, title, detail, extra);
  }

  /** The body of an RFC 9457 problem. */
  problem(): string {
    const { extra, ...rest } = this.serialize();
    return JSON.stringify({ type: 'about:blank', ...rest, ...extra });
  }
}

export interface SerializedRefusal {
  status: number;
  title: string;
  detail: string;
  extra: Record<string, unknown>;
}

export const unknownHost = (why: string) => new Refusal(421, 'Unknown host', why);

export const notFound = (what: string) =>
  new Refusal(
    404,
    'Not found',
    `${what} doesn’t exist. It may have been deleted in another tab. Your changes are still on this page.`
  );

export const changedElsewhere = (what: string, current: unknown) =>
  new Refusal(
    409,
    'Changed elsewhere',
    `${what} was changed in another tab or by someone else. Nothing was overwritten: choose which version to keep.`,
    { current }
  );
