import { SKIN_ZONES, type Lab, type SkinZone } from '../../colour';
import { zoneInFiles } from './zoneInFiles';

/**
 * Samples by zone as CGATS.17 text under D65 for the observer of two degrees, both declared, one line a
 * sample.
 */
export function writeCgats(
  zones: { readonly [zone in SkinZone]?: readonly Lab[] },
  about: { readonly at: string },
): string {
  const samples = SKIN_ZONES.flatMap((zone) => (zones[zone] ?? []).map((lab) => ({ zone, lab })));
  return [
    'CGATS.17',
    'ORIGINATOR "Toile"',
    `CREATED "${about.at}"`,
    'WEIGHTING_FUNCTION "ILLUMINANT, D65"',
    'WEIGHTING_FUNCTION "OBSERVER, 2 degree"',
    'NUMBER_OF_FIELDS 5',
    'BEGIN_DATA_FORMAT',
    'SAMPLE_ID SAMPLE_NAME LAB_L LAB_A LAB_B',
    'END_DATA_FORMAT',
    `NUMBER_OF_SETS ${samples.length}`,
    'BEGIN_DATA',
    ...samples.map(
      ({ zone, lab }, i) => `${i + 1} "${zoneInFiles(zone)}" ${lab.map((v) => v.toFixed(3)).join(' ')}`,
    ),
    'END_DATA',
    '',
  ].join('\n');
}
