import {
  colourSeries,
  FAR_OFF,
  fitLook,
  reviewChart,
  usualOccasion,
  withColourSeries,
  type Chart,
  type Lab,
  type Occasion,
} from '@toile/core';
import { clientOf, KITS, SKIN_NAMES, STAMP } from './corpus/ground';
import { idFor } from './ids';
import { lookNamed } from './looks';

const WORN: Readonly<Record<string, Lab>> = {
  sage: [68, -10, 13],
  burgundy: [28, 32, 12],
  marigold: [74, 18, 62],
};
const wearing = (name: string): Occasion => ({
  ...usualOccasion('wedding', '2031-05-14'),
  outfit: [{ name, lab: [...WORN[name]!] as [number, number, number] }],
});
const stops = (chart: Chart): string[] =>
  reviewChart(chart, KITS.full)
    .filter((finding) => finding.severity === 'stop')
    .map((finding) => finding.rule);

test.each(SKIN_NAMES)(
  'on %s skin every series has a colour for most, stops nothing, and says how far off it is',
  (skin) => {
    let n = 0;
    const newId = (): string => idFor(`series ${skin} ${n++}`);
    const offs: number[] = [];
    let sought = 0;
    for (const worn of Object.keys(WORN)) {
      const { chart } = fitLook(lookNamed('Lamplight'), clientOf({ skin }), KITS.full, wearing(worn), STAMP);
      const before = stops(chart);
      const all = colourSeries(chart, KITS.full);
      expect(all.map((one) => one.scheme)).toEqual(['near', 'opposite', 'neutral']);
      let kept = chart;
      for (const one of all) {
        for (const step of one.steps) {
          sought++;
          const near = step.off !== null && step.off <= FAR_OFF;
          expect(step.use.length > 0).toBe(step.gap === null && near);
          if (step.off !== null && near) offs.push(step.off);
        }
        kept = withColourSeries(kept, one, newId);
      }
      expect(kept.variants.length - chart.variants.length).toBe(3);
      expect(stops(kept)).toEqual(before);
    }
    // A kit without greens and blues has something for half of it, and near.
    expect(offs.length / sought).toBeGreaterThan(0.45);
    expect([...offs].sort((a, b) => a - b)[Math.floor(offs.length / 2)]).toBeLessThan(10);
  },
);
