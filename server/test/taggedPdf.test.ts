import { inflateSync } from 'node:zlib';
import { chartSheet, lessonFrom, type CallSheet, type Chart } from '@toile/core';
import { lessonCardPdf } from '../src/lessons/card';
import { lessonPdf } from '../src/lessons/pdf';
import { labelsPdf } from '../src/palettes/labelSheet';
import { callSheetPdf } from '../src/print/callSheetPdf';
import { measureText } from '../src/print/fonts';
import { sheetPdf } from '../src/print/sheetPdf';
import { demo } from './testServer';

// A second reader of what is printed: of the file alone, by the rules of PDF 1.7 (14.7, 14.8).
type Read = {
  readonly text: string;
  /** Of each page, what marks it and what is painted outside of any mark. */
  readonly pages: readonly { readonly marks: readonly Mark[]; readonly bare: readonly string[] }[];
  /** Elements in the file: what they are, what is said instead, how many pieces of content each holds. */
  readonly elements: readonly {
    readonly tag: string;
    readonly dictionary: string;
    readonly pieces: number;
  }[];
};
type Mark = { readonly tag: string; readonly mcid: number | null };

const PAINTS = new Set(['f', 'F', 'f*', 'B', 'B*', 'b', 'b*', 'S', 's', 'Tj', 'TJ', "'", '"', 'Do', 'sh']);

/** Operators and their operands, strings and dictionaries passed over as one. */
const TOKENS = /<<[^]*?>>|<[0-9a-fA-F\s]*>|\((?:\\.|[^\\()])*\)|\[|\]|\/[^\s/<>[\]()]+|[^\s/<>[\]()]+/g;

function readContent(content: string): Read['pages'][number] {
  const marks: Mark[] = [];
  const bare: string[] = [];
  const before: string[] = [];
  let depth = 0;
  for (const [token] of content.matchAll(TOKENS)) {
    if (token === 'BDC' || token === 'BMC') {
      const mcid = /\/MCID (\d+)/.exec(before.at(-1) ?? '');
      const tag = token === 'BMC' ? before.at(-1)! : before.at(-2)!;
      marks.push({ tag: tag.slice(1), mcid: mcid ? Number(mcid[1]) : null });
      depth++;
    } else if (token === 'EMC') depth--;
    else if (PAINTS.has(token) && depth === 0) bare.push(token);
    if (depth < 0 || depth > 1) throw new Error(`marks ${depth} deep`);
    before.push(token);
  }
  if (depth !== 0) throw new Error('a mark that does not end');
  return { marks, bare };
}

function readPdf(pdf: Buffer): Read {
  const text = pdf.toString('latin1');
  const objects = new Map(
    [...text.matchAll(/(\d+) 0 obj\n([^]*?)\nendobj/g)].map(([, number, body]) => [Number(number), body!]),
  );
  const streamOf = (number: number): string => {
    const body = objects.get(number)!;
    const start = body.indexOf('stream\n') + 7;
    return inflateSync(Buffer.from(body.slice(start, body.lastIndexOf('\nendstream')), 'latin1')).toString(
      'latin1',
    );
  };
  const pages = [...objects.values()].filter((body) => /\/Type \/Page\b/.test(body));
  const elements = [...objects.values()].flatMap((body) => {
    const tag = /^<<\n\/S \/(\w+)\n/.exec(body);
    if (!tag || !body.includes('/P ')) return [];
    const kids = /\/K \[([^\]]*)\]/.exec(body)?.[1] ?? '';
    const pieces = kids
      .replace(/<<[^]*?>>/g, (one) => (one.includes('/MCID') ? ' 0 ' : ' '))
      .match(/(?:^|\s)\d+(?=\s|$)(?! 0 R)/g);
    return [{ tag: tag[1]!, dictionary: body, pieces: tag[1] === 'Document' ? 0 : (pieces ?? []).length }];
  });
  return {
    text,
    pages: pages.map((body) => readContent(streamOf(Number(/\/Contents (\d+) 0 R/.exec(body)![1])))),
    elements,
  };
}

/** Of a file the parts that say what it is, without its streams. */
const trailing = (text: string): string => text.replace(/stream\n[^]*?endstream/g, '');

const chart: Chart = demo.charts.find(({ steps }) => steps.length > 8)!;
const sheet = (more: Partial<Parameters<typeof chartSheet>[1]> = {}) =>
  sheetPdf(chartSheet(chart, { paper: 'a4', colour: true, measure: measureText, ...more }));
const long: CallSheet = {
  title: 'A long day',
  whom: 'Everyone',
  lead: ['Be there at seven.'],
  parts: [
    {
      title: 'Who, when',
      rows: Array.from({ length: 60 }, (_, i) => ({
        time: '07:30',
        what: `Person ${i} ${'with a good deal to be said of them '.repeat(i % 9)}`,
        detail: i % 2 === 0 ? 'Room 4' : '',
      })),
    },
    { title: 'Nothing', rows: [] },
  ],
  foot: ['Left and right are the client’s own.'],
} as CallSheet;
/** Parts enough for two columns, over pages, each beginning where the last one ended. */
const columns: CallSheet = {
  ...long,
  parts: [0, 1, 2].map((part) => ({
    title: `Part ${part} ${'of a whole day with a title that breaks '.repeat(part)}`,
    rows: long.parts[0]!.rows.slice(0, 25 + part),
  })),
};
const lesson = lessonFrom(chart, { minutes: 20, tools: null });

