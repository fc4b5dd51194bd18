import { PAPERS, type CallSheet, type Paper } from '@toile/core';
import { taggedDocument } from './tagged';

/** What is printed on; a phone's picture is no paper. */
export type SheetPaper = Exclude<Paper, 'phone'>;

const MARGIN = 48;
const SIZE = 12;
const SMALL = 10;
const LINE = 17;
const TIME_WIDTH = 52;

/**
 * A call sheet on paper: black on white, 12 pt, times first; as many pages as it needs, each with whom it is
 * for.
 */
export function callSheetPdf(sheet: CallSheet, day: string, paper: SheetPaper): Promise<Buffer> {
  const [width, height] = PAPERS[paper];
  const { doc, part, ornament, finished } = taggedDocument(`${sheet.title}: ${sheet.whom}`, {
    size: [width, height],
  });
  const inner = width - 2 * MARGIN;
  let y = MARGIN;
  const set = (words: string, size: number, bold: boolean, wide: number): number =>
    doc
      .font(bold ? 'bold' : 'plain')
      .fontSize(size)
      .fillColor('black')
      .heightOfString(words, { width: wide });
  const text = (words: string, x: number, size: number, bold: boolean, wide: number): number => {
    const tall = set(words, size, bold, wide);
    doc.text(words, x, y, { width: wide });
    return tall;
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
    ornament(head);
  };
  part('H1', head);
  for (const line of sheet.lead) {
    room(Math.max(LINE, set(line, SIZE, true, inner)));
    part('P', () => {
      y += Math.max(LINE, text(line, MARGIN, SIZE, true, inner) + 4);
    });
  }
  for (const { title, rows } of sheet.parts) {
    if (rows.length === 0) continue;
    room(3 * LINE);
    y += 8;
    part('H2', () => text(title, MARGIN, SIZE + 1, true, inner));
    y += LINE + 2;
    for (const row of rows) {
      const wide = inner - TIME_WIDTH;
      const detailed = row.detail === '' ? 0 : set(row.detail, SMALL, false, wide) + 1;
      room(Math.max(2 * LINE, set(row.what, SIZE, false, wide) + 1 + detailed));
      part('P', () => {
        text(row.time, MARGIN, SIZE, true, TIME_WIDTH);
        const x = MARGIN + TIME_WIDTH;
        y += text(row.what, x, SIZE, false, wide) + 1;
        if (row.detail !== '') y += text(row.detail, x, SMALL, false, wide) + 1;
      });
      y += 4;
    }
  }
  for (const line of sheet.foot) {
    room(Math.max(2 * LINE, set(line, SMALL + 1, false, inner)));
    y += 8;
    part('Note', () => {
      y += text(line, MARGIN, SMALL + 1, false, inner) + 4;
    });
  }
  return finished();
}
