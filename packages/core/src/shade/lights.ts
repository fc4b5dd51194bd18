import { deltaE2000, labUnder, type Illuminant, type Spectrum } from '../colour';

/** Lights a match is looked at in, as people call them. */
export const LIGHTS = ['daylight', 'indoor', 'led', 'flash'] as const;
export type LightName = (typeof LIGHTS)[number];

/** The illuminant behind each name: daylight D65, lamps A, about 4100 K LED, flash D55. */
export const ILLUMINANT_OF: Readonly<Record<LightName, Illuminant>> = {
  daylight: 'D65',
  indoor: 'A',
  led: 'LED',
  flash: 'D55',
};

/**
 * How far two surfaces are apart under each light. Only daylight is sure: one colour reading holds nothing
 * about the others.
 */
export function differenceUnder(one: Spectrum, other: Spectrum): Readonly<Record<LightName, number>> {
  const under = (light: LightName): number =>
    deltaE2000(labUnder(one, ILLUMINANT_OF[light]), labUnder(other, ILLUMINANT_OF[light]));
  return { daylight: under('daylight'), indoor: under('indoor'), led: under('led'), flash: under('flash') };
}
