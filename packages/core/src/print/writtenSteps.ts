import { labToHex } from '../colour';
import { LAYER_LOOKS, placeNames } from '../face';
import {
  AFTER_AIRBRUSH,
  airbrushInWords,
  colourOfUse,
  howInWords,
  productsInWords,
  type Step,
} from '../look';
import { msg, term } from '../messages';
import { measuresInWords } from '../shade';
import { INK, SOFT, type SheetOp, type SheetOptions } from './sheet';
import { wrapped } from './wrapped';

const amounts = (step: Step): string =>
  step.use.map(({ parts, measure }) => measuresInWords(parts, measure)).join(' + ');

/** A step as it is written on paper. */
export type Written = {
  readonly step: Step;
  readonly head: string;
  readonly product: string;
  readonly how: string;
};

export function written(step: Step): Written {
  return {
    step,
    head: step.optional ? msg`${step.title} (if wanted)` : step.title,
    product:
      step.use.length === 0
        ? step.wants.kinds.length > 0
          ? msg`no product chosen`
          : ''
        : // The amount first: where there is no room it is a name that is cut, never what is counted out.
          msg`${amounts(step)} of ${productsInWords(step.use)}`,
    how: [
      howInWords(step),
      // Layers are on the drawing by their numbers; care leaves nothing that could be drawn.
      step.role === 'care' ? placeNames(step.placements) : null,
      step.tool === 'airbrush' ? `${airbrushInWords(step)} ${term(AFTER_AIRBRUSH)}` : null,
      step.note || null,
    ]
      .filter(Boolean)
      .join(' · '),
  };
}

type StepsBox = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };

type Laid = { readonly ops: SheetOp[]; readonly height: number };

/** Where a step's number stands, behind its notch, points. */
const NUMBER_AT = 17;

/** Lines a text may take: as many as it needs, the usual, one. */
type Lines = 'whole' | 'usual' | 'terse';
const MOST_LINES: Readonly<Record<Lines, number>> = { whole: 40, usual: 2, terse: 1 };

/** The numbered steps at one size of letters, what is too long for so many lines cut. */
export function stepsAt(
  size: number,
  lines: Lines,
  steps: readonly Written[],
  box: Omit<StepsBox, 'height'>,
  { measure, colour }: SheetOptions,
): Laid {
  // Titles stand free of the widest number before them.
  const indent = Math.max(30, NUMBER_AT + measure(String(steps.length), size, true) + 5);
  let ops: SheetOp[] = [];
  let y = box.y;
  const put = (
    text: string,
    at: number,
    bold: boolean,
    fill: string,
    lineSize: number,
    most: number,
  ): void => {
    for (const line of wrapped(text, box.width - indent, lineSize, bold, measure, most)) {
      y += lineSize * 1.22;
      ops.push({ op: 'text', x: at, y, size: lineSize, bold, fill, text: line });
    }
  };
  const all = steps.map(({ step, head, product, how }, i): SheetOp => {
    const top = y;
    ops = [];
    if (step.role !== 'care') {
      ops.push({
        op: 'group',
        frame: [box.x, top + 1.5, size * 1.35, size * 1.05],
        scale: (size * 1.35) / 16,
        origin: [0, 0],
        ops: [{ op: 'path', d: LAYER_LOOKS[step.role].notch, fill: INK, opacity: 1 }],
      });
      const lab = colourOfUse(step.use);
      if (lab && colour)
        ops.push({
          op: 'path',
          d: `M${box.x} ${top + size * 1.5}h${size * 1.35}v${size * 0.9}h${-size * 1.35}z`,
          fill: labToHex(lab),
          opacity: 1,
          stroke: SOFT,
          strokeWidth: 0.3,
        });
    }
    ops.push({
      op: 'text',
      x: box.x + NUMBER_AT,
      y: top + size * 1.22,
      size,
      bold: true,
      fill: INK,
      text: String(i + 1),
    });
    put(head, box.x + indent, true, INK, size, 1);
    if (product) put(product, box.x + indent, false, INK, size * 0.92, MOST_LINES[lines]);
    put(how, box.x + indent, false, SOFT, size * 0.86, MOST_LINES[lines]);
    y += size * 0.42;
    const actual = [`${i + 1}. ${head}`, product, how].filter((words) => words !== '').join('. ');
    return { op: 'part', tag: 'P', said: { actual }, ops };
  });
  return { ops: all, height: y - box.y };
}

/** How small letters may get, points. */
const SMALLEST: readonly (readonly [Lines, number])[] = [
  ['whole', 7.5],
  ['usual', 5.5],
  ['terse', 2.5],
];

/** The same at the largest size that fits the box. */
export function stepsFitted(steps: readonly Written[], box: StepsBox, options: SheetOptions): SheetOp[] {
  // Whole where there is room at a size that is read with ease; else long notes are cut before the letters
  // get too small to read.
  for (const [lines, smallest] of SMALLEST) {
    for (let size = 9.5; size >= smallest; size -= 0.25) {
      const made = stepsAt(size, lines, steps, box, options);
      if (made.height <= box.height) return made.ops;
    }
  }
  return stepsAt(2.5, 'terse', steps, box, options).ops;
}
