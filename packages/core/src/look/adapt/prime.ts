import { dryPatches, GUIDES_OF_SKIN, isAtEyesOrLips } from '../../face';
import type { Finish } from '../../kit';
import { listed } from '../../listed';
import { msg, term } from '../../messages';
import type { LookStep } from '../document';
import { primesSkin } from '../ofSkin';
import { both, firstMade, noted, placesAt, rounded, textured, type Adapter, type AdaptTo } from './adapter';

/** Whether a step cares for the skin of the face: a balm for lips is none. */
const moistens = (step: LookStep): boolean =>
  step.phase === 'clean' && step.wants.kinds.includes('prep') && !isAtEyesOrLips(step);

const MATTIFIES: readonly Finish[] = ['matte'];
const HYDRATES: readonly Finish[] = ['dewy', 'natural'];
const isMeant = ({ wants }: Pick<LookStep, 'wants'>, finishes: readonly Finish[]): boolean =>
  wants.finishes?.some((finish) => finishes.includes(finish)) === true;
/** Of several primers of the skin the one that finishes so, else the first; one alone is made so. */
function isPrimerFor(step: LookStep, { steps }: AdaptTo['look'], finishes: readonly Finish[]): boolean {
  const primers = steps.filter(primesSkin);
  const meant = firstMade(primers.filter((primer) => isMeant(primer, finishes))) ?? firstMade(primers);
  return meant === undefined || primers.length < 2 || meant.id === step.id;
}

/** What oily, dry and textured skin ask of primer and moisture. */
export const PRIME_ADAPTERS: readonly Adapter[] = [
  {
    id: 'primer where oily',
    change: (step, { features, look }) => {
      const oily = features.oily.filter((zone) => zone !== 'lids');
      if (!primesSkin(step) || oily.length === 0 || !isPrimerFor(step, look, MATTIFIES)) return null;
      return {
        words: msg`Primer on ${listed(oily.map((one) => term(one)))}`,
        why: msg`oily there; a mattifier goes there and only there`,
        set: {
          placements: placesAt(oily.flatMap((zone) => GUIDES_OF_SKIN[zone])),
          wants: { ...step.wants, finishes: [...MATTIFIES] },
        },
      };
    },
  },
  {
    id: 'primer on dry skin',
    change: (step, { features, look }) =>
      primesSkin(step) && features.dry && features.oily.length === 0 && isPrimerFor(step, look, HYDRATES)
        ? {
            words: msg`A hydrating primer, all over`,
            why: msg`dry skin`,
            set: {
              placements: [both('zone.wholeFace')],
              wants: { ...step.wants, finishes: [...HYDRATES] },
            },
          }
        : null,
  },
  {
    id: 'primer on dry patches',
    change: (step, { features, look }) => {
      const dry = dryPatches(features);
      if (
        !primesSkin(step) ||
        dry.length === 0 ||
        features.oily.length > 0 ||
        !isPrimerFor(step, look, HYDRATES)
      )
        return null;
      return {
        words: msg`A hydrating primer on ${listed(dry.map((one) => term(one)))}`,
        why: msg`dry there`,
        set: {
          placements: placesAt(dry.flatMap((zone) => GUIDES_OF_SKIN[zone])),
          wants: { ...step.wants, finishes: [...HYDRATES] },
        },
      };
    },
  },
  {
    id: 'no mattifier on dry skin',
    change: (step, { features, look }) =>
      primesSkin(step) &&
      features.dry &&
      features.oily.length === 0 &&
      isMeant(step, MATTIFIES) &&
      !isPrimerFor(step, look, HYDRATES)
        ? {
            words: msg`${step.title} left out`,
            why: msg`dry skin; a mattifier dries it further, and another primer is there`,
            leftOut: true,
          }
        : null,
  },
  {
    id: 'primer over texture',
    change: (step, { features, look }) =>
      primesSkin(step) &&
      isPrimerFor(step, look, MATTIFIES) &&
      textured(features) &&
      features.oily.length === 0 &&
      !features.dry &&
      dryPatches(features).length === 0
        ? {
            words: msg`A smoothing primer over cheeks and nose`,
            why: msg`pores and texture`,
            set: {
              placements: placesAt(['zone.apple', 'zone.noseSide']),
              wants: { ...step.wants, finishes: ['natural', 'matte'] },
            },
          }
        : null,
  },
  {
    id: 'moisture on dry skin',
    change: (step, { features }) =>
      moistens(step) && features.dry
        ? {
            words: msg`More moisture, and longer to sink in`,
            why: msg`dry skin`,
            set: { waitMinutes: step.waitMinutes + 2, doseMgPerCm2: rounded(1.2 * step.doseMgPerCm2) },
          }
        : null,
  },
  {
    id: 'moisture on dry patches',
    change: (step, { features }) => {
      const dry = dryPatches(features);
      if (!moistens(step) || dry.length === 0) return null;
      return {
        words: msg`Twice on ${listed(dry.map((one) => term(one)))}, and longer to sink in`,
        why: msg`dry there`,
        set: {
          waitMinutes: step.waitMinutes + 2,
          note: noted(step, msg`Twice on ${listed(dry.map((one) => term(one)))}.`),
        },
      };
    },
  },
];
