import {
  clamp,
  msg,
  plural,
  readSpot,
  SKIN_ZONE_NAMES,
  SKIN_ZONES,
  summariseReadings,
  term,
  type CgatsReading,
  type CgatsSample,
  type CgatsTable,
  type Lab,
  type SampleSummary,
  type SkinZone,
  type SpotReading,
} from '@toile/core';
import type { ExtraReading } from '@toile/contract';

export type Samples = { readonly [zone in SkinZone]?: readonly Lab[] };
/** A reading being taken: the seven zones, and places added to them. */
export type Session = {
  readonly zones: Samples;
  readonly extras: readonly ExtraReading[];
  readonly certainty: Certainty;
};

/** How sure a mean has to be, in CIELAB units: the usual is under what an eye sees side by side. */
export const CERTAINTIES = { usual: 0.5, strict: 0.35 } as const;
export type Certainty = keyof typeof CERTAINTIES;
/** What the reader is held to: a zone, or an added place by its number. */
export type Held = SkinZone | number;

export const EMPTY_SESSION: Session = { zones: {}, extras: [], certainty: 'usual' };

/** The mean of some samples, judged by the certainty wanted. */
export const summaryIn = (
  { certainty }: Pick<Session, 'certainty'>,
  samples: readonly Lab[],
): SampleSummary | null => summariseReadings(samples, { wanted: CERTAINTIES[certainty] });

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
  if (!summary) return msg`Touch the zone with the reader five times, lifting it in between.`;
  if (summary.moreNeeded === 0) return msg`Enough. The mean is steady.`;
  return plural(summary.moreNeeded)`One more sample.|${summary.moreNeeded} more samples.`;
}

/** How sure a mean is, in words. */
export function sureness(summary: SampleSummary): string {
  if (summary.moreNeeded > 0) return msg`not yet sure`;
  return summary.uncertainty < 0.3
    ? msg`very sure`
    : summary.uncertainty < 0.5
      ? msg`sure`
      : msg`as sure as this skin allows`;
}

/** The zone to read next: the first not yet steady. */
export function nextZone(session: Session): SkinZone | null {
  return (
    SKIN_ZONES.find((zone) => (summaryIn(session, session.zones[zone] ?? [])?.moreNeeded ?? 1) > 0) ?? null
  );
}

/** Zones with anything in them, as a reading is kept. */
export function keptZones(samples: Samples): Samples {
  return Object.fromEntries(Object.entries(samples).filter(([, list]) => list.length > 0));
}

export const samplesOf = (session: Session, held: Held): readonly Lab[] =>
  (typeof held === 'number' ? session.extras[held]?.samples : session.zones[held]) ?? [];

/** The session with other samples where the reader is held. */
export function withSamples(session: Session, held: Held, samples: readonly Lab[]): Session {
  if (typeof held !== 'number') return { ...session, zones: { ...session.zones, [held]: samples } };
  return {
    ...session,
    extras: session.extras.map((extra, i) => (i === held ? { ...extra, samples } : extra)),
  };
}

export const heldName = (session: Session, held: Held): string =>
  typeof held === 'number' ? (session.extras[held]?.name ?? '') : SKIN_ZONE_NAMES[held];

/** How an added place differs from the skin round it; null until both are read. */
export function spotIn(session: Session, extra: ExtraReading): SpotReading | null {
  const [spot, skin] = [
    summariseReadings(extra.samples),
    summariseReadings(session.zones[extra.beside] ?? []),
  ];
  return spot && skin ? readSpot(skin.lab, spot.lab) : null;
}

/** Samples of a file put to their zones; those of no known zone go where the reader is held. */
export function withFile(
  session: Session,
  samples: readonly CgatsSample[],
  held: Held,
): { readonly session: Session; readonly words: string } {
  let next = session;
  const counts = new Map<string, number>();
  for (const { zone, lab } of samples) {
    const to = zone ?? held;
    next = withSamples(next, to, [...samplesOf(next, to), lab]);
    const name = heldName(session, to);
    counts.set(name, (counts.get(name) ?? 0) + 1);
  }
  const words = msg`${samples.length} samples taken in: ${[...counts].map(([name, n]) => `${name.toLowerCase()} ${n}`).join(', ')}.`;
  return { session: next, words };
}

/** The added place's mark on the face: beside its zone's, further along for each one more. */
export function extraSpot(extra: ExtraReading, index: number): readonly [number, number] {
  const [x, y] = ZONE_SPOTS[extra.beside];
  return [clamp(x === 0 ? 30 + 12 * index : -x - 12 * index, -80, 80), y + 8];
}

/**
 * What was assumed and computed where a file was not measured in daylight for the usual observer, and what
 * was left out.
 */
export function howMeasured({ tables, leftOut }: Extract<CgatsReading, { readonly ok: true }>): string[] {
  const told = new Set(tables.flatMap((table) => broughtToDaylight(table) ?? []));
  const [first] = leftOut;
  return [
    ...told,
    ...(first
      ? [
          leftOut.length === 1
            ? msg`A table without colours was left out (line ${first.line}).`
            : msg`${leftOut.length} tables without colours were left out (the first at line ${first.line}).`,
        ]
      : []),
  ];
}

function broughtToDaylight({ from, illuminant, observer, stated }: CgatsTable): string | null {
  // A spectrum is the surface's own: it was not measured under a light nor for anybody.
  if (from === 'spectra' || (illuminant === 'D65' && observer === 2)) return null;
  const eyes = observer === 10 ? msg` for the observer of ten degrees` : '';
  return stated
    ? msg`Measured under ${term(illuminant)}${eyes} and brought to daylight.`
    : msg`The file names no light: taken as ${term(illuminant)}${eyes}, as is usual, and brought to daylight.`;
}
