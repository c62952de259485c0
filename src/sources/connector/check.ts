import { serviceAddress } from './address';
import { checkService } from './check-service';

// npm run connector-check ADDRESS [STRING]: the key, where one is needed, is in CONNECTOR_KEY.
const [given = '', sample] = process.argv.slice(2);
const read = serviceAddress(given);
if ('wrong' in read) {
  console.error(`${read.wrong} As in: npm run connector-check http://127.0.0.1:4400`);
  process.exit(2);
}
const connection = { address: read.address, key: process.env.CONNECTOR_KEY ?? null, allowPrivate: true, time: 20_000 };
let wrong = 0;
for await (const finding of checkService(connection, sample)) {
  if (finding.wrong !== null) wrong++;
  console.log(finding.wrong === null ? `  right  ${finding.what}` : `  WRONG  ${finding.what}: ${finding.wrong}`);
}
console.log(wrong ? `${wrong} to fix.` : 'All is as the protocol has it.');
process.exit(wrong ? 1 : 0);
