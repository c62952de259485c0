import type { Readable } from 'node:stream';
import { openPromise, type Entry, type ZipFile } from 'yauzl';

/** What an archive may unpack to. All of it is checked while it is read as a stream, before anything is kept in memory. */
export interface ArchiveLimits {
  entries: number;
  /** Bytes that all entries unpack to together. */
  bytes: number;
  /** Times that an entry may be larger unpacked than packed; text rarely exceeds 50, a bomb comes to about 1,000. */
  ratio: number;
  /** Bytes up to which an entry's ratio does not matter. */
  ratioFrom: number;
}

/** An archive that goes beyond a limit; the message names the value and the bound. */
export class ArchiveTooLarge extends Error {}

/**
 * Reads the entries of a ZIP archive (PKWARE APPNOTE 6.3) in their order and hands the bytes of each to `visit`. Sizes that the
 * archive states are not trusted: what is unpacked is counted.
 * @throws ArchiveTooLarge beyond a limit; yauzl's own errors where it is no archive
 */
export async function readArchive(
  path: string,
  limits: ArchiveLimits,
  visit: (name: string, pieces: AsyncIterable<Buffer>) => Promise<void>
): Promise<void> {
  // Yauzl would end an entry at the size that it states with its own error, which is no refusal.
  const archive = await openPromise(path, { lazyEntries: true, validateEntrySizes: false });
  let entries = 0;
  let bytes = 0;
  try {
    for await (const entry of archive.eachEntry()) {
      if (++entries > limits.entries)
        throw new ArchiveTooLarge(`it has more than ${limits.entries.toLocaleString('en')} files`);
      if (entry.fileName.endsWith('/')) continue;
      const count = (length: number, ofEntry: number) => {
        bytes += length;
        if (bytes > limits.bytes)
          throw new ArchiveTooLarge(`it unpacks to more than ${Math.round(limits.bytes / 1024 / 1024)} MiB`);
        if (ofEntry > limits.ratioFrom && ofEntry > limits.ratio * Math.max(1, entry.compressedSize))
          throw new ArchiveTooLarge(`a file in it unpacks to more than ${limits.ratio} times its size`);
      };
      await visit(entry.fileName, counted(archive, entry, count));
    }
  } finally {
    archive.close();
  }
}

async function* counted(archive: ZipFile, entry: Entry, count: (length: number, ofEntry: number) => void) {
  const stream: Readable = await archive.openReadStreamPromise(entry);
  let ofEntry = 0;
  try {
    for await (const piece of stream as AsyncIterable<Buffer>) {
      ofEntry += piece.length;
      count(piece.length, ofEntry);
      yield piece;
    }
  } finally {
    stream.destroy();
  }
}
