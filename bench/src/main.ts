import { backupRows } from './backup';
import { colourRows } from './colour';
import { evidenceRows } from './evidence';
import { faceRows } from './face';
import { firstLoadRows } from './firstLoad';
import { growthRows } from './growth';
import { judgementRows } from './judgement';
import { liveRows } from './live';
import { loadRows } from './load';
import { print } from './measure';
import { dayRows } from './day';
import { orderRows } from './order';
import { photoRows, zoneRows } from './photo';
import { practiceRows } from './practice';
import { readRows } from './reads';
import { renderRows } from './render';
import { screenRows } from './screen';
import { wearRows } from './wear';
import { workerRows } from './workers';

const {
  TOILE_URL: url,
  TOILE_SECOND_URL: second,
  TOILE_SECOND_METRICS_URL: metricsUrl,
  TOILE_SECOND_HOLDS: holds,
  TOILE_APP_URL: appUrl,
  TOILE_STILL_URL: stillUrl,
  TOILE_STILL_APP_URL: stillAppUrl,
} = process.env;
const rows = [
  ...colourRows(),
  ...faceRows(),
  ...orderRows(),
  ...(await dayRows()),
  ...judgementRows(),
  ...practiceRows(),
  ...zoneRows(),
  ...evidenceRows(),
  ...(await renderRows()),
  ...(await workerRows()),
];
if (process.env.TOILE_WHOLE) rows.push(...(await backupRows()), ...(await wearRows()));
if (url && second) rows.push(...(await liveRows(url, second)));
if (url && appUrl) rows.push(...(await readRows(url, appUrl)));
if (second && metricsUrl && holds) rows.push(...(await loadRows(second, { metricsUrl, holds })));
if (url) rows.push(...(await photoRows()), ...(await screenRows()), ...(await firstLoadRows(url)));
// Last: the database is not small afterwards.
if (url && appUrl && stillUrl && stillAppUrl)
  rows.push(...(await growthRows({ url, appUrl }, { url: stillUrl, appUrl: stillAppUrl })));
print(rows);
