const escaped = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');

function page(title: string, body: string): string {
  return (
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><meta name="robots" content="noindex">` +
    `<title>${escaped(title)}</title><style>body{margin:0;background:#f2f2f2;color:#161616;font:16px/1.5 sans-serif}main{max-width:640px;margin:0 auto;padding:12px}svg{width:100%;height:auto;display:block}</style></head>` +
    `<body><main>${body}</main></body></html>`
  );
}

/** One version of a chart to look at, with when the link ends. */
export function sharedPage(title: string, svg: string, expiresAt: Date): string {
  return page(
    title,
    `${svg}<p>To look at only. This link ends on ${escaped(expiresAt.toISOString().slice(0, 10))}.</p>`,
  );
}

/** What an unknown or ended link shows. */
export function endedPage(): string {
  return page(
    'Nothing to see here',
    '<h1>This link shows nothing</h1><p>It may have ended or been taken back. Ask the studio for a new one.</p>',
  );
}
