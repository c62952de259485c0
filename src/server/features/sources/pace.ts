import { sleep } from '$server/platform/sleep';

const minute = 60_000;

/** Spreads requests so that no more than so many begin in any minute: a service never has to refuse what its sheet says. */
export class Pace {
  readonly perMinute: number | null;
  private readonly started: number[] = [];
  private line: Promise<void> = Promise.resolve();

  constructor(perMinute: number | null) {
    this.perMinute = perMinute;
  }

  /** Waits for the next turn; anybody who asks first goes first. */
  turn(halt: AbortSignal): Promise<void> {
    const mine = this.line.then(async () => {
      if (this.perMinute === null) return;
      while (this.started.length && this.started[0]! <= Date.now() - minute) this.started.shift();
      if (this.started.length >= this.perMinute)
        await sleep(this.started[this.started.length - this.perMinute]! + minute - Date.now(), halt);
      this.started.push(Date.now());
    });
    this.line = mine;
    return mine;
  }
}
