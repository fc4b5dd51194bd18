import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import type { SheetFonts, SheetOptions } from '@toile/core';

export type Weight = '400Regular' | '700Bold';

/** The file of the font sheets are set in. */
export function fontFile(weight: Weight): string {
  const file = `AtkinsonHyperlegibleNext_${weight}.ttf`;
  return createRequire(import.meta.url).resolve(
    `@expo-google-fonts/atkinson-hyperlegible-next/${weight}/${file}`,
  );
}

/** A document with the fonts at hand as 'plain' and 'bold'. */
export function documentWithFonts(options: PDFKit.PDFDocumentOptions): PDFKit.PDFDocument {
  const doc = new PDFDocument(options);
  doc.registerFont('plain', fontFile('400Regular'));
  doc.registerFont('bold', fontFile('700Bold'));
  return doc;
}

let ruler: PDFKit.PDFDocument | null = null;

/** Width of a text in points. */
export const measureText: SheetOptions['measure'] = (text, size, bold) => {
  ruler ??= documentWithFonts({ autoFirstPage: false });
  return ruler
    .font(bold ? 'bold' : 'plain')
    .fontSize(size)
    .widthOfString(text);
};

let urls: SheetFonts | null = null;

/** The fonts as data URLs, for documents that carry them. */
export function fontUrls(): SheetFonts {
  const url = (weight: Weight): string =>
    `data:font/ttf;base64,${readFileSync(fontFile(weight)).toString('base64')}`;
  return (urls ??= { plain: url('400Regular'), bold: url('700Bold') });
}

/** The bytes of a document once it is ended. */
export function finished(doc: PDFKit.PDFDocument): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = [];
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
    doc.end();
  });
}
