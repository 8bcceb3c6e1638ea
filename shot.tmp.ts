import { chromium } from 'playwright-core';
// usage: tsx shot.tmp.ts name url [wide] [script]
const [name, path, size = 'phone', script] = process.argv.slice(2);
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync'] });
const p = await b.newPage({ viewport: size === 'wide' ? { width: 1280, height: 800 } : { width: 390, height: 844 }, deviceScaleFactor: size === 'wide' ? 1 : 1.5 });
p.on('console', (m) => { if (m.type() === 'error' || m.type() === 'warning') console.log('console', m.type(), m.text().slice(0, 300)); });
p.on('pageerror', (e) => console.log('pageerror', e.message));
await p.goto('http://127.0.0.1:8087' + path);
await p.waitForTimeout(1500);
if (script) { await new Function('p', `return (async()=>{${script}})()`)(p); await p.waitForTimeout(600); }
console.log(p.url());
await p.screenshot({ path: `/tmp/shots/${name}.png` });
await b.close();
