import type { Verdict } from '$core/measure';

const place = 'eave-go-on';

/** Whether the desk moves to the next person automatically, stored in this browser: then a fit takes one key and a miss two. */
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
