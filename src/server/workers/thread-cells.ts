/** What is where in the memory that a thread of the pool shares with it; questions by their numbers. */
export const cells = {
  /** Nobody waits for it any more. */
  dropped: 0,
  /** The kernel's number of the thread. */
  thread: 1
} as const;

export const makeCells = (): Int32Array => new Int32Array(new SharedArrayBuffer(4 * Object.keys(cells).length));
