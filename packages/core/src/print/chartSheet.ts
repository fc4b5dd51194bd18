import { toldDay, USUAL_MANNER, type Manner } from '../calendar';
import { toBeMinded } from '../care';
import { labToHex } from '../colour';
import {
  insetBox,
  INSETS,
  LAYER_KINDS,
  LAYER_LOOKS,
  lineArt,
  outlineOf,
  pathOf,
  placeNames,
  type Eyes,
  type InkFill,
  type Inset,
  type LayerKind,
  type PlacedShape,
  type Point,
} from '../face';
import {
  AFTER_AIRBRUSH,
  airbrushInWords,
  colourDrawn,
  colourOfUse,
  howInWords,
  productsInWords,
  type Chart,
  type Step,
} from '../look';
import { messages, msg, plural, term } from '../messages';
import { measuresInWords } from '../shade';
import { patternIn } from './patternIn';

/**
 * One thing on a sheet, in points from its upper left corner; groups scale from mm and hide what leaves their
 * frame.
 */
export type SheetOp =
  | {
      readonly op: 'path';
      readonly d: string;
      readonly fill: string | null;
      readonly opacity: number;
      readonly stroke?: string;
      readonly strokeWidth?: number;
    }
  | {
      readonly op: 'text';
      readonly x: number;
      readonly y: number;
      readonly size: number;
      readonly bold: boolean;
      readonly fill: string;
      readonly text: string;
      readonly middle?: boolean;
    }
  | {
      readonly op: 'group';
      readonly frame: readonly [x: number, y: number, width: number, height: number];
      readonly scale: number;
      readonly origin: Point;
      readonly ops: readonly SheetOp[];
    }
  /** What belongs together when it is read out, in the order it is read; never within another. */
  | {
      readonly op: 'part';
      readonly tag: SheetTag;
      readonly said: SheetSaid;
      readonly ops: readonly SheetOp[];
    };

/** What a part is: the title, a paragraph, a picture, a remark at the foot. */
export type SheetTag = 'H1' | 'P' | 'Figure' | 'Note';
/** Said instead of what is seen: of a picture, or the whole of words that are cut where there is no room. */
export type SheetSaid = { readonly alt?: string; readonly actual?: string };

export type Sheet = {
  readonly title: string;
  readonly width: number;
  readonly height: number;
  readonly ops: readonly SheetOp[];
};

/** Papers in points, and a phone's screen, which grows downwards with the steps. */
export const PAPERS = { a4: [595.28, 841.89], letter: [612, 792], phone: [390, 844] } as const;
export type Paper = keyof typeof PAPERS;

export type SheetOptions = {
  readonly paper: Paper;
  /** Without colour every kind is told by its pattern and number. */
  readonly colour: boolean;
  /** Width of a text in points. */
  readonly measure: (text: string, size: number, bold: boolean) => number;
  /** Sensitivities are printed only when asked for. */
  readonly cautions?: boolean;
  /** How days are told; as usual where nothing is said. */ readonly days?: Manner['days'];
};

const INK = '#161616';
const SOFT = '#555555';
const HAIR = {
  fair: '#d8d3c8',
  red: '#c9aea0',
  brown: '#a89f97',
  black: '#6a6764',
  grey: '#d4d4d4',
} as const;
const MARGIN = 34;
/** Letters on a phone, points. */
const PHONE_LETTERS = 11;

const inkFills = (hair: string): Readonly<Record<InkFill, string>> => ({
  ink: '#242424',
  skin: '#fafafa',
  shade: '#dadada',
  hair,
  sheen: '#fafafa',
  cloth: '#cfcfcf',
  lip: '#e4e4e4',
  eyeWhite: '#ffffff',
  iris: '#8a8a8a',
  pupil: '#101010',
  catchlight: '#ffffff',
});

type Placed = {
  readonly number: number;
  readonly step: Step;
  readonly kind: LayerKind;
  readonly shapes: readonly PlacedShape[];
  readonly colour: string;
};

