import { chromium } from 'playwright-core';
const address='http://127.0.0.1:4310';
const api = async (m,p,b)=>{const r=await fetch(address+'/api'+p,{method:m,...(b&&{body:JSON.stringify(b),headers:{'content-type':'application/json'}})});if(!r.ok)throw new Error(await r.text());return r.status===204?undefined:r.json();};
const [name, path, ...steps] = process.argv.slice(2);
const demo=(await api('GET','/briefs')).find(b=>b.name.startsWith('Cold-chain'));
const browser = await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-background-networking']});
const page = await browser.newPage({viewport:{width:1280,height:800}, colorScheme: process.env.THEME ?? 'light'});
page.on('pageerror',e=>console.log('ERR',e.message)); page.on('console',m=>m.type()==='error'&&console.log('CON',m.text(),m.location().url));
await page.goto(address+path.replace('ID',demo.id)); await page.waitForTimeout(1500);
for(const s of steps){ const [k,...r]=s.split(':'); const v=r.join(':'); if(k==='click') await page.getByText(v,{exact:false}).first().click(); if(k==='button') await page.getByRole('button',{name:v}).first().click(); if(k==='css') await page.locator(v).first().click(); if(k==='key') await page.keyboard.press(v); if(k==='menu') await page.getByRole('menuitem',{name:v}).click(); await page.waitForTimeout(700);}
await page.screenshot({path:`/tmp/${name}.png`});
await browser.close();
