/** A worker that is spoken to by a test. `made` are all since it was emptied. */
export class FakeWorker<Question, Answer> {
  static made: FakeWorker<never, never>[] = [];
  onmessage: ((event: { data: Answer }) => void) | null = null;
  onerror: (() => void) | null = null;
  questions: Question[] = [];
  ended = false;

  constructor() {
    FakeWorker.made.push(this as never);
  }
  postMessage(question: Question): void {
    this.questions.push(question);
  }
  terminate(): void {
    this.ended = true;
  }
  says(answer: Answer): void {
    this.onmessage!({ data: answer });
  }
}

/** The workers that were made, as those of one kind of question and answer. */
export const madeWorkers = <Question, Answer>() => FakeWorker.made as unknown as FakeWorker<Question, Answer>[];
