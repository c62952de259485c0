import { parentPort, workerData } from 'node:worker_threads';
import { PeopleIndex } from '$core/corpus';
import type { Sheet } from '$core/dialect';
import { matchingOf } from '$core/query';
import { writtenPeople } from '$sources/imported-file';

/** Takes the people of a file, batch by batch and each as JSON; after a null it sends the parts of their index. */
const { matching } = workerData as Pick<Sheet, 'matching'>;
const written: string[] = [];

parentPort!.on('message', (batch: string[] | null) => {
  if (batch) return void written.push(...batch);
  const { parts } = PeopleIndex.from(writtenPeople(written), matchingOf(matching));
  const arrays = [...Object.values(parts), ...Object.values(parts.numbers)].filter((part) => ArrayBuffer.isView(part));
  parentPort!.postMessage(
    parts,
    arrays.map(({ buffer }) => buffer as ArrayBuffer)
  );
  parentPort!.close();
});
