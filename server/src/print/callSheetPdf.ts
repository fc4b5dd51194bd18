import { PAPERS, type CallSheet, type Paper } from '@toile/core';
import { taggedDocument } from './tagged';

/** What is printed on; a phone's picture is no paper. */
export type SheetPaper = Exclude<Paper, 'phone'>;

const MARGIN = 48;
const SIZE = 12;
const SMALL = 10;
const LINE = 17;
const TIME_WIDTH = 52;
const GUTTER = 24;
/** More parts than this are set in two columns: the whole day hangs on a wall, one page if it can. */
const IN_ONE_COLUMN = 2;

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
  const parts = sheet.parts.filter(({ rows }) => rows.length > 0);
  const columns = parts.length > IN_ONE_COLUMN ? 2 : 1;
  const wide = (inner - GUTTER * (columns - 1)) / columns;
  let y = MARGIN;
  /** Where the columns of this page begin, and which of them is being filled. */
  let top = MARGIN;
  let column = 0;
  const left = (): number => MARGIN + column * (wide + GUTTER);
  const set = (words: string, size: number, bold: boolean, within: number): number =>
    doc
      .font(bold ? 'bold' : 'plain')
      .fontSize(size)
      .fillColor('black')
      .heightOfString(words, { width: within });
  const text = (words: string, x: number, size: number, bold: boolean, within: number): number => {
    const tall = set(words, size, bold, within);
    doc.text(words, x, y, { width: within });
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
    column = (column + 1) % columns;
    if (column === 0) {
      doc.addPage({ size: [width, height], margin: 0 });
      ornament(head);
      top = y;
    }
    y = top;
  };
  part('H1', head);
  for (const line of sheet.lead) {
    room(Math.max(LINE, set(line, SIZE, true, inner)));
    part('P', () => {
      y += Math.max(LINE, text(line, MARGIN, SIZE, true, inner) + 4);
    });
  }
  top = y;
  for (const { title, rows } of parts) {
    const tall = set(title, SIZE + 1, true, wide);
    // With what stands first under it.
    room(8 + tall + 3 * LINE);
    y += 8;
    part('H2', () => text(title, left(), SIZE + 1, true, wide));
    y += Math.max(LINE, tall) + 2;
    for (const row of rows) {
      const within = wide - TIME_WIDTH;
      const detailed = row.detail === '' ? 0 : set(row.detail, SMALL, false, within) + 1;
      room(Math.max(2 * LINE, set(row.what, SIZE, false, within) + 1 + detailed));
      part('P', () => {
        text(row.time, left(), SIZE, true, TIME_WIDTH);
        const x = left() + TIME_WIDTH;
        y += text(row.what, x, SIZE, false, within) + 1;
        if (row.detail !== '') y += text(row.detail, x, SMALL, false, within) + 1;
      });
      y += 4;
    }
  }
  for (const line of sheet.foot) {
    room(Math.max(2 * LINE, set(line, SMALL + 1, false, wide)));
    y += 8;
    part('Note', () => {
      y += text(line, left(), SMALL + 1, false, wide) + 4;
    });
  }
  return finished();
}
