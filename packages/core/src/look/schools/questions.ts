import { messages, msg, term } from '../../messages';
import { SCHOOLS, type Look } from '../document';

export type SchoolAnswers = Look['schools'];
export type School = keyof typeof SCHOOLS;

/** What one question can be answered with. */
export type Answer<S extends School> = (typeof SCHOOLS)[S][number];
export const SCHOOL_ANSWERS: { readonly [S in School]: readonly Answer<S>[] } = SCHOOLS;

/** What each question asks, as it is said. */
export const SCHOOL_QUESTIONS: Readonly<Record<School, string>> = messages({
  eyesOrFace: 'Eyes or face first',
  contour: 'Contour',
  contourTexture: 'Contour in',
  concealer: 'Concealer',
  applicator: 'Base and concealer with',
  powders: 'Two powders',
  settledPowder: 'Thick powder left to settle',
  mist: 'Spray and powder',
  contrast: 'Contrast',
});
export const SCHOOL_NAMES = Object.keys(SCHOOL_QUESTIONS) as readonly School[];

/** A way of doing in a line; questions a look leaves open are not said. */
export function schoolsInWords(schools: SchoolAnswers): string {
  const {
    eyesOrFace,
    contour,
    contourTexture,
    concealer,
    applicator,
    powders,
    settledPowder,
    mist,
    contrast,
  } = schools;
  const contourWords =
    contour === 'none'
      ? msg`no contour`
      : contour === 'bronzer only'
        ? msg`bronzer instead of contour`
        : msg`contour ${term(contour)}`;
  return [
    term(eyesOrFace),
    contourTexture ? `${contourWords}, ${term(contourTexture)}` : contourWords,
    msg`concealer ${term(concealer)}`,
    applicator && term(applicator),
    powders && term(powders),
    settledPowder ? msg`settled powder: ${term(settledPowder)}` : null,
    mist && term(mist),
    msg`${term(contrast)} contrast`,
  ]
    .filter(Boolean)
    .join(' · ');
}
