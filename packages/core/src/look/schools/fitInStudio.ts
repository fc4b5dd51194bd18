import type { Kit } from '../../kit';
import type { ClientSnapshot, Look, Occasion } from '../document';
import { fitLook, type FittedLook, type Stamp } from '../fitLook';
import { proposeProducts } from '../propose';
import { inSchoolsOf } from './withSchool';
import type { SchoolAnswers } from './questions';

/**
 * Fits a look to a client and does it the studio's way where the studio has one; what that changes stands among the notes, and a step that
 * loses its product by it, or asks for another shade, gets the kit's best for what it now wants. Throws as `fitLook` does.
 */
export function fitInStudio(look: Look, client: ClientSnapshot, kit: Kit, occasion: Occasion, stamp: Stamp, studio: Partial<SchoolAnswers>): FittedLook {
  const fitted = fitLook(look, client, kit, occasion, stamp);
  const { chart, says } = inSchoolsOf(fitted.chart, studio);
  const context = { client, kit, date: occasion.date, forbids: look.forbids };
  const before = new Map(fitted.chart.steps.map((s) => [s.id, s]));
  const proposals = { ...fitted.proposals };
  const steps = chart.steps.map((step) => {
    const was = before.get(step.id);
    if (!was || was.use.length === 0 || (step.use.length > 0 && step.shade === was.shade)) return step;
    const ranked = proposeProducts(step, context);
    proposals[step.id] = ranked;
    return { ...step, use: [...(ranked[0]?.use ?? [])] };
  });
  return { chart: { ...chart, steps }, proposals, notes: [...fitted.notes, ...says.map((words) => `The studio’s way: ${words}`)] };
}
