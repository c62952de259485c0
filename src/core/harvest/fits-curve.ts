/** A judged person: a fit or not, and where they stood in the order in which they came. */
export interface JudgedInTurn {
  fit: boolean;
  place: number;
}

/** How many fits so many verdicts found, in the order in which people were judged, and in that in which they came. */
export interface FitsPoint {
  verdicts: number;
  fits: number;
  asTheyCame: number;
}

/** Points that a curve is drawn by at most. */
const maxPoints = 200;

/**
 * Fits found against verdicts given, of the same judged people twice: as they were judged (`list`, the first judged first), and as
 * they would have been in the order in which they came. At most 200 points, the last among them. About n log n.
 */
export function fitsCurve(list: readonly JudgedInTurn[]): FitsPoint[] {
  const came = [...list].sort((a, b) => a.place - b.place);
  const step = Math.max(1, Math.ceil(list.length / maxPoints));
  const points: FitsPoint[] = [{ verdicts: 0, fits: 0, asTheyCame: 0 }];
  let [fits, asTheyCame] = [0, 0];
  list.forEach(({ fit }, i) => {
    fits += Number(fit);
    asTheyCame += Number(came[i]!.fit);
    if ((i + 1) % step === 0 || i + 1 === list.length) points.push({ verdicts: i + 1, fits, asTheyCame });
  });
  return points;
}

/** The verdicts that a share of the fits took, as they were judged and as they came; null where there is no fit. */
export function verdictsFor(share: number, curve: readonly FitsPoint[]): { judged: number; asTheyCame: number } | null {
  const all = curve.at(-1)?.fits ?? 0;
  if (!all) return null;
  const first = (of: (point: FitsPoint) => number) => curve.find((point) => of(point) >= share * all)!.verdicts;
  return { judged: first(({ fits }) => fits), asTheyCame: first(({ asTheyCame }) => asTheyCame) };
}
