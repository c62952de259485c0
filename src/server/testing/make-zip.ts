import { once } from 'node:events';
import { crc32, createDeflateRaw } from 'node:zlib';

/** A ZIP archive (PKWARE APPNOTE 6.3, 4.3) of files given in pieces, so that one that unpacks to gigabytes can be made in little memory. */
export async function makeZip(files: Record<string, Iterable<string>>): Promise<Uint8Array> {
  const out: Buffer[] = [];
  const directory: Buffer[] = [];
  let at = 0;
  for (const [name, pieces] of Object.entries(files)) {
    const deflate = createDeflateRaw({ level: 1 });
    const packed: Buffer[] = [];
    deflate.on('data', (piece: Buffer) => packed.push(piece));
    let sum = 0;
    let size = 0;
    for (const piece of pieces) {
      const bytes = Buffer.from(piece);
      sum = crc32(bytes, sum);
      size += bytes.length;
      if (!deflate.write(bytes)) await once(deflate, 'drain');
    }
    deflate.end();
    await once(deflate, 'end');
    const body = Buffer.concat(packed);
    const label = Buffer.from(name);
    // Version, flags, method 8, time, date, CRC, sizes, lengths of the name and of extra fields.
    const common = Buffer.alloc(26);
    common.writeUInt16LE(20, 0);
    common.writeUInt16LE(8, 4);
    common.writeUInt32LE(sum, 10);
    common.writeUInt32LE(body.length, 14);
    common.writeUInt32LE(size % 2 ** 32, 18);
    common.writeUInt16LE(label.length, 22);
    const local = Buffer.concat([Buffer.from('PK\x03\x04', 'latin1'), common, label]);
    const tail = Buffer.alloc(14);
    tail.writeUInt32LE(at, 10);
    directory.push(Buffer.from('PK\x01\x02\x14\x00', 'latin1'), common, tail, label);
    out.push(local, body);
    at += local.length + body.length;
  }
  const central = Buffer.concat(directory);
  const end = Buffer.alloc(22);
  end.write('PK\x05\x06', 0, 'latin1');
  end.writeUInt16LE(Object.keys(files).length, 8);
  end.writeUInt16LE(Object.keys(files).length, 10);
  end.writeUInt32LE(central.length, 12);
  end.writeUInt32LE(at, 16);
  return new Uint8Array(Buffer.concat([...out, central, end]));
}
