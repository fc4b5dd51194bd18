import type { Kit } from '../../kit';
import { msg } from '../../messages';
import type { StepGap } from '../../shade';
import { adaptationInWords } from '../adapt';
import { boundStep } from '../boundStep';
import type { Adaptation, ClientSnapshot, Look, Occasion } from '../document';
import { fitLook, gapInWords, type FitOptions, type FittedLook, type Stamp } from '../fitLook';
import type { FitContext } from '../propose';
import { TOOL_FOR_TEXTURE } from '../toolInstead';
import { inSchoolsOf } from './withSchool';
import type { SchoolAnswers } from './questions';

/**
 * Fits a look to a client and does it the studio's way where the studio has one; what that changes stands
 * among the notes, and a step that loses its product by it, or asks for another shade, gets the kit's best
 * for what it now wants. Throws as `fitLook` does.
 */
export function fitInStudio(
  look: Look,
  client: ClientSnapshot,
  kit: Kit,
  occasion: Occasion,
  stamp: Stamp,
  studio: Partial<SchoolAnswers>,
  options: FitOptions = {},
): FittedLook {
  const fitted = fitLook(look, client, kit, occasion, stamp, options);
  const { chart, says } = inSchoolsOf(fitted.chart, studio);
  const context: FitContext = {
    client,
    kit,
    date: occasion.date,
    occasion,
    forbids: look.forbids,
    contrast: chart.schools.contrast,
  };
  const before = new Map(fitted.chart.steps.map((s) => [s.id, s]));
  const proposals = { ...fitted.proposals };
  const gaps: Record<string, StepGap> = { ...fitted.gaps };
  const told: string[] = [];
  const tools: Adaptation[] = [];
  const steps = chart.steps.map((step) => {
    const was = before.get(step.id);
    if (!was || was.use.length === 0 || (step.use.length > 0 && step.shade === was.shade)) return step;
    const { use: _use, ...plan } = step;
    const bound = boundStep(plan, context, !options.refused?.includes(TOOL_FOR_TEXTURE));
    proposals[step.id] = bound.ranked;
    delete gaps[step.id];
    if (bound.gap) {
      gaps[step.id] = bound.gap;
      told.push(gapInWords(bound.gap));
    }
    if (bound.tool) {
      tools.push(bound.tool);
      told.push(adaptationInWords(bound.tool, undefined));
    }
    return bound.step;
  });
  const adaptations = [...fitted.adaptations, ...tools];
  return {
    ...fitted,
    chart: { ...chart, steps, ...(adaptations.length > 0 ? { adaptations } : {}) },
    adaptations,
    proposals,
    gaps,
    notes: [...fitted.notes, ...says.map((words) => msg`The studio’s way: ${words}`), ...told],
  };
}
