import { meanLab, type Lab } from '../colour';
import { faceColour, type Skin } from './faceApart';

export type TargetWeights = { readonly face: number; readonly neck: number; readonly decollete: number };
/** The base agrees with the whole person: half face, the rest neck and decollete. */
export const DEFAULT_WEIGHTS: TargetWeights = { face: 50, neck: 30, decollete: 20 };

/**
 * The colour a base should have: face, neck and decollete by weight, unread ones left out. `null` before any
 * reading.
 */
export function skinTarget(skin: Skin, weights: TargetWeights = DEFAULT_WEIGHTS): Lab | null {
  const face = faceColour(skin);
  const parts = [
    { lab: face, weight: weights.face },
    { lab: skin.neck ?? null, weight: weights.neck },
    { lab: skin.decollete ?? null, weight: weights.decollete },
  ].filter((part): part is { lab: Lab; weight: number } => part.lab !== null && part.weight > 0);
  return parts.length === 0 ? face : meanLab(parts);
}
