import { seededRandom } from '$core/measure';
import { Refused } from '../faults';

/** What a service says of a mail address. */
export type MailState = 'good' | 'uncertain' | 'bad' | 'unanswered';
export interface CheckedMail {
  address: string;
  state: MailState;
  /** Why, in a few words; empty where there is nothing to say. */
  why: string;
  price: number;
}

/** A service that checks whether mail addresses exist. */
export interface MailChecker {
  name: string;
  /** What one good address costs, and in what. */
  price: { perGood: number; unit: string };
  /** Addresses of one question at most. */
  batch: number;
  /** Throws Refused, with a time to wait, where it is asked too fast. */
  check(addresses: readonly string[], halt: AbortSignal): Promise<CheckedMail[]>;
}

const risks = ['takes mail for every name', 'the mailbox is full', 'answers slowly', 'the domain is new'];
const faults = ['no such mailbox', 'the domain takes no mail'];

/**
 * The stand-in: always the same of the same address. About half are good and a bit over a quarter uncertain (common practice,
 * no published source). It takes its time, refuses anybody who asks too fast, and is paid for good ones alone.
 */
export class StandInChecker implements MailChecker {
  readonly name = 'Postgate';
  readonly price = { perGood: 0.01, unit: 'credit' };
  readonly batch = 50;
  readonly #perMinute: number;
  readonly #pause: number;
  #asked: number[] = [];

  /** `perMinute` are the questions that it takes; `pause` the milliseconds of each. */
  constructor({ perMinute = 120, pause = 120 } = {}) {
    this.#perMinute = perMinute;
    this.#pause = pause;
  }

  async check(addresses: readonly string[], halt: AbortSignal): Promise<CheckedMail[]> {
    const now = Date.now();
    this.#asked = this.#asked.filter((at) => now - at < 60_000);
    if (this.#asked.length >= this.#perMinute) throw new Refused(60_000 - (now - this.#asked[0]!));
    this.#asked.push(now);
    await new Promise<void>((resolve) => {
      const timer = setTimeout(resolve, this.#pause);
      halt.addEventListener('abort', () => (clearTimeout(timer), resolve()), { once: true });
    });
    return addresses.map((address) => {
      const luck = seededRandom(`mail/${address}`);
      const dice = luck();
      const pick = (list: readonly string[]) => list[Math.floor(luck() * list.length)]!;
      if (dice < 0.51) return { address, state: 'good', why: '', price: this.price.perGood };
      if (dice < 0.79) return { address, state: 'uncertain', why: pick(risks), price: 0 };
      if (dice < 0.93) return { address, state: 'bad', why: pick(faults), price: 0 };
      return { address, state: 'unanswered', why: 'the server does not say', price: 0 };
    });
  }
}
