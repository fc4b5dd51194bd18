import { SKIN_ZONES, summariseReadings, type Lab, type SampleSummary, type SkinZone } from '@toile/core';

export type Samples = { readonly [zone in SkinZone]?: readonly Lab[] };

/** Where each zone is touched on the canonical face, in mm; sides alternate so that no two targets meet. */
export const ZONE_SPOTS: Readonly<Record<SkinZone, readonly [number, number]>> = {
  forehead: [0, -46],
  cheek: [46, 32],
  underEye: [-31, 15],
  mouthSide: [-40, 62],
  chin: [0, 94],
  neck: [0, 132],
  decollete: [0, 174],
};

/** The box shown while reading, in mm: hairline to collarbones. */
export const READING_BOX = [-92, -84, 184, 280] as const;

/** What to do next in a zone, in words. */
export function adviceFor(summary: SampleSummary | null): string {
  if (!summary) return 'Touch the zone with the reader five times, lifting it in between.';
  if (summary.moreNeeded === 0) return 'Enough. The mean is steady.';
  return summary.moreNeeded === 1 ? 'One more sample.' : `${summary.moreNeeded} more samples.`;
}

/** The zone to read next: the first not yet steady. */
export function nextZone(samples: Samples): SkinZone | null {
  return SKIN_ZONES.find((zone) => (summariseReadings(samples[zone] ?? [])?.moreNeeded ?? 1) > 0) ?? null;
}

/** Zones with anything in them, as a reading is kept. */
export function keptZones(samples: Samples): Samples {
  return Object.fromEntries(Object.entries(samples).filter(([, list]) => list.length > 0));
}
