import {
  flashback,
  FLASHBACK_WARNING,
  flashGradeOf,
  messages,
  msg,
  productName,
  reconstructSpectrum,
  skinTarget,
  type Chart,
  type LightName,
  type Step,
} from '@toile/core';

export const LIGHT_WORDS: Readonly<Record<LightName, string>> = messages({
  daylight: 'daylight',
  indoor: 'lamp',
  led: 'LED',
  flash: 'flash',
});

/**
 * The light a chart is looked at first: the first its day names, daylight where it names none; a candle is a
 * warm lamp.
 */
export function lightOf({ lights: [first = 'daylight'] }: Pick<Chart['occasion'], 'lights'>): LightName {
  return first === 'candle' ? 'indoor' : first;
}

/** How much of the colour camera and distance eat. */
export const CAMERAS = { eye: { eaten: 0 }, near: { eaten: 0.18 }, far: { eaten: 0.35 } } as const;
export type CameraName = keyof typeof CAMERAS;

/**
 * Products that throw a flash back, each with how much lighter they would turn her skin; and all of them
 * together.
 */
export function flashWarnings(chart: Chart, steps: readonly Step[]): string[] {
  const skin = skinTarget(chart.client.skin);
  if (!skin) return [];
  const surface = reconstructSpectrum(skin, 'D65', 'skin').spectrum;
  const layers = steps.flatMap((step) =>
    step.use.flatMap(({ product }) => {
      const grade = flashGradeOf(product);
      return grade === 0
        ? []
        : [{ step, product, grade, doseMgPerCm2: (step.doseMgPerCm2 * step.passes) / step.use.length }];
    }),
  );
  const single = layers.flatMap(({ step, product, ...layer }) => {
    const { deltaL, cast } = flashback(surface, [layer]);
    return cast
      ? [
          msg`${step.title}: ${productName(product)} may throw the flash back, ${deltaL.toFixed(1)} lighter. Swap it, or cover it with a tinted powder.`,
        ]
      : [];
  });
  const together = flashback(surface, layers);
  if (single.length > 0 || !together.cast) return single;
  return [
    msg`Together these layers may throw the flash back, ${together.deltaL.toFixed(1)} lighter; from ${FLASHBACK_WARNING} it shows.`,
  ];
}
