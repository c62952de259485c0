import { LRUCache } from 'lru-cache';
import {
  fitsThereAre,
  layOutBoard,
  measureBoard,
  meetingsOf,
  maxSets,
  overlapOf,
  type BoardCell,
  type BoardLayout,
  type Meeting,
  type TriedCell,
  type Verdict
} from '$core/measure';
import { unpacked } from '../packed-verdicts';
import type { BoardMade } from '../people-messages';
import type { Answers } from './kinds';

/** Several cells of one version, with who is found where. */
interface Together {
  version: number;
  /** Places of its cells among those of the board. */
  at: number[];
  meetings: Meeting[];
}

/** A board as it is before any verdict. */
interface LaidOut {
  layout: BoardLayout;
  /** Of each cell the people shown, one for each record. */
  shown: number[][];
  people: number;
  together: Together[];
}

/** Boards are asked for again with every verdict, and what they are made of stays. */
const laidOut = new LRUCache<string, LaidOut>({ max: 6 });

function layOut({ cells: shared, people, known, order }: BoardMade, certain: boolean): LaidOut {
  const cells = shared.map((cell): TriedCell => ({ ...cell, found: [...cell.found], open: new Set(cell.open) }));
  const shown = cells.map(({ found, open }) => (certain ? found.filter((_, at) => !open.has(at)) : [...found]));
  const together = [...new Set(cells.map(({ version }) => version))].flatMap((version) => {
    const at = cells
      .flatMap((cell, i) => (cell.version === version ? [i] : []))
      .sort((a, b) => order.indexOf(cells[a]!.sourceId) - order.indexOf(cells[b]!.sourceId))
      .slice(0, maxSets);
    return at.length < 2 ? [] : [{ version, at, meetings: meetingsOf(at.map((i) => shown[i]!)) }];
  });
  return {
    layout: layOutBoard({ cells, people, known: new Map(known), certain }),
    shown,
    people: new Set(shown.flat()).size,
    together
  };
}

/** Measures versions at sources, and what follows from several together. */
export const boards: Answers<'board'> = {
  board: (asked) => {
    const name = `${asked.name} ${asked.certain}`;
    let laid = laidOut.get(name);
    if (!laid && asked.made) laidOut.set(name, (laid = layOut(asked.made, asked.certain)));
    if (!laid) return null;
    const { layout, shown, people, together } = laid;
    const verdicts = unpacked(asked.verdicts);
    const board = measureBoard(layout, verdicts);
    return {
      board: board.map((cell, i) => ({ ...cell, people: shown[i]!.length })),
      people,
      overlaps: together.map(({ version, at, meetings }) => ({
        version,
        sourceIds: at.map((i) => layout.cells[i]!.sourceId),
        parts: overlapOf(meetings, verdicts),
        people: meetings.reduce((sum, meeting) => sum + meeting.people.length, 0),
        population: populationsOf(at, layout, board, verdicts)
      }))
    };
  }
};

/** How many fits there are, by each pair of sources: the judged fits of one that the other finds too. */
function populationsOf(
  at: readonly number[],
  { reaches, certain }: BoardLayout,
  board: readonly BoardCell[],
  verdicts: ReadonlyMap<number, Verdict>
) {
  const mode = certain ? 'certain' : 'possible';
  return at.flatMap((first) => {
    const judged = reaches[first]!.drawn.filter(({ open }) => !(certain && open)).map(({ person }) => person);
    const fits = [...new Set(judged)].filter((person) => verdicts.get(person) === 'fit');
    return at.flatMap((second) => {
      if (first === second) return [];
      const { people } = reaches[second]!;
      const both = fits.filter((person) => people.has(person)).length;
      // Only those seen can be met again: fits beyond the cap are left out of this.
      const precision = board[second]!.figures.precision[mode];
      if (!both || precision.share === null) return [];
      return [
        {
          first: board[first]!.sourceId,
          second: board[second]!.sourceId,
          judgedFits: fits.length,
          both,
          fits: fitsThereAre(fits.length, both, {
            low: precision.interval.low * people.size,
            middle: precision.share * people.size,
            high: precision.interval.high * people.size
          })
        }
      ];
    });
  });
}
