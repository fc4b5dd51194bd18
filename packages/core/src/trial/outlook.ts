import { TRIAL_ZONES, type TrialZone } from './measures';
import { asPrior, guessedCurve, holdChance, wearCurve, type Curve, type Holds } from './wearCurve';
import { countOf, type WearGroup } from './wearGroups';

/** Hours half of them hold, before anything is known: trade sense. */
const MEDIAN_HOURS: Readonly<Record<TrialZone, number>> = {
  forehead: 9,
  nose: 8,
  cheek: 12,
  underEye: 9,
  mouth: 7,
  chin: 9,
  neck: 12,
};
/** Under so many looked-at wears it is said to be rough. */
const ROUGH = 10;

/** What stands for each zone of a chart whose day is asked about. */
export type WornNow = { readonly worn: Readonly<Partial<Record<TrialZone, string>>> };

export type ZoneOutlook = {
  readonly zone: TrialZone;
  readonly curve: Curve;
  readonly holds: Holds;
  /** Wears that were looked at: of this client, of what stands here on others, of anything here. */
  readonly own: number;
  readonly product: number;
  readonly all: number;
};

/**
 * How likely each zone holds to an hour: what the trade guesses, moved by the studio's wears of the zone, then by those of
 * what stands there, then by the client's own where there are any; each narrower group leans on the wider by three wears, and
 * its own are left out of the wider. Zones nothing stands on are left out.
 */
export function wearOutlook(wears: readonly WearGroup[], now: WornNow, hours: number): ZoneOutlook[] {
  return TRIAL_ZONES.flatMap((zone): ZoneOutlook[] => {
    const worn = now.worn[zone];
    if (worn === undefined) return [];
    const here = wears.filter((one) => one.zone === zone);
    const same = here.filter((one) => one.worn === worn);
    const own = same.filter((one) => one.own);
    const studio = wearCurve(
      guessedCurve(MEDIAN_HOURS[zone]),
      here.filter((one) => one.worn !== worn),
    );
    const product = wearCurve(
      asPrior(studio),
      same.filter((one) => !one.own),
    );
    // A client nobody looked at yet is one more on whom it stands: what it does on others speaks, as surely as it is known.
    const curve = own.length === 0 ? product : wearCurve(asPrior(product), own);
    return [
      {
        zone,
        curve,
        holds: holdChance(curve, hours),
        own: countOf(own),
        product: countOf(same),
        all: countOf(here),
      },
    ];
  });
}

const ZONE_WORDS: Readonly<Record<TrialZone, string>> = {
  forehead: 'forehead',
  nose: 'nose',
  cheek: 'cheeks',
  underEye: 'under the eyes',
  mouth: 'mouth',
  chin: 'chin',
  neck: 'neck',
};
export const trialZoneWords = (zone: TrialZone): string => ZONE_WORDS[zone];

/** Of ten such days, with its band: 'about 5 of 10 such days (3 to 7)'; what it rests on goes with it. */
export function outlookWords({ holds, own, product, all }: ZoneOutlook): string {
  const of10 = (share: number): number => Math.round(10 * share);
  const rests =
    product > 0
      ? `${product} ${product === 1 ? 'wear' : 'wears'} of it looked at${own > 0 ? `, ${own} of this client` : ''}`
      : all > 0
        ? `nobody looked at it yet; ${all} ${all === 1 ? 'wear' : 'wears'} of others there`
        : 'the trade’s guess: nobody looked yet';
  const rough = product < ROUGH ? 'roughly' : 'about';
  return `holds on ${rough} ${of10(holds.mean)} of 10 such days (${of10(holds.low)} to ${of10(holds.high)}): ${rests}${holds.beyond ? '; longer than anyone looks' : ''}`;
}
