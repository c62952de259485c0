import type { Rendering, Sheet } from '$core/dialect';
import type { Problem } from '$core/language';

/** A string to be read, with the word sets it may name and the sheets it is translated for. */
export interface ReadingQuestion {
  id: number;
  text: string;
  sets: { name: string; wordings: string[] }[];
  sheets: Sheet[];
}

/** A string as one source is asked it. */
export interface SourceReading {
  rendering: Rendering;
  /** All searches as one text to copy. */
  copy: string;
  problems: Problem[];
}

export type ReadingAnswer = { id: number } & (
  | { kind: 'read'; problems: Problem[]; description: string; shorter: string | null }
  | ({ kind: 'rendered'; sourceId: string } & SourceReading)
  | { kind: 'done' }
);