function placedSteps(chart: Chart, steps: readonly Step[], eyes: Eyes): Placed[] {
  const { landmarks, features } = chart.client;
  return steps.flatMap((step, i): Placed[] => {
    if (step.role === 'care') return [];
    const lab = colourDrawn(step, chart.client);
    const shapes = step.placements.flatMap((p) => outlineOf(p, landmarks, features, eyes));
    return [
      {
        number: i + 1,
        step,
        kind: step.role,
        shapes,
        colour: lab ? labToHex(lab) : LAYER_LOOKS[step.role].fallback,
      },
    ];
  });
}

/** How a layer is painted: in its colour under its pattern, or by outline and pattern alone. */
function layerOps({ kind, shapes, colour }: Placed, inColour: boolean): SheetOp[] {
  const { pattern } = LAYER_LOOKS[kind];
  const wide = kind === 'base' || kind === 'powder';
  return shapes.flatMap((shape): SheetOp[] => {
    const d = pathOf(shape.region, 2);
    if (d === '') return [];
    const solid = kind === 'liner' || kind === 'lash';
    const fill: SheetOp = inColour
      ? { op: 'path', d, fill: colour, opacity: wide ? 0.16 : 0.6 }
      : { op: 'path', d, fill: solid ? INK : null, opacity: 1, stroke: INK, strokeWidth: wide ? 0.12 : 0.25 };
    const marks = wide && inColour ? '' : pathOf(patternIn(shape.region, pattern), 2);
    return marks === ''
      ? [fill]
      : [fill, { op: 'path', d: marks, fill: INK, opacity: inColour ? 0.55 : 0.9 }];
  });
}

/** The middle of each of a layer's shapes, where its number may point. */
function numberPlaces({ shapes }: Placed): Point[] {
  return shapes.flatMap((shape): Point[] => {
    const points = shape.region.flat();
    if (points.length < 3) return [];
    const [x, y] = points.reduce<Point>((sum, p) => [sum[0] + p[0], sum[1] + p[1]], [0, 0]);
    return [[x / points.length, y / points.length]];
  });
}

/** Numbers beside the face, in two columns, each joined to its layer by a fine line. */
function numberOps(
  placed: readonly Placed[],
  box: readonly [number, number, number, number],
  scale: number,
  frame: readonly [number, number, number, number],
): SheetOp[] {
  const [x, y] = box;
  const middle = frame[0] + frame[2] / 2;
  const toSheet = (p: Point): Point => [frame[0] + (p[0] - x) * scale, frame[1] + (p[1] - y) * scale];
  let left = 0;
  let right = 0;
  const named = placed
    .filter(({ kind }) => kind !== 'base' && kind !== 'powder')
    .flatMap((p) => {
      const places = numberPlaces(p).map(toSheet);
      const onLeft = places.find((at) => at[0] < middle - 2);
      const onRight = places.find((at) => at[0] >= middle - 2);
      // A layer on both sides is numbered where fewer numbers are.
      const at = onLeft && (!onRight || left <= right) ? onLeft : onRight;
      if (!at) return [];
      if (at === onLeft) left++;
      else right++;
      return [{ number: p.number, at }];
    });
  const ops: SheetOp[] = [];
  for (const side of ['left', 'right'] as const) {
    const own = named
      .filter(({ at }) => (side === 'left' ? at[0] < middle : at[0] >= middle))
      .sort((a, b) => a.at[1] - b.at[1]);
    const edge = side === 'left' ? frame[0] + 6 : frame[0] + frame[2] - 6;
    let last = -Infinity;
    for (const { number, at } of own) {
      const py = Math.max(at[1], last + 11, frame[1] + 8);
      last = py;
      ops.push({
        op: 'path',
        d: `M${at[0].toFixed(1)} ${at[1].toFixed(1)}L${(edge + (side === 'left' ? 5 : -5)).toFixed(1)} ${py.toFixed(1)}`,
        fill: null,
        opacity: 0.8,
        stroke: SOFT,
        strokeWidth: 0.35,
      });
      ops.push({
        op: 'text',
        x: edge,
        y: py + 3,
        size: 8.5,
        bold: true,
        fill: INK,
        text: String(number),
        middle: true,
      });
    }
  }
  return ops;
}

