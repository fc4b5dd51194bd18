import { sidesWhere } from '../face';
import { SCHOOLS, type Chart, type Look, type Step } from './document';
import { inOrder } from './fitLook';

export type School = keyof typeof SCHOOLS;
export type SchoolAnswers = Look['schools'];

/** What each question can be answered with. */
export const SCHOOL_ANSWERS: { readonly [S in School]: readonly SchoolAnswers[S][] } = SCHOOLS;

/** What each question asks, as it is said. */
export const SCHOOL_QUESTIONS: Readonly<Record<School, string>> = {
  eyesOrFace: 'Eyes or face first',
  contour: 'Contour',
  concealer: 'Concealer',
  contrast: 'Contrast',
};

/** A chart done the way of another school: its steps in that order, and what else changes, in sentences. Answers the school allows only. */
export function withSchool<S extends School>(chart: Chart, school: S, answer: SchoolAnswers[S]): { readonly chart: Chart; readonly says: readonly string[] } {
  if (chart.schools[school] === answer) return { chart, says: [] };
  const schools = { ...chart.schools, [school]: answer };
  const { steps, says } = kept({ ...chart, schools }, school);
  return { chart: { ...chart, schools, steps: inOrder(steps, { schools }) }, says };
}

/** What a school leaves out or eases, before the order is made. */
function kept(chart: Chart, school: School): { readonly steps: readonly Step[]; readonly says: readonly string[] } {
  const { schools, steps } = chart;
  const says: string[] = [];
  if (school === 'contour' && (schools.contour === 'none' || schools.contour === 'bronzer only')) {
    const out = steps.filter((s) => s.role === 'contour');
    const left = steps.filter((s) => s.role !== 'contour');
    if (out.length === 0 || left.length === 0) return { steps, says };
    says.push(`${out.map((s) => s.title).join(', ')} taken out.`);
    if (schools.contour === 'bronzer only' && !left.some((s) => s.role === 'bronze')) says.push('There is no bronze yet: add a layer of it.');
    return { steps: left, says };
  }
  if (school === 'contour' && schools.contour === 'under base') {
    const base = steps.filter((s) => s.role === 'base' && s.use.some((u) => ['medium', 'full', 'opaque'].includes(u.product.coverage)));
    if (base.length > 0) says.push(`${base[0]!.title} covers what is painted beneath: choose a sheer or light one.`);
    if (!steps.some((s) => s.role === 'contour')) says.push('There is no contour yet: add a layer of it.');
  }
  if (school === 'concealer')
    says.push(schools.concealer === 'under base' ? 'The base covers part of it: count on more concealer.' : 'Less concealer is needed once the base lies.');
  if (school === 'eyesOrFace')
    says.push(
      schools.eyesOrFace === 'eyes first'
        ? 'Fallout is cleaned before the base; brows and lids come before it.'
        : 'Dark or loose shadow may fall on the base: shield it with powder.',
    );
  if (school === 'contrast') {
    const by = schools.contrast === 'bold' ? 1 : -1;
    const sculpted = (s: Step): boolean => s.role === 'contour' || s.role === 'highlight';
    says.push(schools.contrast === 'bold' ? 'Contour a step deeper, light a step lighter.' : 'Contour a step lighter, light a step deeper.');
    return { steps: steps.map((s) => (sculpted(s) ? { ...s, shade: eased(s, by) } : s)), says };
  }
  return { steps, says };
}

/** A sculpting shade a step further from the skin or nearer to it. */
function eased(step: Step, by: 1 | -1): Step['shade'] {
  if (!step.shade || !('relative' in step.shade)) return step.shade;
  const { depthSteps } = step.shade.relative;
  const sign = Math.sign(depthSteps) || (step.role === 'contour' ? 1 : -1);
  return { relative: { ...step.shade.relative, depthSteps: Math.max(-6, Math.min(6, depthSteps + sign * by)) } };
}

export type SchoolAdvice = { readonly school: School; readonly answer: SchoolAnswers[School]; readonly why: string };

/** Where this client's features or this look's products argue for another way, with the reason. */
export function adviseSchools(chart: Chart): SchoolAdvice[] {
  const { features } = chart.client;
  const products = (role: Step['role']) => chart.steps.filter((s) => s.role === role).flatMap((s) => s.use.map((u) => u.product));
  const advice: SchoolAdvice[] = [];
  const falls = products('eye').some((p) => p.texture === 'loose' || (p.lab !== null && p.lab[0] < 35 && (p.texture === 'pressed' || p.finish === 'shimmer')));
  const sparse = sidesWhere(features, ({ brows }) => brows === 'sparse').length > 0;
  const sprayed = chart.steps.some((s) => s.tool === 'airbrush');
  if (chart.schools.eyesOrFace === 'face first') {
    if (sprayed)
      advice.push({
        school: 'eyesOrFace',
        answer: 'eyes first',
        why: 'The base is sprayed: eyes and brows come before it, since nothing may rub it afterwards.',
      });
    else if (falls) advice.push({ school: 'eyesOrFace', answer: 'eyes first', why: 'Dark or loose shadow falls: eyes first keeps the base clean.' });
    else if (sparse) advice.push({ school: 'eyesOrFace', answer: 'eyes first', why: 'Sparse brows want shaping, which is cleaner before the base.' });
  } else if (!falls && !sprayed && !sparse) {
    advice.push({ school: 'eyesOrFace', answer: 'face first', why: 'Soft eyes and clean brows: the face first shows how much eye it wants.' });
  }
  if (chart.schools.concealer === 'over base' && sprayed)
    advice.push({ school: 'concealer', answer: 'under base', why: 'Under a sprayed base concealer keeps it untouched.' });
  if (
    chart.schools.concealer === 'under base' &&
    !sprayed &&
    (features.age === 'mature' || sidesWhere(features, ({ lines }) => lines.includes('under eye')).length > 0)
  )
    advice.push({ school: 'concealer', answer: 'over base', why: 'On lined skin less is better: over the base less concealer is needed.' });
  if (chart.schools.contour === 'under base' && products('base').some((p) => p.coverage === 'full' || p.coverage === 'opaque'))
    advice.push({ school: 'contour', answer: 'over base', why: 'A base this full hides what is painted beneath it.' });
  if (chart.schools.contrast === 'bold' && features.age === 'mature')
    advice.push({ school: 'contrast', answer: 'soft', why: 'Strong contrast ages mature skin.' });
  return advice;
}
