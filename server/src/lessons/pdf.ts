import { msg, PAPERS, stepsCounted, type Lesson } from '@toile/core';
import type { SheetPaper } from '../print/callSheetPdf';
import { taggedDocument, type PartTag } from '../print/tagged';

const MARGIN = 44;
const SIZE = 11;
const SMALL = 9.5;
/** Points a millimetre. */
const PT_PER_MM = 72 / 25.4;

/**
 * A lesson on paper: what is needed by number, step by step with the size of each drop as wide as it is, what
 * to mind.
 */
export function lessonPdf(lesson: Lesson, paper: SheetPaper): Promise<Buffer> {
  const [width, height] = PAPERS[paper];
  const { doc, part, finished } = taggedDocument(msg`${lesson.look}, at home: ${lesson.name}`, {
    size: [width, height],
  });
  const inner = width - 2 * MARGIN;
  let y = MARGIN;
  const say = (words: string, size: number, tag: PartTag = 'P', x = MARGIN): void => {
    const bold = tag !== 'P';
    const wide = inner - (x - MARGIN);
    doc.font(bold ? 'bold' : 'plain').fontSize(size);
    const tall = doc.heightOfString(words, { width: wide });
    if (y + tall > height - MARGIN) {
      doc.addPage({ size: [width, height], margin: 0 });
      y = MARGIN;
    }
    part(tag, () => doc.fillColor('black').text(words, x, y, { width: wide }));
    y += tall + 2;
  };
  const room = (needed: number): void => {
    if (y + needed <= height - MARGIN) return;
    doc.addPage({ size: [width, height], margin: 0 });
    y = MARGIN;
  };
  say(msg`${lesson.look}, at home`, 18, 'H1');
  say(
    msg`For ${lesson.name}: ${stepsCounted(lesson)}, about ${lesson.minutes} minutes. Stand before a mirror: your left is on the left.`,
    SIZE,
  );
  y += 6;
  say(msg`What you need`, SIZE + 1, 'H2');
  for (const { number, name } of lesson.things) say(`${number}  ${name}`, SIZE);
  y += 4;
  say(lesson.before, SIZE);
  lesson.steps.forEach((step, i) => {
    y += 6;
    room(60);
    say(`${i + 1}. ${step.title}`, SIZE + 1, 'H2');
    if (step.things.length > 0) {
      const mm = step.sizeMm;
      if (mm !== null) {
        const r = (mm * PT_PER_MM) / 2;
        part(
          'Figure',
          () =>
            doc
              .circle(width - MARGIN - r, y + 6, r)
              .fillColor('#8c5a3c')
              .fill(),
          {
            alt: msg`A spot of ${mm} mm, as wide as the drop`,
          },
        );
      }
      say(`${step.things.map((n) => `(${n})`).join(' ')} ${step.amount ?? ''}`, SIZE);
    }
    for (const place of step.where) say(place, SMALL, 'P', MARGIN + 10);
    say(step.how, SMALL, 'P', MARGIN + 10);
    say(msg`Check: ${step.check}`, SMALL, 'P', MARGIN + 10);
    if (step.fault) say(`${step.fault.seen}? ${step.fault.cure}`, SMALL, 'P', MARGIN + 10);
  });
  y += 8;
  for (const line of lesson.minds) say(line, SMALL);
  return finished();
}
