import fc from 'fast-check';
import { inferLandmarks } from '../face';
import { depthOf } from '../colour';
import { readChart, readLook } from '../formats';
import { wantedColour } from '../shade';
import {
  blankChart,
  blankLook,
  CARE_STEPS,
  fitLook,
  FROM_NOTHING,
  lookFromPattern,
  lookOnPattern,
  movedStep,
  newCareStep,
  newStep,
  PATTERN_SKIN_NAMES,
  patternClient,
  phaseOrder,
  withoutStep,
  withStep,
  withVariant,
} from '.';
import { LAYER_KINDS } from '../face';
import { client, id, KIT, LOOK, OCCASION, STAMP } from './look.testing';

test('a look laid on the pattern face and taken off again is the same look', () => {
  for (const skin of PATTERN_SKIN_NAMES)
    expect(lookFromPattern(lookOnPattern(LOOK, skin), LOOK)).toEqual(LOOK);
});

test('whatever is done to its steps there, what comes back reads as a look file and names no product', () => {
  const act = fc.oneof(
    fc.constantFrom(...LAYER_KINDS).map((kind) => ['add', kind] as const),
    fc.constantFrom(...CARE_STEPS).map((care) => ['care', care] as const),
    fc.nat(20).map((at) => ['move', at] as const),
    fc.nat(20).map((at) => ['take out', at] as const),
    fc.constantFrom('Evening', 'Dance').map((name) => ['vary', name] as const),
  );
  fc.assert(
    fc.property(fc.array(act, { maxLength: 12 }), (acts) => {
      const blank = { ...blankLook(STAMP, id(1)), name: 'Own' };
      let chart = lookOnPattern(blank);
      acts.forEach(([what, with_], n) => {
        const at = (k: number): string => chart.steps[k % chart.steps.length]!.id;
        if (what === 'add') chart = withStep(chart, newStep(with_, id(100 + n)));
        if (what === 'care') chart = withStep(chart, newCareStep(with_, id(100 + n)));
        if (what === 'move') chart = movedStep(chart, at(with_), with_ % 3);
        if (what === 'take out') chart = withoutStep(chart, at(with_));
        if (what === 'vary') chart = withVariant(chart, id(100 + n), with_);
      });
      const look = lookFromPattern(chart, blank);
      const read = readLook(JSON.stringify(look));
      expect(read.ok ? [] : read.problems).toEqual([]);
      expect(JSON.stringify(look)).not.toContain('"use"');
      expect(look.steps).toHaveLength(chart.steps.length);
    }),
    { numRuns: 200 },
  );
});

test('a look put together from nothing is fitted to a face and bound to the kit', () => {
  let chart = lookOnPattern({ ...blankLook(STAMP, id(1)), name: 'Own' });
  chart = withStep(chart, newStep('lip', id(2), [{ guide: 'lips', side: 'both' }]));
  chart = withStep(chart, newStep('base', id(3), [{ guide: 'zone.wholeFace', side: 'both' }]));
  const look = lookFromPattern(chart, { ...blankLook(STAMP, id(1)), name: 'Own' });
  expect(look.steps.map((s) => s.role)).toEqual(['care', 'base', 'lip']);
  const fitted = fitLook(look, client(), KIT, OCCASION, STAMP).chart;
  expect(fitted.steps.find((s) => s.role === 'base')!.use.length).toBeGreaterThan(0);
});

test('each care comes where its phase does, in either order of eyes and face', () => {
  for (const eyesOrFace of ['eyes first', 'face first'] as const) {
    let chart = lookOnPattern({ ...blankLook(STAMP, id(1), { eyesOrFace }), name: 'Own' });
    chart = withStep(chart, newStep('base', id(2)));
    for (const [n, care] of CARE_STEPS.entries()) chart = withStep(chart, newCareStep(care, id(10 + n)));
    const order = phaseOrder(chart.schools);
    const ranks = chart.steps.map((s) => order.indexOf(s.phase));
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
  }
});

test('a blank chart is a chart file of its client and its occasion, in the studio’s ways', () => {
  const chart = blankChart(client(), OCCASION, STAMP, id(1), { contour: 'under base' });
  const read = readChart(JSON.stringify(chart));
  expect(read.ok ? [] : read.problems).toEqual([]);
  expect(chart).toMatchObject({
    look: { name: FROM_NOTHING },
    client: { name: client().name },
    occasion: OCCASION,
    schools: { contour: 'under base', eyesOrFace: 'face first' },
  });
  expect(chart.steps.map((s) => [s.role, s.use])).toEqual([['care', []]]);
});

test('the three skins are apart, in order, and a relative shade follows each', () => {
  const depths = PATTERN_SKIN_NAMES.map((skin) => {
    const who = patternClient(skin);
    const shade = { relative: { to: 'skin' as const, depthSteps: 2 } };
    const [bare, deeper] = [
      wantedColour({ role: 'bronze', shade: { relative: { to: 'skin', depthSteps: 0 } } }, who)!,
      wantedColour({ role: 'bronze', shade }, who)!,
    ];
    expect(depthOf(deeper) - depthOf(bare)).toBeCloseTo(2, 1);
    return depthOf(bare);
  });
  expect(depths[1]! - depths[0]!).toBeGreaterThan(2);
  expect(depths[2]! - depths[1]!).toBeGreaterThan(2);
  expect(inferLandmarks({}).nasion).toEqual(patternClient('medium').landmarks.nasion);
});
