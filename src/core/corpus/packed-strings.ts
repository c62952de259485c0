/** A list of texts as one run of UTF-8 bytes, which threads can share. */
export interface PackedStrings {
  bytes: Uint8Array;
  /** Where each text begins, and the end of the last. */
  starts: Uint32Array;
}

const encoder = new TextEncoder();
const decoder = new TextDecoder('utf-8', { ignoreBOM: true });

/** Packs texts whose bytes in all must stay under 4 GiB. `memory` is where they are put: an ArrayBuffer, or one that is shared. */
export function packStrings(
  texts: readonly string[],
  memory: (bytes: number) => ArrayBufferLike = (bytes) => new ArrayBuffer(bytes)
): PackedStrings {
  const starts = new Uint32Array(memory((texts.length + 1) * 4));
  let scratch = new Uint8Array(Math.max(1024, texts.length * 16));
  let used = 0;
  texts.forEach((text, i) => {
    if (used + text.length * 3 > scratch.length) {
      const more = new Uint8Array((scratch.length + text.length * 3) * 2);
      more.set(scratch.subarray(0, used));
      scratch = more;
    }
    used += encoder.encodeInto(text, scratch.subarray(used)).written;
    starts[i + 1] = used;
  });
  const bytes = new Uint8Array(memory(used));
  bytes.set(scratch.subarray(0, used));
  return { bytes, starts };
}

/** One of the texts; undefined where there is none. */
export function stringAt({ bytes, starts }: PackedStrings, at: number): string | undefined {
  if (!(at >= 0 && at + 1 < starts.length)) return undefined;
  return decoder.decode(bytes.subarray(starts[at], starts[at + 1]));
}

/** All of the texts. They are pieces of one long text, so that making them takes little. */
export function unpackStrings({ bytes, starts }: PackedStrings): string[] {
  const whole = decoder.decode(bytes);
  const texts: string[] = [];
  let from = 0;
  for (let i = 0; i + 1 < starts.length; i++) {
    let to = from;
    for (let at = starts[i]!, end = starts[i + 1]!; at < end; at++) {
      const byte = bytes[at]!;
      // A sign begins with a byte that is no continuation (10xxxxxx); one of four bytes is two units of UTF-16.
      if ((byte & 0xc0) !== 0x80) to += byte >= 0xf0 ? 2 : 1;
    }
    texts.push(whole.slice(from, to));
    from = to;
  }
  return texts;
}
