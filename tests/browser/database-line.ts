import { connect, createServer, type AddressInfo, type Socket } from 'node:net';

/** A line to the database that can be cut and mended, as when PostgreSQL is stopped and started again. */
export async function databaseLine(url: string) {
  const target = new URL(url);
  const open = new Set<Socket>();
  let cut = false;
  const line = createServer((near) => {
    if (cut) return void near.destroy();
    const far = connect(Number(target.port || 5432), target.hostname);
    for (const [one, other] of [
      [near, far],
      [far, near]
    ] as const) {
      open.add(one);
      one.pipe(other);
      one.on('error', () => other.destroy());
      one.on('close', () => {
        open.delete(one);
        other.destroy();
      });
    }
  });
  await new Promise<void>((done) => line.listen(0, '127.0.0.1', done));
  const through = new URL(url);
  through.hostname = '127.0.0.1';
  through.port = String((line.address() as AddressInfo).port);
  return {
    url: through.href,
    cut() {
      cut = true;
      open.forEach((socket) => socket.destroy());
    },
    mend() {
      cut = false;
    },
    close: () => line.close()
  };
}
