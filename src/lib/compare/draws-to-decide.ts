import type { Cell, Reading } from './board-measures';

/** People drawn at one trial at most. */
const most = 2000;

/** How many people each of two trials has to have drawn so that a cell is decided against its nearest rival; none where that would not decide. */
export function drawsToDecide(
  cell: Cell,
  cells: readonly Cell[],
  reading: Reading = 'possible'
): { trial: string; size: number }[] {
  if (cell.standing.is !== 'open' || !cell.standing.decide) return [];
  const { against, decide } = cell.standing;
  const other = cells.find((one) => one.version === against && one.sourceId === cell.sourceId);
  const wanted: [Cell | undefined, number][] = [
    [cell, decide.here],
    [other, decide.there]
  ];
  return wanted.flatMap(([one, more]) => {
    if (!one || !more) return [];
    const { fits, misses, unsure } = one.figures.precision[reading];
    return [{ trial: one.trialId, size: Math.min(most, Math.max(one.sampled, fits + misses + unsure + more)) }];
  });
}