function faceGroup(
  chart: Chart,
  placed: readonly Placed[],
  box: readonly [number, number, number, number],
  frame: readonly [number, number, number, number],
  eyes: Eyes,
  inColour: boolean,
): SheetOp {
  const { landmarks, features } = chart.client;
  const art = lineArt(landmarks, features, eyes);
  const fills = inkFills(HAIR[features.hairTone]);
  const inks = (list: typeof art.ground): SheetOp[] =>
    list.map((ink): SheetOp => ({ op: 'path', d: ink.d, fill: fills[ink.fill], opacity: ink.opacity }));
  const scale = Math.min(frame[2] / box[2], frame[3] / box[3]);
  // Centred in its frame.
  const origin: Point = [box[0] - (frame[2] / scale - box[2]) / 2, box[1] - (frame[3] / scale - box[3]) / 2];
  return {
    op: 'group',
    frame,
    scale,
    origin,
    ops: [...inks(art.ground), ...placed.flatMap((p) => layerOps(p, inColour)), ...inks(art.lines)],
  };
}

const INSET_KINDS: readonly LayerKind[] = [
  'brow',
  'eye',
  'liner',
  'lash',
  'lip',
  'lip line',
  'highlight',
  'adornment',
  'conceal',
];

/**
 * A text broken into lines no wider than `width`; the last is cut with an ellipsis where `most` lines are not
 * enough.
 */
export function wrapped(
  text: string,
  width: number,
  size: number,
  bold: boolean,
  measure: SheetOptions['measure'],
  most = 3,
): string[] {
  const lines: string[] = [];
  const fits = (part: string): boolean => measure(part, size, bold) <= width;
  for (const word of text.split(/\s+/).flatMap((whole) => broken(whole, fits))) {
    const last = lines[lines.length - 1];
    const joined = last === undefined ? word : `${last} ${word}`;
    if (last !== undefined && fits(joined)) lines[lines.length - 1] = joined;
    else lines.push(word);
  }
  if (lines.length <= most) return lines;
  let end = lines.slice(most - 1).join(' ');
  while (end.length > 1 && !fits(`${end}…`)) end = end.slice(0, -1);
  return [...lines.slice(0, most - 1), `${end.trimEnd()}…`];
}

/** A word in parts that fit; as it is where it does. */
function broken(word: string, fits: (part: string) => boolean): string[] {
  if (word === '') return [];
  if (fits(word)) return [word];
  const letters = [...word];
  let room = 1;
  while (room < letters.length && fits(letters.slice(0, room + 1).join(''))) room++;
  return [letters.slice(0, room).join(''), ...broken(letters.slice(room).join(''), fits)];
}

const amounts = (step: Step): string =>
  step.use.map(({ parts, measure }) => measuresInWords(parts, measure)).join(' + ');

/** A step as it is written on paper. */
type Written = {
  readonly step: Step;
  readonly head: string;
  readonly product: string;
  readonly how: string;
};

