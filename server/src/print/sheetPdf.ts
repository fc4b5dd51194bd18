import type { Sheet, SheetOp } from '@toile/core';
import { measureText } from './fonts';
import { taggedDocument } from './tagged';

/**
 * A sheet as a PDF of one page, drawn with the same shapes as its SVG; only the letters used are embedded.
 */
export function sheetPdf(sheet: Sheet): Promise<Buffer> {
  const { doc, part, ornament, finished } = taggedDocument(sheet.title, {
    size: [sheet.width, sheet.height],
  });
  for (const op of sheet.ops)
    if (op.op === 'part') part(op.tag, () => op.ops.forEach((inner) => draw(doc, inner)), op.said);
    else ornament(() => draw(doc, op));
  return finished();
}

function draw(doc: PDFKit.PDFDocument, op: SheetOp): void {
  switch (op.op) {
    case 'path': {
      doc.save();
      doc.path(op.d);
      doc.fillOpacity(op.opacity).strokeOpacity(op.opacity);
      if (op.stroke) doc.lineWidth(op.strokeWidth ?? 1);
      if (op.fill && op.stroke) doc.fillAndStroke(op.fill, op.stroke);
      else if (op.fill) doc.fill(op.fill);
      else if (op.stroke) doc.stroke(op.stroke);
      doc.restore();
      return;
    }
    case 'text': {
      const x = op.middle ? op.x - measureText(op.text, op.size, op.bold) / 2 : op.x;
      doc
        .font(op.bold ? 'bold' : 'plain')
        .fontSize(op.size)
        .fillOpacity(1)
        .fillColor(op.fill)
        .text(op.text, x, op.y, { lineBreak: false, baseline: 'alphabetic' });
      return;
    }
    case 'group': {
      const [x, y, width, height] = op.frame;
      doc.save();
      doc.rect(x, y, width, height).clip();
      doc.translate(x, y).scale(op.scale).translate(-op.origin[0], -op.origin[1]);
      for (const inner of op.ops) draw(doc, inner);
      doc.restore();
      return;
    }
    // Parts stand on a sheet itself; one within another is drawn as what it holds.
    case 'part':
      for (const inner of op.ops) draw(doc, inner);
  }
}
