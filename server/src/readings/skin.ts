import { SKIN_ZONES, summariseReadings, type Lab, type Skin, type SkinZone } from '@toile/core';
import type { ReadingAnswer } from '@toile/contract';
import type { Selectable } from 'kysely';
import type { Database } from '../db/schema';
import { instant } from '../db/together';

/** The mean colour of each zone read, outliers left out. */
export function skinOf(zones: { readonly [zone in SkinZone]?: readonly Lab[] }): Skin {
  return Object.fromEntries(
    SKIN_ZONES.flatMap((zone) => {
      const summary = summariseReadings(zones[zone] ?? []);
      return summary ? [[zone, summary.lab]] : [];
    }),
  );
}

type ReadingRow = Omit<Selectable<Database['readings']>, 'at'> & { readonly at: Date | string };

export function readingAnswer(row: ReadingRow): ReadingAnswer {
  return {
    id: row.id,
    at: instant(row.at),
    by: row.by_name,
    source: row.source,
    zones: row.zones,
    skin: skinOf(row.zones),
    extras: row.extras,
  };
}
