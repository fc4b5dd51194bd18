import { fitLook, type Step } from '../look';
import { client, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';

/** A client, and a chart whose steps are only there to be made others of. */
export const WHO = client();
export const CHART = fitLook(LOOK, WHO, KIT, OCCASION, STAMP).chart;
export const WHOLE: Step['placements'] = [{ guide: 'zone.wholeFace', side: 'both' }];

/** A step of four minutes and no wait, without product. */
export const stepLike = (n: number, more: Partial<Step>): Step => ({
  ...CHART.steps[0]!,
  id: `0190a000-0000-7000-8000-${String(n).padStart(12, '0')}`,
  title: `Step ${n}`,
  handsOnMinutes: 4,
  waitMinutes: 0,
  use: [],
  ...more,
});
