import { liesOver, type Placement, type SkinPlace } from '../face';
import type { TrialZone } from './measures';

type SkinZone = Exclude<TrialZone, 'mouth'>;
const PLACES: Readonly<Record<Exclude<SkinZone, 'neck'>, SkinPlace>> = {
  forehead: 'forehead',
  nose: 'nose',
  cheek: 'cheeks',
  underEye: 'under the eyes',
  chin: 'chin',
};

/**
 * Whether a layer lies on a zone of the skin, by its guides. What is placed nowhere, or drawn by hand, may
 * lie anywhere on the face.
 */
export function liesOn(
  { placements }: { readonly placements: readonly Placement[] },
  zone: SkinZone,
): boolean {
  if (placements.length === 0) return true;
  return placements.some((p) =>
    'guide' in p
      ? zone === 'neck'
        ? p.guide === 'zone.neck'
        : liesOver(p.guide, PLACES[zone])
      : zone !== 'neck',
  );
}
