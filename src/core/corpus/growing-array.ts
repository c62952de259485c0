/** A typed array that doubles its room as it is filled. */
export class GrowingUint32 {
  length = 0;
  private room: Uint32Array;

  constructor(expected: number) {
    this.room = new Uint32Array(Math.max(16, expected));
  }

  push(value: number): void {
    if (this.length === this.room.length) this.grow();
    this.room[this.length++] = value;
  }

  at(place: number): number {
    return this.room[place]!;
  }

  private grow(): void {
    const larger = new Uint32Array(this.room.length * 2);
    larger.set(this.room);
    this.room = larger;
  }

  /** All that was pushed, as a view that lasts until more is pushed. */
  view(): Uint32Array {
    return this.room.subarray(0, this.length);
  }
}
