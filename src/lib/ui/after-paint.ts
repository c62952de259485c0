/** Milliseconds for whoever goes on at once: what they do next comes first. */
const pause = 150;

/** Does something once the frame under way is on the screen and could be acted on. Gives what calls it off. */
export function afterPaint(work: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  // The frame is painted between the two.
  const frame = requestAnimationFrame(() => (timer = setTimeout(work, pause)));
  return () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  };
}
