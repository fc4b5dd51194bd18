import type { Kit } from '../kit';
import { setAside } from '../shade';
import { forbidsOf, type Chart } from './document';
import type { FitContext } from './propose';

/**
 * What a chart's products are judged against: its client, its day, what its look forbids, its school. The
 * same for every screen.
 */
export function contextOf(
  chart: Pick<Chart, 'client' | 'occasion' | 'forbids' | 'schools'>,
  kit: Kit,
): FitContext {
  return {
    client: chart.client,
    kit: { ...kit, products: setAside(kit.products).sound },
    date: chart.occasion.date,
    occasion: chart.occasion,
    forbids: forbidsOf(chart),
    contrast: chart.schools.contrast,
  };
}
