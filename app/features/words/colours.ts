import { depthInWords, depthOf, msg, skinTarget, term, undertoneOf, type Lab, type Skin } from '@toile/core';

/** 'light medium, warm': depth and undertone, the undertone from the neck where it was read. */
export function skinInWords(skin: Skin): string | null {
  const target = skinTarget(skin);
  if (!target) return null;
  const { undertone, confidence } = undertoneOf(skin.neck ?? target);
  return msg`${depthInWords(depthOf(target))} (depth ${depthOf(target).toFixed(1)}), ${confidence === 'sure' ? term(undertone) : msg`${term(undertone)}, near the border`}`;
}

/** 'L* 62.1  a* 11.8  b* 18.0' */
export const labInWords = (lab: Lab): string =>
  `L* ${lab[0].toFixed(1)}  a* ${lab[1].toFixed(1)}  b* ${lab[2].toFixed(1)}`;

/** '0.8 steps deeper', or that it has not moved. */
export function stepsInWords(steps: number): string {
  if (Math.abs(steps) < 0.15) return msg`no visible change in depth`;
  return msg`${Math.abs(steps).toFixed(1)} steps ${steps > 0 ? msg`deeper` : msg`lighter`}`;
}
