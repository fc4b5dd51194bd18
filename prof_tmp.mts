import { writeFileSync } from 'node:fs';
import { withServedDemo } from './scripts/lib/served.mjs';
process.exit(await withServedDemo('toile_prof', async (url) => {
  process.env.TOILE_URL = url;
  const { openBrowser, openAs } = await import('./e2e/src/browser');
  const browser = await openBrowser();
  const { page, context } = await openAs(browser, 'owner') as any;
  await page.waitForTimeout(3000);
  const storage = await context.storageState();
  for (const [name, path] of [['today', '/'], ['chart', process.argv[2] ?? '']] as const) {
    let target = path;
    if (name === 'chart') { const cs = await (await page.request.get(url + '/api/clients')).json(); const c = await (await page.request.get(url + '/api/clients/' + cs[0].id)).json(); const withChart = c.charts[0]; if (!withChart) { for (const x of cs) { const y = await (await page.request.get(url + '/api/clients/' + x.id)).json(); if (y.charts[0]) { target = '/charts/' + y.charts[0].id; break; } } } else target = '/charts/' + withChart.id; }
    const p = await context.newPage();
    const cdp = await context.newCDPSession(p);
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    await cdp.send('Profiler.enable'); await cdp.send('Profiler.setSamplingInterval', { interval: 400 }); await cdp.send('Profiler.start');
    const t0 = Date.now();
    await p.goto(url + target, { waitUntil: 'load' });
    await p.waitForTimeout(6000);
    const { profile } = await cdp.send('Profiler.stop');
    writeFileSync(`/tmp/${name}.cpuprofile`, JSON.stringify(profile));
    console.log(name, target, Date.now() - t0);
    await p.close();
  }
  await browser.close();
  return 0;
}));
