import { Refusal } from '$server/platform/refusal';

/** What work is refused with; fails where it is not. */
export async function refusal(work: Promise<unknown>): Promise<Refusal> {
  const refused = await work.then(
    () => null,
    (error: unknown) => error
  );
  if (!(refused instanceof Refusal)) throw new Error(`Not refused, but ${String(refused)}.`);
  return refused;
}
