import type { Kit } from '../../kit';
import type { ClientSnapshot, Look, Occasion } from '../document';
import { fitLook, type FittedLook, type Stamp } from '../fitLook';
import { proposeProducts } from '../propose';
import { inSchoolsOf } from './withSchool';
import type { SchoolAnswers } from './questions';

/**
 * Fits a look to a client and does it the studio's way where the studio has one; what that changes stands among the notes, and a step that
 * loses its product by it gets the kit's best for what it now wants. Throws as `fitLook` does.
 */
export function fitInStudio(look: Look, client: ClientSnapshot, kit: Kit, occasion: Occasion, stamp: Stamp, studio: Partial<SchoolAnswers>): FittedLook {
  const fitted = fitLook(look, client, kit, occasion, stamp);
  const { chart, says } = inSchoolsOf(fitted.chart, studio);
  const context = { client, kit, date: occasion.date, forbids: look.forbids };
  const before = new Map(fitted.chart.steps.map((s) => [s.id, s]));
  const steps = chart.steps.map((step) =>
    step.use.length === 0 && (before.get(step.id)?.use.length ?? 0) > 0 ? { ...step, use: [...(proposeProducts(step, context)[0]?.use ?? [])] } : step,
  );
  return { ...fitted, chart: { ...chart, steps }, notes: [...fitted.notes, ...says.map((words) => `The studio’s way: ${words}`)] };
}
