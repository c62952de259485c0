import { demoWorldSize, makeStandIns } from '../stand-ins/stand-ins';
import { makeWorld } from '../world/world';
import { serveStandIns } from './serve-stand-ins';

// npm run stand-ins: STAND_INS_PORT, STAND_INS_KEY (unset: none is needed), EAVE_WORLD_PEOPLE and STAND_INS_REFUSE (no: never).
const { STAND_INS_PORT = '4410', STAND_INS_KEY, EAVE_WORLD_PEOPLE, STAND_INS_REFUSE } = process.env;
const size = Number(EAVE_WORLD_PEOPLE ?? demoWorldSize);
console.log(`making a world of ${size} people`);
const server = serveStandIns(makeStandIns(makeWorld(size)), {
  key: STAND_INS_KEY || null,
  refuses: STAND_INS_REFUSE !== 'no'
});
server.on('error', (error) => {
  console.error(`The stand-ins cannot be served: ${error.message}`);
  process.exit(1);
});
server.listen(Number(STAND_INS_PORT), '127.0.0.1', () => {
  const address = server.address() as { port: number };
  console.log(`the stand-ins are at http://127.0.0.1:${address.port}/`);
});
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => process.exit(0));
