/** Milliseconds left free for a user who acts at once. */
const pause = 150;

/** Calls back once the current frame is on screen and interactive. Returns a function that cancels it. */
export function afterPaint(work: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  // The frame is painted between the two.
  const frame = requestAnimationFrame(() => (timer = setTimeout(work, pause)));
  return () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  };
}