const DOCUMENTS: readonly (readonly [string, () => Promise<Buffer>])[] = [
  ['a chart', () => sheet({ cautions: true })],
  ['a chart without colour, on a phone', () => sheet({ paper: 'phone', colour: false })],
  ['a call sheet over pages', () => callSheetPdf(long, '14 May 2031', 'a4')],
  ['a call sheet in two columns over pages', () => callSheetPdf(columns, '14 May 2031', 'letter')],
  ['a lesson', () => lessonPdf(lesson, 'letter')],
  ['a card', () => lessonCardPdf(lesson, 'a4')],
  [
    'labels over two pages',
    () =>
      labelsPdf(
        'Case',
        Array.from({ length: 70 }, (_, i) => ({
          called: `A${i}`,
          lines: ['Shade', 'A line with a long name', 'Maker'],
          lab: i % 2 === 0 ? [50, 20, 20] : null,
          opens: 'http://127.0.0.1/kit',
        })),
      ),
  ],
  ['labels of nothing', () => labelsPdf('Empty', [])],
];

describe.each(DOCUMENTS)('%s', (_name, made) => {
  let read: Read;
  beforeAll(async () => {
    read = readPdf(await made());
  });

  test('says that it is tagged, its title and its language', () => {
    expect(trailing(read.text)).toMatch(/\/MarkInfo \d+ 0 R/);
    expect(trailing(read.text)).toMatch(/<<\s*\/Marked true/);
    expect(trailing(read.text)).toMatch(/\/StructTreeRoot \d+ 0 R/);
    expect(trailing(read.text)).toMatch(/\/Lang \(en-GB\)/);
    expect(trailing(read.text)).toMatch(/\/DisplayDocTitle true/);
  });

  test('every mark on a page is a part of the text or an ornament', () => {
    expect(read.pages.length).toBeGreaterThan(0);
    for (const { bare, marks } of read.pages) {
      expect(bare).toEqual([]);
      for (const { tag, mcid } of marks) expect(mcid === null).toBe(tag === 'Artifact');
    }
  });

  test('every part of the text belongs to one element, and every element has its part', () => {
    const parts = read.pages.flatMap(({ marks }) => marks.filter(({ mcid }) => mcid !== null));
    expect(read.elements.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(parts.length);
    for (const { tag, pieces } of read.elements) expect([tag, pieces > 0]).toEqual([tag, tag !== 'Document']);
    for (const { marks } of read.pages) {
      const ids = marks.flatMap(({ mcid }) => mcid ?? []);
      expect(new Set(ids).size).toBe(ids.length);
    }
    for (const { tag, dictionary } of read.elements)
      if (tag === 'Figure') expect(dictionary).toMatch(/\/Alt [(<]/);
  });
});

test('one title, a heading for each part, a paragraph for each row, however many pages they take', async () => {
  const { elements, pages } = readPdf(await callSheetPdf(long, '14 May 2031', 'a4'));
  expect(pages.length).toBeGreaterThan(2);
  const count = (tag: string): number => elements.filter((one) => one.tag === tag).length;
  expect([count('H1'), count('H2'), count('P'), count('Note')]).toEqual([1, 1, 61, 1]);
  // The head said again on further pages is an ornament.
  for (const { marks } of pages.slice(1)) expect(marks[0]!.tag).toBe('Artifact');
});

test('two columns lose no row, and take about half the pages', async () => {
  const rows = columns.parts.reduce((sum, part) => sum + part.rows.length, 0);
  const { elements, pages } = readPdf(await callSheetPdf(columns, '14 May 2031', 'a4'));
  const count = (tag: string): number => elements.filter((one) => one.tag === tag).length;
  expect([count('H1'), count('H2'), count('P')]).toEqual([1, 3, rows + columns.lead.length]);
  const short: CallSheet = {
    ...columns,
    parts: columns.parts.map((part) => ({
      ...part,
      title: 'Hands',
      rows: part.rows.map((row) => ({ ...row, what: 'Guest, make-up' })),
    })),
  };
  const ofPages = async (sheet: CallSheet): Promise<number> =>
    readPdf(await callSheetPdf(sheet, '14 May 2031', 'a4')).pages.length;
  const one = { ...short, parts: [{ title: 'Hands', rows: short.parts.flatMap((part) => part.rows) }] };
  expect(await ofPages(short)).toBeLessThanOrEqual(Math.ceil((await ofPages(one)) / 2) + 1);
  expect(pages.length).toBeGreaterThan(1);
});
