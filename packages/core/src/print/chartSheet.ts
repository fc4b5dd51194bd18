import { toldDay, USUAL_MANNER } from '../calendar';
import { toBeMinded } from '../care';
import { insetBox, INSETS, LAYER_KINDS, type Eyes, type Inset, type LayerKind, type Point } from '../face';
import type { Chart, Step } from '../look';
import { messages, msg, plural, term } from '../messages';
import { faceGroup, faceInWords, numberOps, placedSteps } from './drawnFace';
import { LEGEND_LINE, legendOps } from './legend';
import {
  INK,
  PAPERS,
  SOFT,
  type Paper,
  type Sheet,
  type SheetOp,
  type SheetOptions,
  type SheetSaid,
  type SheetTag,
} from './sheet';
import { wrapped } from './wrapped';
import { stepsAt, stepsFitted, written } from './writtenSteps';

const MARGIN = 34;
/** Letters on a phone, points. */
const PHONE_LETTERS = 11;

/** Kinds that are drawn up close too. */
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

const INSET_WORDS: Readonly<Record<Inset, string>> = messages({
  'right eye': 'client’s right eye',
  'left eye': 'client’s left eye',
  lips: 'lips',
});

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

/** A page that is being filled: inks since the last part, and the parts before. */
type Page = {
  readonly width: number;
  readonly height: number;
  readonly margin: number;
  readonly phone: boolean;
  /** Between its margins. */ readonly room: number;
  readonly ops: SheetOp[];
  readonly parts: SheetOp[];
};

function pageOf(paper: Paper): Page {
  const [width, height] = PAPERS[paper];
  const phone = paper === 'phone';
  const margin = phone ? 16 : MARGIN;
  return { width, height, margin, phone, room: width - 2 * margin, ops: [], parts: [] };
}

const write = (page: Page, at: Point, size: number, bold: boolean, text: string, fill = INK): void =>
  void page.ops.push({ op: 'text', x: at[0], y: at[1], size, bold, fill, text });

/** Closes what was drawn since the last part as one of its own. */
const endPart = (page: Page, tag: SheetTag, said: SheetSaid = {}): void =>
  void page.parts.push({ op: 'part', tag, said, ops: page.ops.splice(0) });

/** Who it is, which look and version, what is minded; gives how far down it comes, points. */
function headed(page: Page, chart: Chart, steps: readonly Step[], options: SheetOptions): number {
  const { margin, phone, room } = page;
  const { client, look, occasion } = chart;
  const minutes = steps.reduce((sum, s) => sum + s.handsOnMinutes, 0);
  const line = (y: number, size: number, bold: boolean, words: string, fill?: string): void =>
    write(page, [margin, y], size, bold, wrapped(words, room, size, bold, options.measure, 1)[0] ?? '', fill);
  line(margin + 10, phone ? 17 : 19, true, client.name);
  endPart(page, 'H1', { actual: client.name });
  line(
    margin + 24,
    9,
    false,
    msg`${look.name} · ${term(occasion.kind)}, ${toldDay(occasion.date, options.days ?? USUAL_MANNER.days, true)} · version ${chart.version} by ${chart.author} · ${plural(steps.length)`one step|${steps.length} steps`}, ${minutes} min at work`,
    SOFT,
  );
  endPart(page, 'P');
  let top = margin + 34;
  const minded = toBeMinded(client.sensitivities).map((one) => term(one));
  if (options.cautions && minded.length > 0) {
    for (const words of mindedLines(minded, room, options.measure)) {
      write(page, [margin, top + 4], 9, true, words);
      top += 12;
    }
    endPart(page, 'P', { actual: msg`Mind: ${minded.join(', ')}` });
    top += 2;
  }
  return top;
}

