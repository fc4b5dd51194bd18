import { PLAIN_FEATURES, TEMPLATE } from '../face';
import { readChart, writeChart } from '../formats';
import { fitLook, type Chart } from '../look';
import { client, id, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { eventWithoutWords, SOMEBODY, withoutPerson, type RecordedEvent } from '.';

const who = client(undefined, { sensitivities: ['latex'], features: { hairTone: 'red' } });
const made: Chart = fitLook(LOOK, who, KIT, OCCASION, STAMP).chart;
const told = 'Ilse cried, Moor’s sister did not';
/** A chart with the name wherever somebody may have written it. */
const named: Chart = {
  ...made,
  reason: told,
  look: { ...made.look, name: 'For Ilse' },
  variants: [{ id: 'night', name: 'Ilse, at night' }],
  occasion: {
    ...made.occasion,
    place: 'At Moor’s',
    theme: told,
    outfit: [
      { name: 'Ilse’s sash', lab: [40, 30, 10] },
      { name: 'veil', lab: [90, 0, 4] },
    ],
  },
  findings: [{ rule: 'flashback', stepId: null, grade: 'warn', accepted: true, why: told } as never],
  adaptations: [],
  steps: made.steps.map((step, i) => ({
    ...step,
    title: i === 0 ? 'Base of Moor' : step.title,
    note: told,
    ...(i < 2 && {
      done: {
        ticked: i === 0,
        at: '2031-05-14T09:00:00Z',
        by: 'Ada',
        deviations: [{ kind: 'amount' as const, measures: 3, note: told }],
      },
    }),
  })),
};
const bare = withoutPerson(named, id(77));

test('nothing that was written of a person is left in a chart, nor the person', () => {
  expect(JSON.stringify(named)).toMatch(/Ilse|Moor/);
  expect(JSON.stringify(bare)).not.toMatch(/Ilse|Moor|sister|latex/i);
  expect(bare.client).toEqual({
    id: id(77),
    name: SOMEBODY,
    landmarks: TEMPLATE,
    features: PLAIN_FEATURES,
    skin: who.skin,
    readingId: null,
    sensitivities: [],
  });
  expect(bare.reason).toBe('');
  expect(bare.occasion).not.toHaveProperty('place');
  expect(bare.occasion).not.toHaveProperty('theme');
  expect([bare.look.name, bare.variants[0]!.name, bare.steps[0]!.title]).toEqual([
    `For ${SOMEBODY}`,
    `${SOMEBODY}, at night`,
    `Base of ${SOMEBODY}`,
  ]);
  for (const finding of bare.findings) expect(finding.why).toBe('');
  expect(bare).not.toHaveProperty('hash');
  expect(bare).not.toHaveProperty('adaptations');
});

test('what was done stays: products, places, amounts, order, days and the colours worn', () => {
  expect(bare.steps.map((s) => s.id)).toEqual(named.steps.map((s) => s.id));
  bare.steps.forEach((step, i) => {
    const was = named.steps[i]!;
    expect({ ...step, title: '', note: '', done: null }).toEqual({ ...was, title: '', note: '', done: null });
    expect(step.done?.deviations).toEqual(was.done?.deviations.map((d) => ({ ...d, note: '' })));
    expect(step.done?.at).toBe(was.done?.at);
  });
  expect(bare.steps.filter((s) => 'done' in s)).toHaveLength(2);
  expect(bare.occasion).toMatchObject({
    kind: OCCASION.kind,
    date: OCCASION.date,
    outfit: [
      { name: 'colour 1', lab: [40, 30, 10] },
      { name: 'colour 2', lab: [90, 0, 4] },
    ],
  });
  const { outfit: _worn, ...plain } = named.occasion;
  expect(withoutPerson({ ...named, occasion: plain }, id(77)).occasion).not.toHaveProperty('outfit');
});

test('what is left is a chart that can be read, and the chart it was made of is as it was', () => {
  const before = JSON.stringify(made);
  const read = readChart(writeChart(withoutPerson(made, id(77))));
  expect(read.ok).toBe(true);
  expect(JSON.stringify(made)).toBe(before);
});

test('an event keeps what happened and loses what was written of it', () => {
  const common = { id: id(5), stepId: id(101), at: '2031-05-14T09:00:00Z', by: 'Ada' };
  const done: RecordedEvent = { ...common, kind: 'done' };
  const amount: RecordedEvent = {
    ...common,
    kind: 'deviation',
    deviation: { kind: 'amount', measures: 2, note: told },
  };
  expect(eventWithoutWords(done)).toBe(done);
  expect(eventWithoutWords(amount)).toEqual({
    ...common,
    kind: 'deviation',
    deviation: { kind: 'amount', measures: 2, note: '' },
  });
});
