import { sidesWhere } from '../../face';
import { msg } from '../../messages';
import { skinTarget } from '../../shade';
import type { Chart, Step } from '../document';
import { falloutOf } from '../fallout';
import { hidesBeneath } from '../ofSkin';
import type { Answer, School } from './questions';

export type SchoolAdvice = { readonly school: School; readonly answer: Answer<School>; readonly why: string };

/** Where this client's features or this look's products argue for another way, with the reason. */
export function adviseSchools(chart: Chart): SchoolAdvice[] {
  const { features } = chart.client;
  const products = (role: Step['role']) =>
    chart.steps.filter((s) => s.role === role).flatMap((s) => s.use.map((u) => u.product));
  const advice: SchoolAdvice[] = [];
  const skin = skinTarget(chart.client.skin);
  const falls = products('eye').some((p) => falloutOf(p, skin) !== null);
  const sparse = sidesWhere(features, ({ brows }) => brows === 'sparse').length > 0;
  const sprayed = chart.steps.some((s) => s.tool === 'airbrush');
  if (chart.schools.eyesOrFace === 'face first') {
    if (sprayed)
      advice.push({
        school: 'eyesOrFace',
        answer: 'eyes first',
        why: msg`The base is sprayed: eyes and brows come before it, since nothing may rub it afterwards.`,
      });
    else if (falls)
      advice.push({
        school: 'eyesOrFace',
        answer: 'eyes first',
        why: msg`Dark or loose shadow falls: eyes first keeps the base clean.`,
      });
    else if (sparse)
      advice.push({
        school: 'eyesOrFace',
        answer: 'eyes first',
        why: msg`Sparse brows want shaping, which is cleaner before the base.`,
      });
  } else if (!falls && !sprayed && !sparse) {
    advice.push({
      school: 'eyesOrFace',
      answer: 'face first',
      why: msg`Soft eyes and clean brows: the face first shows how much eye it wants.`,
    });
  }
  if (chart.schools.concealer === 'over base' && sprayed)
    advice.push({
      school: 'concealer',
      answer: 'under base',
      why: msg`Under a sprayed base concealer keeps it untouched.`,
    });
  if (
    chart.schools.concealer === 'under base' &&
    !sprayed &&
    (features.age === 'mature' || sidesWhere(features, ({ lines }) => lines.includes('under eye')).length > 0)
  )
    advice.push({
      school: 'concealer',
      answer: 'over base',
      why: msg`On lined skin less is better: over the base less concealer is needed.`,
    });
  if (chart.schools.contour === 'under base' && chart.steps.some(hidesBeneath))
    advice.push({
      school: 'contour',
      answer: 'over base',
      why: msg`A base that covers this much hides what is painted beneath it.`,
    });
  if (chart.schools.contrast === 'bold' && features.age === 'mature')
    advice.push({ school: 'contrast', answer: 'soft', why: msg`Strong contrast ages mature skin.` });
  return advice;
}
