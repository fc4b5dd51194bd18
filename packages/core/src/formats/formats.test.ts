import { canonicalJson, documentHash, readChart, readLook, writeChart, writeLook } from '.';
import { fitLook, type Chart } from '../look';
import { client, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';

const chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const text = writeChart(chart);
const broken = (change: (document: Chart) => void): string => {
  const document: Chart = JSON.parse(text);
  delete document.hash;
  change(document);
  return JSON.stringify(document, null, 2);
};
const problemsOf = (source: string) => {
  const read = readChart(source);
  return read.ok ? [] : read.problems;
};

test('a chart written and read again is the same, sealed', () => {
  const read = readChart(text);
  expect(read.ok && { ...read.document, hash: undefined }).toEqual({ ...chart, hash: undefined });
  expect(read.ok && read.document.hash).toBe(documentHash(chart));
});

test('the canonical text sorts keys, so the hash does not mind their order', () => {
  expect(canonicalJson({ b: [1, { d: 1, c: undefined }], a: 'x' })).toBe('{"a":"x","b":[1,{"d":1}]}');
  expect(documentHash({ a: 1, b: 2, hash: 'x' })).toBe(documentHash({ b: 2, a: 1 }));
  // sha256 of '{}', from any independent tool.
  expect(documentHash({})).toBe('sha256:44136fa355b3678a1146ad16f7e8649e94fb4fc21fe77e8310c060f61caaff8a');
});

test('text that is not JSON is refused at its line and column', () => {
  const [problem] = problemsOf('{\n  "format": "toile.chart/1",\n  "id" "x"\n}');
  expect(problem).toMatchObject({ line: 3, column: 8, path: '' });
  expect(problem!.message).toContain('Not JSON');
  expect(problemsOf('')[0]!.message).toBe('The file is empty.');
});

test('each thing wrong is told with its path, its line and what was expected', () => {
  const source = broken((d) => {
    Object.assign(d, { version: 0 });
    Object.assign(d.steps[0]!, { tool: 'hammer' });
    Object.assign(d.steps[1]!, { colour: 'red' });
    Object.assign(d, { occasion: { ...d.occasion, date: undefined } });
  });
  const problems = problemsOf(source);
  const at = (path: string) => problems.find((p) => p.path === path)!;
  expect(at('/version').message).toContain('found 0');
  expect(at('/steps/0/tool').message).toMatch(/Expected one of damp sponge, dense brush.*found "hammer"/);
  expect(source.split('\n')[at('/steps/0/tool').line - 1]).toContain('hammer');
  expect(at('/steps/1/colour').message).toBe('colour is not known here.');
  expect(at('/occasion/date').message).toBe('date is missing.');
});

test('a placement that fits no form is told by its nearest form', () => {
  const problems = problemsOf(broken((d) => Object.assign(d.steps[1]!.placements[0]!, { side: 'top' })));
  expect(problems.map((p) => p.path)).toEqual(['/steps/1/placements/0/side']);
});

test('ids used twice, strange versions and a seal that does not fit are refused', () => {
  expect(problemsOf(broken((d) => Object.assign(d.steps[1]!, { id: d.steps[0]!.id })))[0]).toMatchObject({
    path: '/steps/1/id',
    message: 'Step 2 has the same id as step 1.',
  });
  expect(problemsOf(broken((d) => Object.assign(d, { version: 3 })))[0]!.path).toBe('/parent');
  expect(problemsOf(text.replace('"Ilse Moor"', '"Else Moor"'))[0]!.path).toBe('/hash');
});

test('another format is refused', () => {
  expect(problemsOf(writeLook(LOOK))[0]!.path).toBe('/format');
});

test('a look written and read again is the same', () => {
  const read = readLook(writeLook(LOOK));
  expect(read.ok && read.document).toEqual(LOOK);
});
