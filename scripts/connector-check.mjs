import { runFile } from './lib/typescript.mjs';

// npm run connector-check ADDRESS [STRING]      holds a service to the connector protocol (docs/connector.md)
await runFile('src/sources/connector/check.ts');
