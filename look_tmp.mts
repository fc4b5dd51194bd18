import { mkdirSync, writeFileSync } from 'node:fs';
import { withServedDemo } from './scripts/lib/served.mjs';
mkdirSync('/tmp/shots',{recursive:true});
await withServedDemo('toile_prof', async (url: string) => {
  process.env.TOILE_URL=url;
  const { openBrowser, openAs, PHONE, WIDE } = await import('./e2e/src/browser');
  const { PAGES, findIds, drawn } = await import('./e2e/src/pages');
  const b=await openBrowser(); const {page,context}=await openAs(b,'owner',PHONE,'light',{at:url}); const ids=await findIds(page);
  await context.addCookies([{name:'toile-language',value:'id',url}]);
  const written=new Set<string>(); const keep=(v:unknown):void=>{ if(typeof v==='string') written.add(v.trim()); else if(v&&typeof v==='object') Object.values(v).forEach(keep); };
  page.on('response',r=>{ if(r.url().includes('/api/')&&r.headers()['content-type']?.includes('json')) void r.json().then(keep,()=>undefined); });
  const out:Record<string,string[]>={};
  const extra:[string,(i:typeof ids)=>string][]=[['chair',i=>`/charts/${i.chart}/chair`]];
  for(const [name,path] of [...PAGES,...extra]){ try{
    await page.goto(url+path(ids)); await drawn(page).catch(()=>page.waitForTimeout(800));
    const said:string[]=await page.evaluate(`(()=>{const said=new Set();const w=document.createTreeWalker(document.body,NodeFilter.SHOW_TEXT);while(w.nextNode()){const p=w.currentNode.parentElement;if(p&&!p.closest('script,style,noscript'))said.add(w.currentNode.textContent||'');}for(const e of document.querySelectorAll('[aria-label],[placeholder],[title],[alt],[aria-description]'))for(const n of ['aria-label','placeholder','title','alt','aria-description'])said.add(e.getAttribute(n)||'');return [...said].map(t=>t.trim()).filter(Boolean)})()`);
    out[name]=said.filter(t=>!written.has(t.replace(/^[▲■✓] /,'')));
    if(['Today','client','chart','chair','kit','party','settings','rules','practice','looks','shades','look fitted','lesson'].includes(name)) await page.screenshot({path:`/tmp/shots/${name.replace(/ /g,'_')}.png`});
  }catch(e){ out[name]=['ERR '+String(e).slice(0,100)]; } }
  writeFileSync('/tmp/said.json',JSON.stringify(out));
  const door=await b.newContext({viewport:PHONE,locale:'id-ID'}); const dp=await door.newPage(); await dp.goto(url); await dp.waitForTimeout(1500); await dp.screenshot({path:'/tmp/shots/door.png'});
  await page.setViewportSize(WIDE); await page.goto(url+`/charts/${ids.chart}`); await drawn(page); await page.waitForTimeout(800); await page.screenshot({path:'/tmp/shots/chart_wide.png'});
  await b.close();
});
