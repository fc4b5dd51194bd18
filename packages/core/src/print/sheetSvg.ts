import type { Sheet, SheetOp } from './sheet';

const escaped = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
const n = (value: number): string => String(Number(value.toFixed(2)));

/** Fonts as data URLs, so that a sheet looks the same where they are not installed. */
export type SheetFonts = { readonly plain: string; readonly bold: string };

function opSvg(op: SheetOp, clip: () => string): string {
  switch (op.op) {
    case 'path': {
      const stroke = op.stroke ? ` stroke="${op.stroke}" stroke-width="${n(op.strokeWidth ?? 1)}"` : '';
      return `<path d="${op.d}" fill="${op.fill ?? 'none'}"${op.opacity < 1 ? ` opacity="${n(op.opacity)}"` : ''}${stroke}/>`;
    }
    case 'text':
      return `<text x="${n(op.x)}" y="${n(op.y)}" font-size="${n(op.size)}"${op.bold ? ' font-weight="700"' : ''}${op.middle ? ' text-anchor="middle"' : ''} fill="${op.fill}">${escaped(op.text)}</text>`;
    case 'part': {
      const inner = op.ops.map((o) => opSvg(o, clip)).join('');
      return op.said.alt === undefined
        ? inner
        : `<g role="img" aria-label="${escaped(op.said.alt)}">${inner}</g>`;
    }
    case 'group': {
      const [x, y, width, height] = op.frame;
      const id = clip();
      const inner = op.ops.map((o) => opSvg(o, clip)).join('');
      return (
        `<clipPath id="${id}"><rect x="${n(x)}" y="${n(y)}" width="${n(width)}" height="${n(height)}"/></clipPath>` +
        `<g clip-path="url(#${id})"><g transform="translate(${n(x)} ${n(y)}) scale(${op.scale.toFixed(5)}) translate(${n(-op.origin[0])} ${n(-op.origin[1])})">${inner}</g></g>`
      );
    }
  }
}

/** A sheet as one SVG document, its fonts within it. */
export function sheetSvg(sheet: Sheet, fonts: SheetFonts): string {
  let clips = 0;
  const clip = (): string => `c${++clips}`;
  const style = `@font-face{font-family:Sheet;font-weight:400;src:url(${fonts.plain})}@font-face{font-family:Sheet;font-weight:700;src:url(${fonts.bold})}text{font-family:Sheet,sans-serif}`;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(sheet.width)}pt" height="${n(sheet.height)}pt" viewBox="0 0 ${n(sheet.width)} ${n(sheet.height)}" role="graphics-document document" aria-label="${escaped(sheet.title)}">` +
    `<title>${escaped(sheet.title)}</title><style>${style}</style>${sheet.ops.map((op) => opSvg(op, clip)).join('')}</svg>`
  );
}
