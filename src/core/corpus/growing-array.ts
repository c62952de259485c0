/** A typed array that doubles its room as it is filled. */
export class GrowingUint32 {
  length = 0;
  private room: Uint32Array;

  constructor(expected: number) {
    this.room = new Uint32Array(Math.max(16, expected));
  }

  push(value: number): void {
    if (this.length === this.room.length) {
      const larger = new Uint32Array(this.room.length * 2);
      larger.set(this.room);
      this.room = larger;
    }
    this.room[this.length++] = value;
  }

  toArray(): Uint32Array {
    return this.room.slice(0, this.length);
  }
}
