import { chromium } from 'playwright-core'; import { readFileSync } from 'node:fs';
const axe = readFileSync('/work/main/node_modules/axe-core/axe.min.js','utf8');
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu','--disable-background-networking'] });
for (const dark of [false,true]) for (const path of process.argv.slice(2)) {
const p = await b.newPage({ viewport:{width:1280,height:800}, baseURL:'http://127.0.0.1:4310', colorScheme: dark?'dark':'light', bypassCSP:true });
await p.goto(path,{waitUntil:'networkidle'}); await p.evaluate(axe);
const v = await p.evaluate(async()=> (await axe.run()).violations.filter(v=>['serious','critical'].includes(v.impact)).map(v=>[v.id, v.nodes.slice(0,3).map(n=>n.html.slice(0,200)+' :: '+(n.any[0]?.message||'').slice(0,120))]));
console.log(dark,path,JSON.stringify(v,null,1)); await p.close(); }
await b.close();
