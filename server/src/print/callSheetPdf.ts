import { PAPERS, type CallSheet, type Paper } from '@toile/core';
import { documentWithFonts, finished } from './fonts';

/** What is printed on; a phone's picture is no paper. */
export type SheetPaper = Exclude<Paper, 'phone'>;

const MARGIN = 48;
const SIZE = 12;
const SMALL = 10;
const LINE = 17;
const TIME_WIDTH = 52;

/** A call sheet on paper: black on white, 12 pt, times first; as many pages as it needs, each with whom it is for. */
export function callSheetPdf(sheet: CallSheet, day: string, paper: SheetPaper): Promise<Buffer> {
  const [width, height] = PAPERS[paper];
  const doc = documentWithFonts({
    size: [width, height],
    margin: 0,
    lang: 'en-GB',
    displayTitle: true,
    info: { Title: `${sheet.title}: ${sheet.whom}` },
  });
  const inner = width - 2 * MARGIN;
  let y = MARGIN;
  const text = (words: string, x: number, size: number, bold: boolean, wide: number): number => {
    doc
      .font(bold ? 'bold' : 'plain')
      .fontSize(size)
      .fillColor('black')
      .text(words, x, y, { width: wide });
    return doc.heightOfString(words, { width: wide });
  };
  const head = (): void => {
    y = MARGIN;
    text(sheet.whom, MARGIN, 18, true, inner);
    y += 24;
    text(`${sheet.title}, ${day}`, MARGIN, SMALL, false, inner);
    y += LINE + 6;
  };
  const room = (needed: number): void => {
    if (y + needed <= height - MARGIN) return;
    doc.addPage({ size: [width, height], margin: 0 });
    head();
  };
  head();
  for (const line of sheet.lead) {
    room(LINE);
    y += Math.max(LINE, text(line, MARGIN, SIZE, true, inner) + 4);
  }
  for (const part of sheet.parts) {
    if (part.rows.length === 0) continue;
    room(3 * LINE);
    y += 8;
    text(part.title, MARGIN, SIZE + 1, true, inner);
    y += LINE + 2;
    for (const row of part.rows) {
      room(2 * LINE);
      text(row.time, MARGIN, SIZE, true, TIME_WIDTH);
      const x = MARGIN + TIME_WIDTH;
      const tall = text(row.what, x, SIZE, false, inner - TIME_WIDTH);
      y += tall + 1;
      if (row.detail !== '') y += text(row.detail, x, SMALL, false, inner - TIME_WIDTH) + 1;
      y += 4;
    }
  }
  for (const line of sheet.foot) {
    room(2 * LINE);
    y += 8;
    y += text(line, MARGIN, SMALL + 1, false, inner) + 4;
  }
  return finished(doc);
}
