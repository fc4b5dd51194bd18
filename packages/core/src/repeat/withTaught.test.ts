import { asWorn, type ChairEvent } from '../chair';
import { FAULTS } from '../faults';
import { fitLook, type Chart, type Deviation, type Step } from '../look';
import { client, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { refitChart, withTaught } from '.';

const first: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const [base, other] = first.steps as [Step, Step, ...Step[]];
const said = (deviation: Deviation, step = base): ChairEvent => ({
  kind: 'deviation',
  stepId: step.id,
  at: STAMP.at,
  by: 'Ada',
  deviation,
});
const worn = (...deviations: readonly Deviation[]) =>
  asWorn(
    first,
    deviations.map((one) => said(one)),
  );
const edited = (more: Partial<Step>): Chart => ({
  ...first,
  version: 2,
  parent: 1,
  steps: first.steps.map((step) => (step === base ? { ...step, ...more } : step)),
});
const toldOf = (chart: Chart) => chart.steps.find(({ id }) => id === base.id)?.done?.deviations ?? [];
const WISH: Deviation = { kind: 'next time', nextTime: 'deeper', note: '' };
const NOTE: Deviation = { kind: 'note', note: 'Held through dinner.' };

test('a version that was only edited elsewhere is repeated with what was told of the one that was worn', () => {
  const taught = withTaught(edited({ title: 'Skin' }), worn(WISH, NOTE));
  expect(toldOf(taught)).toEqual([WISH, NOTE]);
  const why = (chart: Chart) =>
    refitChart(chart, client(), KIT, { ...OCCASION, date: '2031-11-20' }, { ...STAMP, version: 3 })
      .changes.filter(({ stepId }) => stepId === base.id)
      .map((change) => change.why)
      .join(' ');
  expect(why(taught)).toContain('Chosen for next time: deeper.');
  expect(why(edited({ title: 'Skin' }))).not.toContain('Chosen for next time');
});

test.each<[string, Partial<Step>]>([
  ['another product', { use: [] }],
  ['another amount', { doseMgPerCm2: base.doseMgPerCm2 * 1.5 }],
  ['more layers', { passes: 3 }],
  ['another tool', { tool: 'airbrush' }],
  ['another way', { technique: 'stipple' }],
  ['another place', { placements: [{ guide: 'zone.neck', side: 'both' }] }],
  ['another colour', { shade: { lab: [50, 20, 10] } }],
  ['other wishes', { wants: { kinds: ['base', 'concealer'] } }],
])('a step that has %s since was decided', (_, more) => {
  expect(toldOf(withTaught(edited(more), worn(WISH, NOTE)))).toEqual([]);
});

test('what is called, timed or noted otherwise is the same step; a note in it is not told twice', () => {
  for (const more of [{ title: 'x' }, { handsOnMinutes: 9 }, { waitMinutes: 9 }])
    expect(toldOf(withTaught(edited(more), worn(WISH)))).toEqual([WISH]);
  const noted = edited({ note: `Thin. ${NOTE.note}` });
  expect(toldOf(withTaught(noted, worn(WISH, NOTE)))).toEqual([WISH]);
});

test.each(FAULTS.flatMap(({ id: seen, causes }) => causes.map(({ id: cause }) => [seen, cause] as const)))(
  'what was seen (%s, by %s) and mended by a repeat is not mended again by the next',
  (seen, cause) => {
    const fault: Deviation = { kind: 'fault', fault: { seen, cause }, note: '' };
    const again = (chart: Chart, version: number) =>
      refitChart(chart, client(), KIT, { ...OCCASION, date: '2031-11-20' }, { ...STAMP, version });
    const told = worn(fault);
    const next = again(told, 2).chart;
    // Taken over it is decided; refused, the chart is as it was and it is asked again.
    const mended = next.steps.find(({ id }) => id === base.id);
    const changed = JSON.stringify(mended) !== JSON.stringify(base);
    expect(toldOf(withTaught(next, told))).toEqual(changed ? [] : [fault]);
    expect(toldOf(withTaught(edited({}), told))).toEqual([fault]);
  },
);

test('what is told of this version stands before what was told of an earlier one; what is gone tells nothing', () => {
  const own = asWorn(edited({}), [said(NOTE)]);
  expect(toldOf(withTaught(own, worn(WISH)))).toEqual([NOTE]);
  const without: Chart = { ...first, steps: first.steps.filter((step) => step !== base) };
  expect(withTaught(without, worn(WISH))).toEqual(without);
  expect(withTaught(first, asWorn(first, [said(WISH, other)])).steps[0]).toBe(first.steps[0]);
});
