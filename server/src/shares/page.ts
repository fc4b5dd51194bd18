import { dayIn, languageNow, msg, toldDay, type CallSheet } from '@toile/core';
import type { DaysTold } from '../studio/day';

/** Text as it may stand in a page. */
export const escaped = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');

/** Until when a link shows what it shows. */
export const linkEnds = (expiresAt: Date, { days, zone }: DaysTold): string =>
  msg`This link ends on ${toldDay(dayIn(zone, expiresAt), days, true)}.`;

/** A page of a phone with nothing but its own words in it. */
export function page(title: string, body: string): string {
  return (
    `<!doctype html><html lang="${languageNow()}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><meta name="robots" content="noindex">` +
    `<title>${escaped(title)}</title><style>body{margin:0;background:#f2f2f2;color:#161616;font:16px/1.5 sans-serif}main{max-width:640px;margin:0 auto;padding:12px}svg{width:100%;height:auto;display:block}</style></head>` +
    `<body><main>${body}</main></body></html>`
  );
}

/** One version of a chart to look at, with when the link ends. */
export function sharedPage(title: string, svg: string, expiresAt: Date, told: DaysTold): string {
  return page(title, `${svg}<p>${escaped(msg`To look at only.`)} ${escaped(linkEnds(expiresAt, told))}</p>`);
}

/** A call sheet as a page of a phone, times first. */
export function sheetPage(sheet: CallSheet, day: string, expiresAt: Date, told: DaysTold): string {
  const row = ({ time, what, detail }: CallSheet['parts'][number]['rows'][number]): string =>
    `<li><b>${escaped(time)}</b><span>${escaped(what)}${detail === '' ? '' : `<small>${escaped(detail)}</small>`}</span></li>`;
  return page(
    `${sheet.title}: ${sheet.whom}`,
    `<style>ul{list-style:none;margin:0;padding:0}li{display:flex;gap:12px;padding:10px 0;border-bottom:1px solid #bbb}li b{min-width:56px}small{display:block;font-size:14px}</style>` +
      `<h1>${escaped(sheet.whom)}</h1><p>${escaped(sheet.title)}, ${escaped(day)}</p>` +
      sheet.lead.map((line) => `<p><b>${escaped(line)}</b></p>`).join('') +
      sheet.parts
        .filter((part) => part.rows.length > 0)
        .map((part) => `<h2>${escaped(part.title)}</h2><ul>${part.rows.map(row).join('')}</ul>`)
        .join('') +
      sheet.foot.map((line) => `<p>${escaped(line)}</p>`).join('') +
      `<p>${escaped(msg`As it stands now: look again before you set out.`)} ${escaped(linkEnds(expiresAt, told))}</p>`,
  );
}

/**
 * A page with a link's secret in its address: nothing else is loaded or told of it, and nothing kept by the
 * browser or by whoever stands between. One that may be kept on its phone loads what keeps it there, until it
 * ends.
 */
export const bareHeaders = (keep: { readonly until: Date | null } | null = null): Record<string, string> => ({
  ...(keep?.until ? { 'toile-ends': keep.until.toISOString() } : {}),
  'cache-control': 'no-store',
  'referrer-policy': 'no-referrer',
  'x-robots-tag': 'noindex',
  'content-security-policy': `default-src 'none'; ${keep ? "script-src 'self'; worker-src 'self'; connect-src 'self'; " : ''}style-src 'unsafe-inline'; font-src data:; base-uri 'none'; form-action 'none'; frame-ancestors 'none'`,
});

/** What an unknown or ended link shows. */
export function endedPage(): string {
  return page(
    msg`Nothing to see here`,
    `<h1>${escaped(msg`This link shows nothing`)}</h1><p>${escaped(msg`It may have ended or been taken back. Ask the studio for a new one.`)}</p>`,
  );
}
