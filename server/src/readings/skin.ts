import { SKIN_ZONES, summariseReadings, type Lab, type Skin, type SkinZone } from '@toile/core';
import type { ReadingAnswer } from '@toile/contract';
import type { Selectable } from 'kysely';
import type { Database } from '../db/schema';

/** The mean colour of each zone read, outliers left out. */
export function skinOf(zones: { readonly [zone in SkinZone]?: readonly Lab[] }): Skin {
  return Object.fromEntries(
    SKIN_ZONES.flatMap((zone) => {
      const summary = summariseReadings(zones[zone] ?? []);
      return summary ? [[zone, summary.lab]] : [];
    }),
  );
}

export function readingAnswer(row: Selectable<Database['readings']>): ReadingAnswer {
  return {
    id: row.id,
    at: row.at.toISOString(),
    by: row.by_name,
    source: row.source,
    zones: row.zones,
    skin: skinOf(row.zones),
    extras: row.extras,
  };
}
