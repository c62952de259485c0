import { chromium } from 'playwright-core';
const [,, path, out, ...acts] = process.argv;
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu','--disable-background-networking'] });
const p = await b.newPage({ viewport: { width: Number(process.env.W||1280), height: Number(process.env.H||800) }, baseURL: 'http://127.0.0.1:' + (process.env.PORT||5280), colorScheme: process.env.DARK?'dark':'light' });
p.on('pageerror', e => console.log('ERR', e.message)); p.on('console', m => m.type()==='error' && console.log('CON', m.text()));
await p.goto(path, { waitUntil: 'networkidle' });
for (const a of acts) { await eval('(async()=>{' + a + '})()'); }
await p.waitForTimeout(Number(process.env.T||600));
await p.screenshot({ path: out, fullPage: !!process.env.FULL });
await b.close();
