import { connect, createServer, type AddressInfo, type Socket } from 'node:net';

/** A proxy before the database that can be disconnected, as when PostgreSQL is stopped and started again. */
export async function databaseProxy(url: string) {
  const target = new URL(url);
  const open = new Set<Socket>();
  let disconnected = false;
  const proxy = createServer((near) => {
    if (disconnected) return void near.destroy();
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
  await new Promise<void>((done) => proxy.listen(0, '127.0.0.1', done));
  const through = new URL(url);
  through.hostname = '127.0.0.1';
  through.port = String((proxy.address() as AddressInfo).port);
  return {
    url: through.href,
    disconnect() {
      disconnected = true;
      open.forEach((socket) => socket.destroy());
    },
    reconnect() {
      disconnected = false;
    },
    close: () => proxy.close()
  };
}
