/** Waits, or until it is halted. */
export const sleep = (milliseconds: number, halt: AbortSignal): Promise<void> =>
  new Promise((done) => {
    if (halt.aborted) return done();
    const end = () => {
      clearTimeout(timer);
      halt.removeEventListener('abort', end);
      done();
    };
    const timer = setTimeout(end, milliseconds);
    halt.addEventListener('abort', end);
  });