/** The face with its numbers, eyes and lips up close, on paper the legend; gives how far down it comes. */
function pictured(
  page: Page,
  chart: Chart,
  steps: readonly Step[],
  options: SheetOptions,
  top: number,
  width: number,
): number {
  const { margin, phone } = page;
  const { name, landmarks } = chart.client;
  const open = placedSteps(chart, steps, 'open');
  const closed = placedSteps(chart, steps, 'closed');
  const kinds = LAYER_KINDS.filter((kind) => open.some((p) => p.kind === kind));
  const box = [
    -88,
    landmarks.hairline_c[1] - 26,
    176,
    landmarks.gnathion[1] + 14 - landmarks.hairline_c[1] + 26,
  ] as const;
  const insetHeight = phone ? 58 : 74;
  // On paper all of it stands over the foot: two rows of eyes, then the lips beside the legend.
  const foot = page.height - margin - 4;
  const last = Math.max(insetHeight + 10, kinds.length * LEGEND_LINE.least);
  const height = phone
    ? 300
    : Math.min(340, (width / box[2]) * box[3], foot - top - 8 - 2 * (insetHeight + 14) - last);
  const frame = [margin, top, width, height] as const;
  const face = faceGroup(chart, open, box, frame, 'open', options.colour);
  page.ops.push(face, ...numberOps(open, [face.origin[0], face.origin[1], 0, 0], face.scale, frame));

  let y = top + height + 8;
  const insetRow = (insets: readonly Inset[], eyes: Eyes, each: number): void => {
    const layers = (eyes === 'open' ? open : closed).filter(({ kind }) => INSET_KINDS.includes(kind));
    insets.forEach((inset, i) => {
      const x = margin + i * (each + 6);
      const own = [x, y, each, insetHeight] as const;
      page.ops.push(faceGroup(chart, layers, insetBox(inset, landmarks), own, eyes, options.colour));
      const words = `${INSET_WORDS[inset]}${eyes === 'closed' ? msg`, closed` : ''}`;
      write(page, [x, y + insetHeight + 8], 7, false, words, SOFT);
    });
  };
  if (phone) {
    insetRow(INSETS, 'open', (width - 12) / 3);
    y += insetHeight + 16;
  } else {
    const each = (width - 6) / 2;
    insetRow(['right eye', 'left eye'], 'open', each);
    y += insetHeight + 14;
    insetRow(['right eye', 'left eye'], 'closed', each);
    y += insetHeight + 14;
    insetRow(['lips'], 'open', each);
    page.ops.push(...legendOps(kinds, margin + each + 12, y, foot - y, options));
  }
  endPart(page, 'Figure', { alt: faceInWords(name, steps, open) });
  return y;
}

/**
 * A chart on one page: the client's own face with its layers numbered, eyes open and closed and lips up
 * close, the steps with products, ratios and amounts, and a legend. Steps of variants are left out. In
 * points; nothing of contact or health unless asked for.
 */
export function chartSheet(chart: Chart, options: SheetOptions): Sheet {
  const page = pageOf(options.paper);
  const { width, margin, phone, room, parts } = page;
  const steps = chart.steps.filter((s) => s.variant === undefined);
  const lines = steps.map(written);
  const top = headed(page, chart, steps, options);
  const faceWidth = phone ? room : room * 0.53;
  const y = pictured(page, chart, steps, options, top, faceWidth);
  let { height } = page;
  if (phone) {
    const laid = stepsAt(PHONE_LETTERS, 'whole', lines, { x: margin, y, width: room }, options);
    parts.push(...laid.ops);
    height = Math.max(height, Math.ceil(y + laid.height + margin));
  } else {
    const x = margin + faceWidth + 18;
    const box = { x, y: top, width: width - margin - x, height: height - top - margin - 12 };
    parts.push(...stepsFitted(lines, box, options));
    const words = msg`Left and right are the client’s own. Colours on paper are a guide: judge on the skin.`;
    write(page, [margin, height - margin + 8], 7, false, words, SOFT);
    endPart(page, 'Note');
  }
  const ground: SheetOp = { op: 'path', d: `M0 0H${width}V${height}H0Z`, fill: '#ffffff', opacity: 1 };
  return {
    title: msg`${chart.client.name}, ${chart.look.name}, version ${chart.version}`,
    width,
    height,
    ops: [ground, ...parts],
  };
}
