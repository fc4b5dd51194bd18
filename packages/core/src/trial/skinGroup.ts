import { isDryAt, type DryZone, type Features } from '../face';
import type { TrialZone } from './measures';

/** What clients are told apart by, where something is judged. */
export const SKIN_GROUPS = ['oily', 'dry', 'mixed', 'normal'] as const;
export type SkinGroup = (typeof SKIN_GROUPS)[number];

const OILS: Readonly<Partial<Record<TrialZone, Features['oily'][number]>>> = {
  forehead: 'forehead',
  nose: 'nose',
  chin: 'chin',
  cheek: 'cheeks',
};
const DRIES: Readonly<Partial<Record<TrialZone, DryZone>>> = {
  forehead: 'forehead',
  nose: 'nose',
  chin: 'chin',
  cheek: 'cheeks',
  underEye: 'under the eyes',
  mouth: 'round the mouth',
};

/** How the skin is where it is judged: as far as it was noted. */
export function skinGroupOf(
  features: Pick<Features, 'oily' | 'dry' | 'dryZones'>,
  zones: readonly TrialZone[],
): SkinGroup {
  const shines = zones.some((one) => features.oily.some((where) => where === OILS[one]));
  const dry =
    features.dry ||
    zones.some((one) => {
      const where = DRIES[one];
      return where !== undefined && isDryAt(features, where);
    });
  return shines ? (dry ? 'mixed' : 'oily') : dry ? 'dry' : 'normal';
}
