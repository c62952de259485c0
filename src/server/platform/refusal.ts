/** Something asked that cannot be done, with a sentence for the person who asked. Becomes an RFC 9457 problem. */
export class Refusal extends Error {
  /** Of HTTP. */
  readonly status: number;
  /** Stays the same when words change; see `refusals`. */
  readonly code: string;
  readonly title: string;
  readonly extra: Record<string, unknown>;

  constructor(status: number, code: string, title: string, detail: string, extra: Record<string, unknown> = {}) {
    super(detail);
    this.status = status;
    this.code = code;
    this.title = title;
    this.extra = extra;
  }

  /** The same with members of its own beside those of RFC 9457. */
  with(extra: Record<string, unknown>): Refusal {
    return new Refusal(this.status, this.code, this.title, this.message, { ...this.extra, ...extra });
  }

  /** As it goes from thread to thread, where the class is lost. */
  serialize(): SerializedRefusal {
    return { status: this.status, code: this.code, title: this.title, detail: this.message, extra: this.extra };
  }

  static of({ status, code, title, detail, extra }: SerializedRefusal): Refusal {
    return new Refusal(status, code, title, detail, extra);
  }

  /** The body of an RFC 9457 problem. Its type is a path of Eave's own: RFC 9457, 3.1.1, asks that a relative one be whole. */
  problem(): string {
    const { extra, code, ...rest } = this.serialize();
    return JSON.stringify({ type: `/api/problems/${code}`, ...rest, ...extra });
  }
}

export interface SerializedRefusal {
  status: number;
  code: string;
  title: string;
  detail: string;
  extra: Record<string, unknown>;
}
