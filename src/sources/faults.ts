import type { Faults } from '$core/dialect';
import { seededRandom } from '$core/measure';
import type { Page } from './source';

export const noFaults: Faults = { slow: false, timeOuts: false, refusals: false, repeats: false, drift: false };
/** What stand-ins do wrong until somebody switches it. */
export const usualFaults: Faults = { slow: true, timeOuts: true, refusals: true, repeats: true, drift: false };

/** No answer came in time. */
export class TimedOut extends Error {
  constructor() {
    super('no answer in time');
  }
}

/** The source takes no more requests for a while. */
export class Refused extends Error {
  readonly wait: number;
  /** `wait` in milliseconds. */
  constructor(wait: number) {
    super(`too many requests, wait ${Math.ceil(wait / 100) / 10} s`);
    this.wait = wait;
  }
}

export interface Clock {
  now(): number;
  sleep(milliseconds: number): Promise<void>;
}
export const realClock: Clock = {
  now: () => Date.now(),
  sleep: (milliseconds) => new Promise((done) => setTimeout(done, milliseconds))
};

/** A minute of the demo, in milliseconds: its places are busy twenty times as fast as real ones. */
export const demoMinute = 3000;

/** One place with its faults. The same request fails in the same way the first time it is asked, and not when it is asked again. */
export class FaultyPlace {
  readonly perMinute: number | null;
  private readonly clock: Clock;
  private readonly asked: number[] = [];
  private readonly tried = new Set<string>();

  constructor(perMinute: number | null, clock: Clock = realClock) {
    this.perMinute = perMinute;
    this.clock = clock;
  }

  /** `ask` gives a page by number; `name` names the search, for luck. Throws TimedOut or Refused. */
  async page(ask: (page: number) => Promise<Page>, page: number, name: string, faults: Faults): Promise<Page> {
    const luck = (fault: string) => seededRandom(`${fault}/${name}/${page}`)();
    const first = (fault: string) => this.tried.size < this.tried.add(`${fault}/${name}/${page}`).size;
    const now = this.clock.now();
    while (this.asked.length && this.asked[0]! <= now - demoMinute) this.asked.shift();
    if (faults.refusals && this.perMinute !== null && this.asked.length >= this.perMinute)
      throw new Refused(Math.max(50, this.asked[0]! + demoMinute - now));
    this.asked.push(now);
    if (faults.slow) await this.clock.sleep(20 + 80 * luck('slow'));
    if (faults.timeOuts && luck('time-out') < 0.04 && first('time-out')) {
      await this.clock.sleep(250);
      throw new TimedOut();
    }
    const again = faults.repeats && page > 0 && luck('repeat') < 0.05 && first('repeat');
    const answer = await ask(again ? page - 1 : page);
    const said = faults.drift ? Math.round(answer.said * (0.97 + 0.06 * luck('drift'))) : answer.said;
    return { ...answer, said, ...(again && { last: false }) };
  }
}
