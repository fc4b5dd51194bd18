import QRCode from 'qrcode';
import { cellName, labToHex, msg, type Lab, type Palette, type Product } from '@toile/core';
import { taggedDocument } from '../print/tagged';

/**
 * A4 in points, and labels of 38 x 21 mm in five columns: a common sheet, and small enough for the back of a
 * pan.
 */
const MM = 72 / 25.4;
const SHEET = {
  width: 210 * MM,
  height: 297 * MM,
  left: 10 * MM,
  top: 16 * MM,
  columns: 5,
  rows: 12,
  labelWidth: 38 * MM,
  labelHeight: 22 * MM,
} as const;

/**
 * Labels of a palette as PDF, in the order of its places: place, shade, line and maker, a swatch, and a code
 * that opens the pan in the app at `origin`. Fonts are embedded.
 */
export async function labelSheet(
  palette: Palette,
  products: readonly Product[],
  origin: string,
): Promise<Buffer> {
  const byId = new Map(products.map((p) => [p.id, p]));
  const pans = [...palette.pans].sort((a, b) => a.row - b.row || a.column - b.column);
  return labelsPdf(
    palette.name,
    pans.map((pan) => {
      const product = byId.get(pan.productId);
      return {
        called: cellName(pan),
        lines: [product?.shade ?? 'unknown', product?.line ?? '', product?.maker ?? ''],
        lab: product?.lab ?? null,
        opens: `${origin}/kit/palettes/${palette.id}?pan=${cellName(pan)}`,
      };
    }),
  );
}

/** One label: where it goes, up to three lines, a colour, and the address a code on it opens. */
export type PanLabel = {
  readonly called: string;
  readonly lines: readonly string[];
  readonly lab: Lab | null;
  readonly opens: string;
};

/** Labels in their order, to be cut out: as many pages as it takes. */
export function labelsPdf(name: string, labels: readonly PanLabel[]): Promise<Buffer> {
  const { doc, part, ornament, finished } = taggedDocument(msg`Labels: ${name}`, {
    size: 'A4',
    autoFirstPage: false,
  });
  const perPage = SHEET.columns * SHEET.rows;
  if (labels.length === 0) {
    doc.addPage();
    part('P', () =>
      doc
        .font('plain')
        .fontSize(12)
        .text(msg`${name}: no pans yet.`, SHEET.left, SHEET.top),
    );
  }
  for (const [i, label] of labels.entries()) {
    if (i % perPage === 0) {
      doc.addPage();
      const head = (): void =>
        void doc
          .font('bold')
          .fontSize(10)
          .fillColor('#000')
          .text(name, SHEET.left, SHEET.top - 8 * MM, { lineBreak: false });
      if (i === 0) part('H1', head);
      else ornament(head);
    }
    const at = i % perPage;
    const x = SHEET.left + (at % SHEET.columns) * SHEET.labelWidth;
    const y = SHEET.top + Math.floor(at / SHEET.columns) * SHEET.labelHeight;
    ornament(() => {
      drawQr(doc, label.opens, x + 2 * MM, y + 2 * MM, 15 * MM);
      if (label.lab) doc.rect(x + 18 * MM, y + 15.5 * MM, 17 * MM, 3 * MM).fill(labToHex(label.lab));
    });
    const line = (text: string, font: 'plain' | 'bold', size: number, top: number): void => {
      doc
        .font(font)
        .fontSize(size)
        .fillColor('#000')
        .text(text, x + 18 * MM, y + top * MM, {
          width: 18 * MM,
          height: size + 2,
          ellipsis: true,
          lineBreak: false,
        });
    };
    // Read out as a whole: a label has room for the first letters only.
    part(
      'P',
      () => {
        line(label.called, 'bold', 9, 2);
        label.lines
          .slice(0, 3)
          .forEach((words, row) =>
            line(words, row === 0 ? 'bold' : 'plain', row === 0 ? 7 : 6.5, [5.8, 9, 11.8][row]!),
          );
      },
      { actual: [label.called, ...label.lines].join(', ') },
    );
    ornament(() =>
      doc
        .rect(x + 0.5 * MM, y + 0.5 * MM, SHEET.labelWidth - MM, SHEET.labelHeight - MM)
        .lineWidth(0.25)
        .dash(1.5, { space: 1.5 })
        .stroke('#777')
        .undash(),
    );
  }
  return finished();
}

/** A QR code as filled squares: sharp at any size, and no picture in between. */
function drawQr(doc: PDFKit.PDFDocument, text: string, x: number, y: number, size: number): void {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const unit = size / modules.size;
  for (let row = 0; row < modules.size; row++)
    for (let col = 0; col < modules.size; col++)
      if (modules.get(row, col)) doc.rect(x + col * unit, y + row * unit, unit, unit);
  doc.fill('#000');
}
