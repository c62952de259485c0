import { runFile } from './lib/typescript.mjs';

// npm run stand-ins      the stand-ins as services and as websites, in a process of their own (docs/connector.md)
await runFile('src/sources/served/main.ts');