function written(step: Step): Written {
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
function stepsAt(
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
function stepsFitted(steps: readonly Written[], box: StepsBox, options: SheetOptions): SheetOp[] {
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

/** From one line of the legend to the next, points: as it is read best, and the least. */
const LEGEND_LINE = { usual: 15, least: 11.5 } as const;

/** Notch, pattern and word of every kind in use, one under the other: read without colour too. */
function legendOps(
  kinds: readonly LayerKind[],
  x: number,
  y: number,
  height: number,
  options: SheetOptions,
): SheetOp[] {
  const line = Math.min(LEGEND_LINE.usual, height / kinds.length);
  return kinds.flatMap((kind, i): SheetOp[] => {
    const [cx, cy] = [x, y + i * line];
    const look = LAYER_LOOKS[kind];
    const box: Point[] = [
      [0, 0],
      [14, 0],
      [14, 7],
      [0, 7],
    ];
    const solid = !options.colour && (kind === 'liner' || kind === 'lash');
    const marks = pathOf(patternIn([box], look.pattern), 2);
    return [
      {
        op: 'group',
        frame: [cx, cy, 21, 10.5],
        scale: 1.5,
        origin: [0, 0],
        ops: [
          {
            op: 'path',
            d: pathOf([box], 1),
            fill: options.colour ? look.fallback : solid ? INK : null,
            opacity: options.colour ? 0.6 : 1,
            stroke: INK,
            strokeWidth: 0.3,
          },
          ...(marks === '' ? [] : [{ op: 'path' as const, d: marks, fill: INK, opacity: 0.8 }]),
        ],
      },
      {
        op: 'group',
        frame: [cx + 24, cy + 1, 11, 9],
        scale: 11 / 16,
        origin: [0, 0],
        ops: [{ op: 'path', d: look.notch, fill: INK, opacity: 1 }],
      },
      { op: 'text', x: cx + 38, y: cy + 8.5, size: 7.5, bold: false, fill: INK, text: look.name },
    ];
  });
}

const INSET_WORDS: Readonly<Record<Inset, string>> = messages({
  'right eye': 'client’s right eye',
  'left eye': 'client’s left eye',
  lips: 'lips',
});

/** What the drawing shows, for whoever has it read out: which steps are drawn, by their numbers. */
function faceInWords(name: string, steps: readonly Step[], placed: readonly Placed[]): string {
  const drawn = steps.flatMap((step, i) =>
    placed.some(({ number, shapes }) => number === i + 1 && shapes.length > 0)
      ? [`${i + 1} ${step.title}`]
      : [],
  );
  return drawn.length === 0
    ? msg`The face of ${name}; nothing is drawn on it`
    : msg`The face of ${name}, the eyes open and closed and the lips up close, with each layer in its place: ${drawn.join(', ')}`;
}

/** The most lines of what is minded: beyond it the page has no room for the face. */
const MINDED_LINES = 8;

/** What is minded, in as many lines as it takes; where a page cannot hold it, how much more there is. */
function mindedLines(minded: readonly string[], room: number, measure: SheetOptions['measure']): string[] {
  const linesOf = (names: string): string[] =>
    wrapped(msg`Mind: ${names}`, room, 9, true, measure, MINDED_LINES + 1);
  const whole = linesOf(minded.join(', '));
  if (whole.length <= MINDED_LINES) return whole;
  for (let shown = minded.length - 1; shown > 0; shown--) {
    const some = linesOf(
      msg`${minded.slice(0, shown).join(', ')} and ${minded.length - shown} more, noted on the client’s page`,
    );
    if (some.length <= MINDED_LINES) return some;
  }
  return linesOf(
    msg`${plural(minded.length)`one thing|${minded.length} things`}, noted on the client’s page`,
  );
}

/**
 * A chart on one page: the client's own face with its layers numbered, eyes open and closed and lips up
 * close, the steps with products, ratios and amounts, and a legend. Steps of variants are left out. In
 * points; nothing of contact or health unless asked for.
 */
export function chartSheet(chart: Chart, options: SheetOptions): Sheet {
  const [width, paperHeight] = PAPERS[options.paper];
  const phone = options.paper === 'phone';
  const margin = phone ? 16 : MARGIN;
  const steps = chart.steps.filter((s) => s.variant === undefined);
  const lines = steps.map(written);
  const open = placedSteps(chart, steps, 'open');
  const closed = placedSteps(chart, steps, 'closed');
  const small = (list: readonly Placed[]): Placed[] => list.filter(({ kind }) => INSET_KINDS.includes(kind));
  const kinds = LAYER_KINDS.filter((kind) => open.some((p) => p.kind === kind));
  const { client, look, occasion } = chart;
  const minutes = steps.reduce((sum, s) => sum + s.handsOnMinutes, 0);
  const parts: SheetOp[] = [];
  let ops: SheetOp[] = [];
  /** Closes what was drawn since the last part as one of its own. */
  const part = (tag: SheetTag, said: SheetSaid = {}): void => {
    parts.push({ op: 'part', tag, said, ops });
    ops = [];
  };
  const text = (x: number, y: number, size: number, bold: boolean, words: string, fill = INK): void =>
    void ops.push({ op: 'text', x, y, size, bold, fill, text: words });
  const fitted = (words: string, size: number, bold: boolean, room: number): string =>
    wrapped(words, room, size, bold, options.measure, 1)[0] ?? '';

  text(
    margin,
    margin + 10,
    phone ? 17 : 19,
    true,
    fitted(client.name, phone ? 17 : 19, true, width - 2 * margin),
  );
  part('H1', { actual: client.name });
  text(
    margin,
    margin + 24,
    9,
    false,
    fitted(
      msg`${look.name} · ${term(occasion.kind)}, ${toldDay(occasion.date, options.days ?? USUAL_MANNER.days, true)} · version ${chart.version} by ${chart.author} · ${plural(steps.length)`one step|${steps.length} steps`}, ${minutes} min at work`,
      9,
      false,
      width - 2 * margin,
    ),
    SOFT,
  );
  part('P');
  let top = margin + 34;
  const minded = toBeMinded(client.sensitivities).map((one) => term(one));
  if (options.cautions && minded.length > 0) {
    for (const line of mindedLines(minded, width - 2 * margin, options.measure)) {
      text(margin, top + 4, 9, true, line);
      top += 12;
    }
    part('P', { actual: msg`Mind: ${minded.join(', ')}` });
    top += 2;
  }

  const { landmarks } = client;
  const box = [
    -88,
    landmarks.hairline_c[1] - 26,
    176,
    landmarks.gnathion[1] + 14 - landmarks.hairline_c[1] + 26,
  ] as const;
  const faceWidth = phone ? width - 2 * margin : (width - 2 * margin) * 0.53;
  const insetHeight = phone ? 58 : 74;
  // On paper all of it stands over the foot: two rows of eyes, then the lips beside the legend.
  const foot = paperHeight - margin - 4;
  const last = Math.max(insetHeight + 10, kinds.length * LEGEND_LINE.least);
  const faceHeight = phone
    ? 300
    : Math.min(340, (faceWidth / box[2]) * box[3], foot - top - 8 - 2 * (insetHeight + 14) - last);
  const frame = [margin, top, faceWidth, faceHeight] as const;
  const group = faceGroup(chart, open, box, frame, 'open', options.colour);
  ops.push(group);
  if (group.op === 'group')
    ops.push(...numberOps(open, [group.origin[0], group.origin[1], 0, 0], group.scale, frame));

  let y = top + faceHeight + 8;
  const insetRow = (insets: readonly Inset[], eyes: Eyes, x0: number, each: number): void => {
    insets.forEach((inset, i) => {
      const x = x0 + i * (each + 6);
      ops.push(
        faceGroup(
          chart,
          small(eyes === 'open' ? open : closed),
          insetBox(inset, landmarks),
          [x, y, each, insetHeight],
          eyes,
          options.colour,
        ),
      );
      text(
        x,
        y + insetHeight + 8,
        7,
        false,
        `${INSET_WORDS[inset]}${eyes === 'closed' ? msg`, closed` : ''}`,
        SOFT,
      );
    });
  };
  if (phone) {
    insetRow(INSETS, 'open', margin, (faceWidth - 12) / 3);
    y += insetHeight + 16;
  } else {
    insetRow(['right eye', 'left eye'], 'open', margin, (faceWidth - 6) / 2);
    y += insetHeight + 14;
    insetRow(['right eye', 'left eye'], 'closed', margin, (faceWidth - 6) / 2);
    y += insetHeight + 14;
    insetRow(['lips'], 'open', margin, (faceWidth - 6) / 2);
    ops.push(...legendOps(kinds, margin + (faceWidth - 6) / 2 + 12, y, foot - y, options));
  }
  part('Figure', { alt: faceInWords(client.name, steps, open) });
  let height: number = paperHeight;
  if (phone) {
    const laid = stepsAt(PHONE_LETTERS, 'whole', lines, { x: margin, y, width: width - 2 * margin }, options);
    parts.push(...laid.ops);
    height = Math.max(paperHeight, Math.ceil(y + laid.height + margin));
  } else {
    const x = margin + faceWidth + 18;
    parts.push(
      ...stepsFitted(
        lines,
        { x, y: top, width: width - margin - x, height: height - top - margin - 12 },
        options,
      ),
    );
  }
  if (!phone) {
    text(
      margin,
      height - margin + 8,
      7,
      false,
      msg`Left and right are the client’s own. Colours on paper are a guide: judge on the skin.`,
      SOFT,
    );
    part('Note');
  }
  const ground: SheetOp = { op: 'path', d: `M0 0H${width}V${height}H0Z`, fill: '#ffffff', opacity: 1 };
  return {
    title: msg`${client.name}, ${look.name}, version ${chart.version}`,
    width,
    height,
    ops: [ground, ...parts],
  };
}
