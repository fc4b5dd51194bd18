import { dryPatches, GUIDES_OF_SKIN, isDryAt, liesOver } from '../../face';
import { listed } from '../../listed';
import { msg, term } from '../../messages';
import { isLined, isUnderEye } from '../../shade';
import { setsSkin, setsTheFace } from '../ofSkin';
import { both, firstMade, guidesOf, linedUnderEye, noted, placesAt, rounded, type Adapter } from './adapter';

/** What oily, dry and lined skin ask of powder. */
export const POWDER_ADAPTERS: readonly Adapter[] = [
  {
    id: 'set where oily',
    change: (step, { features, look }) => {
      const oily = features.oily.filter((zone) => zone !== 'lids');
      if (oily.length === 0 || !setsTheFace(step)) return null;
      // Of two that set the face one is enough.
      if ((firstMade(look.steps.filter(setsTheFace)) ?? step).id !== step.id) return null;
      const all = oily.includes('cheeks') && oily.length >= 3;
      const more = oily.filter((zone) => !guidesOf(step).some((guide) => liesOver(guide, zone)));
      return {
        words: all
          ? msg`Powder everywhere`
          : more.length > 0
            ? msg`Powder on ${listed(more.map((one) => term(one)))} too`
            : msg`A little more powder on ${listed(oily.map((one) => term(one)))}`,
        why: all ? msg`very oily skin is set everywhere` : msg`oily there`,
        set: {
          placements: all
            ? [both('zone.wholeFace')]
            : [...step.placements, ...placesAt(more.flatMap((zone) => GUIDES_OF_SKIN[zone]))],
          doseMgPerCm2: rounded(Math.min(0.6, step.doseMgPerCm2 * 1.15)),
        },
      };
    },
  },
  {
    id: 'less powder',
    change: (step, { features }) =>
      setsSkin(step) && features.oily.length === 0 && (features.dry || isLined(features))
        ? {
            words: msg`A third less powder`,
            why: features.dry ? msg`dry skin` : msg`lined skin`,
            set: { doseMgPerCm2: rounded(0.7 * step.doseMgPerCm2) },
          }
        : null,
  },
  {
    id: 'little powder on dry patches',
    change: (step, { features }) => {
      // What is set anyway stays set: colour laid on what is wet would be worse than a little powder.
      const dry = dryPatches(features).filter((zone) =>
        guidesOf(step).some((guide) => liesOver(guide, zone)),
      );
      if (step.role !== 'powder' || dry.length === 0) return null;
      const asIs = features.oily.length > 0 || isLined(features);
      return {
        words: msg`As little powder as will hold on ${listed(dry.map((one) => term(one)))}`,
        why: msg`dry there: powder shows on patches`,
        set: {
          note: noted(
            step,
            msg`Last, and with what is left on the brush: ${listed(dry.map((one) => term(one)))}.`,
          ),
          ...(asIs ? {} : { doseMgPerCm2: rounded(0.85 * step.doseMgPerCm2) }),
        },
      };
    },
  },
  {
    id: 'no settled powder on lines',
    change: (step, { features }) =>
      step.role === 'powder' &&
      isUnderEye(step) &&
      (linedUnderEye(features).length > 0 ||
        isDryAt(features, 'under the eyes') ||
        features.age === 'mature') &&
      (step.waitMinutes > 0 || step.doseMgPerCm2 > 0.25)
        ? {
            words: msg`A thin veil, not left to settle`,
            why: msg`lined or dry under the eye`,
            set: { waitMinutes: 0, passes: 1, doseMgPerCm2: Math.min(0.25, step.doseMgPerCm2) },
          }
        : null,
  },
];
