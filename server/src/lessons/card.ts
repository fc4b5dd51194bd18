import { msg, PAPERS, type Lesson } from '@toile/core';
import type { SheetPaper } from '../print/callSheetPdf';
import { measureText } from '../print/fonts';
import { taggedDocument } from '../print/tagged';

/** Points a millimetre. */
const MM = 72 / 25.4;
/** As a bank card: it lies in most lids and in every purse. */
const CARD = { width: 85 * MM, height: 54 * MM, inset: 3 * MM } as const;
const SIZES = { largest: 8, smallest: 4.5, step: 0.25 } as const;
/** Of a line of text to the next, in its size. */
const LEADING = 1.25;

export type CardText = { readonly size: number; readonly lines: readonly string[] };

/** Both sides of the card: what to do in order, and what each number is. */
export function cardSides(lesson: Lesson): readonly [front: string[], back: string[]] {
  const front = lesson.steps.map(({ title, things, amount }, i) => {
    const of = things.length > 0 ? ` (${things.join(', ')})` : '';
    return `${i + 1}. ${title}${of}${amount ? `: ${amount.replace(/^as much as /, '')}` : ''}`;
  });
  return [front, lesson.things.map(({ number, name }) => `(${number}) ${name}`)];
}

/**
 * Lines set as large as they fit on a side under its title, broken where they are too wide, further lines
 * drawn in. Where even the smallest size is too large the last line says how many are left out, rather than
 * running over the edge.
 */
export function fitted(lines: readonly string[]): CardText {
  const wide = CARD.width - 2 * CARD.inset;
  const tall = CARD.height - 2 * CARD.inset;
  const room = (size: number): number => Math.floor(tall / (size * LEADING)) - 1;
  for (let size = SIZES.largest as number; size >= SIZES.smallest; size -= SIZES.step) {
    const broken = lines.flatMap((line) => brokenAt(line, size, wide));
    if (broken.length <= room(size)) return { size, lines: broken };
  }
  const size = SIZES.smallest;
  const kept: string[] = [];
  let taken = 0;
  for (const line of lines) {
    const broken = brokenAt(line, size, wide);
    if (kept.length + broken.length > room(size) - 1) break;
    kept.push(...broken);
    taken++;
  }
  return { size, lines: [...kept, msg`and ${lines.length - taken} more, on the sheet`] };
}

function brokenAt(line: string, size: number, wide: number): string[] {
  const out: string[] = [];
  let current = '';
  for (const word of line.split(' ')) {
    const longer = current === '' ? word : `${current} ${word}`;
    if (current !== '' && measureText(longer, size, false) > wide) {
      out.push(current);
      current = `   ${word}`;
    } else current = longer;
  }
  return [...out, current];
}

/** One side of a card. */
export type CardSide = { readonly title: string; readonly lines: readonly string[] };

/** A card for the lid of a compact: the steps on one side, what the numbers are on the other. */
export function lessonCardPdf(lesson: Lesson, paper: SheetPaper): Promise<Buffer> {
  const [front, back] = cardSides(lesson);
  return cardPdf(
    msg`${lesson.look}, card: ${lesson.name}`,
    [
      { title: msg`${lesson.look}, at home`, lines: front },
      { title: msg`What the numbers are`, lines: back },
    ],
    paper,
  );
}

/** Sides that stand on one page, one under the other. */
const SIDES_A_PAGE = 4;

/**
 * Cards of the size of a bank card, to be cut out and folded between two sides: as many pages as it takes.
 */
export function cardPdf(title: string, sides: readonly CardSide[], paper: SheetPaper): Promise<Buffer> {
  const [width, height] = PAPERS[paper];
  const { doc, part, ornament, finished } = taggedDocument(title, { size: [width, height] });
  const left = (width - CARD.width) / 2;
  sides.forEach((side, i) => {
    if (i > 0 && i % SIDES_A_PAGE === 0) doc.addPage({ size: [width, height], margin: 0 });
    const top = 20 * MM + (i % SIDES_A_PAGE) * CARD.height;
    ornament(() =>
      doc
        .lineWidth(0.5)
        .dash(2, { space: 2 })
        .rect(left, top, CARD.width, CARD.height)
        .stroke('#666666')
        .undash(),
    );
    const { size, lines } = fitted(side.lines);
    const say = (words: string, row: number, bold: boolean): void => {
      doc
        .font(bold ? 'bold' : 'plain')
        .fontSize(size)
        .fillColor('black')
        .text(words, left + CARD.inset, top + CARD.inset + row * size * LEADING, { lineBreak: false });
    };
    part(i === 0 ? 'H1' : 'H2', () => say(side.title, 0, true));
    lines.forEach((line, row) => part('P', () => say(line, row + 1, false)));
  });
  const last = ((sides.length - 1) % SIDES_A_PAGE) + 1;
  part('Note', () =>
    doc
      .font('plain')
      .fontSize(9)
      .fillColor('#444444')
      .text(msg`Cut along the dashes, fold between two sides.`, left, 20 * MM + last * CARD.height + 4 * MM),
  );
  return finished();
}
