import type { Problem } from '$core/language';
import { ownLexicon } from '$core/titles';
import type { ReadingAnswer, ReadingQuestion, SourceReading } from './reading-messages';

/** Milliseconds that the worker may be busy with an earlier text before it is stopped for a newer one. */
const patience = 400;

/**
 * What a worker makes of the string being written: all problems, the string in plain words, and how each source is asked.
 * Answers to an earlier text are dropped; figures of the earlier text stay until newer ones are there.
 */
export class StringReading {
  /** The text that problems, description and shorter form belong to. */
  text: string | null = $state(null);
  problems: Problem[] = $state.raw([]);
  description: string = $state('');
  shorter: string | null = $state(null);
  sources: Record<string, SourceReading> = $state.raw({});
  private worker: Worker | undefined;
  private asked: ReadingQuestion | null = null;
  private id = 0;
  /** Since when the worker owes an answer; null where it owes none. */
  private busySince: number | null = null;

  ask(question: Omit<ReadingQuestion, 'id'>): void {
    // A text that takes long to translate is given up for a newer one.
    if (this.busySince !== null && Date.now() - this.busySince > patience) this.stop();
    this.busySince ??= Date.now();
    this.worker ??= this.start();
    this.asked = { ...question, id: ++this.id };
    this.worker.postMessage(this.asked);
  }

  stop(): void {
    this.worker?.terminate();
    this.worker = undefined;
    this.busySince = null;
  }

  private start(): Worker {
    const worker = new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<ReadingAnswer>) => this.take(data);
    worker.postMessage({ lexicon: ownLexicon() });
    return worker;
  }

  private take(answer: ReadingAnswer): void {
    if (answer.id !== this.id || !this.asked) return;
    if (answer.kind === 'done') this.busySince = null;
    if (answer.kind === 'read') {
      this.text = this.asked.text;
      this.problems = answer.problems;
      this.description = answer.description;
      this.shorter = answer.shorter;
    } else if (answer.kind === 'rendered') {
      const { sourceId, rendering, copy, problems } = answer;
      this.sources = { ...this.sources, [sourceId]: { rendering, copy, problems } };
    }
  }
}
