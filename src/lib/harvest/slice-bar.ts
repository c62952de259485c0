import { scaleLinear } from 'd3-scale';
import type { Answer } from '$api';

export type HarvestSource = Answer<'readHarvest'>['sources'][number];
export type Slice = HarvestSource['slices'][number];

/** One slice of a source's result as it is drawn: where it begins and how wide it is, and how much of it came. */
export interface DrawnSlice {
  slice: Slice;
  x: number;
  width: number;
  /** Width of the part that was collected. */
  done: number;
  /** Said under it, where there is room. */
  label: string;
}

/** How many rows a slice has, as far as is known. */
export const sizeOf = ({ reported, rows, expected, state }: Slice): number =>
  state === 'read' ? rows : Math.max(rows, reported ? (reported.low + reported.high) / 2 : (expected ?? 0));

/**
 * Slices that are not cut, in their order: together they are the whole. A search that was asked with neutral words is one, with all
 * that they brought.
 */
export function leavesOf({ slices }: Pick<HarvestSource, 'slices'>): Slice[] {
  const asked = new Set(slices.flatMap(({ id, words }) => (words ? [id] : [])));
  return slices
    .filter(({ state, words, parent }) => (state !== 'cut' || words) && (parent === null || !asked.has(parent)))
    .map((slice) =>
      slice.words && slice.state === 'cut' ? { ...slice, state: 'stuck', rows: slice.words.people } : slice
    );
}

/** People who had come after so many rows of a search and of its words, in the order in which they were asked. */
export function curveOf(
  slice: Slice,
  { slices }: Pick<HarvestSource, 'slices'>
): { rows: number; people: number; what: string }[] {
  let [rows, people] = [slice.rows, slice.rows];
  const points = [
    { rows: 0, people: 0, what: '' },
    { rows, people, what: slice.what }
  ];
  for (const one of slices) {
    if (one.parent !== slice.id || (one.state === 'waiting' && !one.rows)) continue;
    rows += one.rows;
    people += one.fresh;
    points.push({ rows, people, what: one.what });
  }
  return points;
}

/** Width that a label of a few letters needs. */
const labelWidth = 74;

/** The slices of a source side by side on `width` pixels, each as wide as its share of the rows, and never too thin to see. */
export function drawSlices(source: Pick<HarvestSource, 'slices'>, width: number): DrawnSlice[] {
  const leaves = leavesOf(source);
  const total = leaves.reduce((sum, slice) => sum + Math.max(1, sizeOf(slice)), 0);
  const gap = leaves.length > 1 ? 2 : 0;
  const scale = scaleLinear([0, total], [0, Math.max(0, width - gap * (leaves.length - 1))]);
  let x = 0;
  return leaves.map((slice) => {
    const size = Math.max(1, sizeOf(slice));
    const wide = scale(size);
    const drawn = {
      slice,
      x,
      width: wide,
      done: slice.state === 'read' ? wide : Math.min(wide, scale(slice.rows)),
      label: wide >= labelWidth ? slice.what : ''
    };
    x += wide + gap;
    return drawn;
  });
}
