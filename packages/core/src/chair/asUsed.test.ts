import { fitLook, type Chart, type Deviation, type Step } from '../look';
import { client, id, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { asUsed, type RecordedEvent } from '.';

const PUT_ON = '2031-05-14T12:00:00Z';
const fitted: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const [base, second] = fitted.steps as [Step, Step, ...Step[]];
const evening: Step = { ...base, id: id(601), variant: 'evening', instead: base.id, title: 'Evening base' };
const half: Step = { ...base, id: id(602), variant: 'trial-1', instead: base.id, title: 'Half' };
const chart: Chart = {
  ...fitted,
  variants: [
    { id: 'evening', name: 'Evening' },
    { id: 'trial-1', name: 'Half face' },
  ],
  steps: [...fitted.steps, evening, half],
};
const other: Step['use'] = [
  { ...base.use[0]!, product: { ...base.use[0]!.product, id: id(999), line: 'Other' } },
];
let n = 0;
const at = (hours: number): string => new Date(Date.parse(PUT_ON) + hours * 3_600_000).toISOString();
const event = (step: Step, hours: number, kind: 'done' | 'undone' = 'done'): RecordedEvent => ({
  id: id(7000 + n++),
  stepId: step.id,
  at: at(hours),
  by: 'Ada',
  kind,
});
const said = (step: Step, hours: number, deviation: Deviation): RecordedEvent => ({
  id: id(7000 + n++),
  stepId: step.id,
  at: at(hours),
  by: 'Ada',
  kind: 'deviation',
  deviation,
});
const exchanged = (hours: number) => said(base, hours, { kind: 'other product', use: other, note: '' });
const used = (events: readonly RecordedEvent[]) => asUsed(chart, events, PUT_ON);
const lineOf = (one: Chart): string | undefined =>
  one.steps.find(({ id: of }) => of === base.id)?.use[0]?.product.line;

test('nothing told: as planned, without any variant, and nothing is recorded in it', () => {
  const plain = used([]);
  expect(plain.steps).toEqual(fitted.steps);
  expect(used([event(base, -1)]).steps).toEqual(fitted.steps);
});

test('another product that was used stands there, whether it was said before or after the tick', () => {
  expect(lineOf(used([exchanged(-2), event(base, -1)]))).toBe('Other');
  expect(lineOf(used([event(base, -2), exchanged(-1)]))).toBe('Other');
  // Said, and never done: nobody knows that it was.
  expect(lineOf(used([exchanged(-1)]))).toBe('Line');
});

test('what was skipped does not, until it was done after all', () => {
  const skipped = said(base, -2, { kind: 'skipped', note: '' });
  expect(lineOf(used([skipped]))).toBeUndefined();
  expect(used([skipped]).steps).toHaveLength(fitted.steps.length - 1);
  expect(lineOf(used([skipped, event(base, -1)]))).toBe('Line');
});

test('as it was worked in a variant; halves of a trial stand for nothing', () => {
  const late = used([event(evening, -1), event(second, -1)]);
  expect(late.steps.map(({ title }) => title)).toContain('Evening base');
  expect(late.steps.map(({ id: of }) => of)).not.toContain(base.id);
  expect(late.steps.every(({ variant }) => variant === undefined)).toBe(true);
  expect(used([event(half, -1)]).steps).toEqual(fitted.steps);
  expect(used([event(evening, -2), event(half, -1)]).steps.map(({ title }) => title)).toContain(
    'Evening base',
  );
});

test.each([
  [-12, 'Other'],
  [-12.1, 'Line'],
  [12, 'Other'],
  [12.1, 'Line'],
])('told %d hours from when it was put on it is %s', (hours, line) => {
  expect(lineOf(used([exchanged(hours), event(base, hours)]))).toBe(line);
});
