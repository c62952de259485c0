import type { Verdict } from '$core/measure';

const place = 'eave-go-on';

/** Whether the desk goes on to the next person by itself, as this browser remembers: a fit is one key then, and a miss two. */
export class Onward {
  on = $state(true);

  /** Takes up what was chosen before. */
  recall(): void {
    this.on = localStorage.getItem(place) !== 'no';
  }

  switch(on: boolean): void {
    this.on = on;
    localStorage.setItem(place, on ? 'yes' : 'no');
  }

  /** A miss waits for its reason. */
  after = (verdict: Verdict): boolean => this.on && verdict !== 'miss';
  afterReason = (): boolean => this.on;
}
