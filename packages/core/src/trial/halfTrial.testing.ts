import type { Side } from '../face';
import { fitLook, type Chart } from '../look';
import { client, id, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { swapProduct, type Swap } from './halves';
import { withHalves } from './withHalves';
import { questionOf } from './question';
import type { Trial, TrialEvent } from './trial';

/** A chart of the test look, with one base in use. */
export const CHART: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
export const BASE = CHART.steps[0]!;
export const ids = (from: number): (() => string) => {
  let n = from;
  return () => id(n++);
};

/** The base replaced by another of another line. */
export function otherBase(more: Partial<(typeof KIT)['products'][number]> = {}): Swap {
  const product = { ...KIT.products[1]!, id: id(14), line: 'Other', ...more };
  const unit = { ...KIT.units[1]!, id: id(514), productId: product.id };
  return swapProduct(CHART, BASE.id, {
    parts: [{ product, unit, pumps: 2 }],
    doseFactor: 1,
  })!;
}

export const AT = '2031-05-14T08:00:00Z';
export const after = (hours: number): string => new Date(Date.parse(AT) + hours * 3_600_000).toISOString();

/** A trial of two bases by shine, A on a side. */
export function trialOf(aSide: Side, more: Partial<Trial> = {}): Trial {
  const swap = otherBase();
  return {
    format: 'toile.trial/1',
    id: id(700),
    clientId: CHART.client.id,
    chartId: CHART.id,
    version: 2,
    variant: 'trial',
    date: '2031-05-14',
    ...questionOf(CHART, swap, 'shine'),
    swap,
    declared: { measure: 'shine', by: 'client', zones: ['nose', 'forehead'], hours: [2, 4, 8], margin: 0.5 },
    skin: 'oily',
    declaredHash: `sha256:${'0'.repeat(64)}`,
    differs: [],
    draw: { seed: 's', chance: 0.5, number: aSide === 'left' ? 0.1 : 0.9, aSide, at: AT, by: 'Ada' },
    ...more,
  };
}

let told = 0;
type Untold<E> = E extends unknown ? Omit<E, 'id' | 'at' | 'by'> & { at?: string; by?: string } : never;
export const event = (one: Untold<TrialEvent>): TrialEvent => ({
  id: id(7000 + told++),
  at: AT,
  by: 'Ada',
  ...one,
});
export const applied = (): TrialEvent => event({ kind: 'applied', appliedAt: AT });
type Looked = Extract<TrialEvent, { kind: 'looked' }>;
/** Shine on both halves of a zone, left then right. */
export const shine = (
  hours: number,
  zone: Looked['seen'][number]['zone'],
  left: number,
  right: number,
): Looked =>
  event({
    kind: 'looked',
    judge: 'client',
    lookedAt: after(hours),
    seen: [
      { zone, side: 'left', measure: 'shine', value: left },
      { zone, side: 'right', measure: 'shine', value: right },
    ],
    touched: [],
    marks: [],
  }) as Looked;

export const halvesOf = (swap: Swap, here: Side = 'left', chart: Chart = CHART): Chart =>
  withHalves(chart, swap, { variant: 'trial', here, newId: ids(3000) });
