import { messages, msg, plural, term } from '../messages';
import { TRIAL_ZONES, type TrialZone } from './measures';
import { asPrior, guessedCurve, holdChance, wearCurve, type Curve, type Holds } from './wearCurve';
import { countOf, type WearGroup } from './wearGroups';
import { settingWords, type PlaceSetting, type WearSetting } from './wearSetting';

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
/**
 * Wears that what was seen on other skin or other days is worth here: with less, settings that do not matter
 * cost too much; with more, those that do are believed too late (tried on studios made up with both).
 */
const OTHER_SETTING = 4;
/** Under so many looked-at wears it is said to be rough. */
const ROUGH = 10;

/** What stands for each zone of a chart whose day is asked about. */
export type WornNow = {
  readonly worn: Readonly<Partial<Record<TrialZone, string>>>;
  /** Skin and day that are asked about; nobody's in particular where it is left out. */
  readonly setting?: { readonly skin: WearSetting['skin']; readonly climate: WearSetting['climate'] | null };
};

export type ZoneOutlook = {
  readonly zone: TrialZone;
  readonly curve: Curve;
  readonly holds: Holds;
  /** What is asked about, as far as it is known. */ readonly setting: PlaceSetting;
  /**
   * Wears that were looked at: of what stands here on such skin and such days, of this client, of what stands
   * here, of anything here.
   */
  readonly alike: number;
  readonly own: number;
  readonly product: number;
  readonly all: number;
};

/**
 * How likely each zone holds to an hour: what the trade guesses, moved by the studio's wears of the zone,
 * then by those of what stands there, of these by those on such skin, then by those on such days too, then by
 * the client's own where there are any; each narrower group leans on the wider by three wears (four from
 * other skin or days), and its own are left out of the wider. Zones nothing stands on are left out.
 */
export function wearOutlook(wears: readonly WearGroup[], now: WornNow, hours: number): ZoneOutlook[] {
  return TRIAL_ZONES.flatMap((zone): ZoneOutlook[] => {
    const worn = now.worn[zone];
    if (worn === undefined) return [];
    const setting: PlaceSetting = {
      skin: now.setting?.skin[zone] ?? null,
      climate: now.setting?.climate ?? null,
    };
    const here = wears.filter((one) => one.zone === zone);
    const same = here.filter((one) => one.worn === worn);
    const own = same.filter((one) => one.own);
    const studio = wearCurve(
      guessedCurve(MEDIAN_HOURS[zone]),
      here.filter((one) => one.worn !== worn),
    );
    const product = narrowed(
      asPrior(studio),
      same.filter((one) => !one.own),
      [
        ({ skin }) => setting.skin === null || skin === setting.skin,
        ({ climate }) => setting.climate === null || climate === setting.climate,
      ],
    );
    // A client nobody looked at yet is one more on whom it stands: what it does on others speaks, as surely
    // as it is known.
    const curve = own.length === 0 ? product : wearCurve(asPrior(product), own);
    return [
      {
        zone,
        curve,
        holds: holdChance(curve, hours),
        setting,
        alike: countOf(same.filter((one) => isAlike(one, setting))),
        own: countOf(own),
        product: countOf(same),
        all: countOf(here),
      },
    ];
  });
}

/** Whether a wear was on such skin and such a day, as far as these are asked about. */
export const isAlike = (one: PlaceSetting, { skin, climate }: PlaceSetting): boolean =>
  (skin === null || one.skin === skin) && (climate === null || one.climate === climate);

/**
 * A curve from wears that are more and more like what is asked about: those that are not lie in the wider
 * group, on which the narrower leans. Where none is alike the wider group still speaks, no surer than four
 * wears: nobody saw it there.
 */
function narrowed(
  prior: Curve,
  wears: readonly WearGroup[],
  alike: readonly ((one: WearGroup) => boolean)[],
): Curve {
  const [first, ...rest] = alike;
  if (!first) return wearCurve(prior, wears);
  const others = wears.filter((one) => !first(one));
  if (others.length === 0) return narrowed(prior, wears, rest);
  return narrowed(asPrior(wearCurve(prior, others), OTHER_SETTING), wears.filter(first), rest);
}

const ZONE_WORDS: Readonly<Record<TrialZone, string>> = messages({
  forehead: 'forehead',
  nose: 'nose',
  cheek: 'cheeks',
  underEye: 'under the eyes',
  mouth: 'mouth',
  chin: 'chin',
  neck: 'neck',
});
export const trialZoneWords = (zone: TrialZone): string => ZONE_WORDS[zone];

/** Of ten such days, with its band: 'about 5 of 10 such days (3 to 7)'; what it rests on goes with it. */
export function outlookWords({ holds, own, product, all, alike, setting }: ZoneOutlook): string {
  const of10 = (share: number): number => Math.round(10 * share);
  const told = settingWords(setting);
  const such = told === '' || alike === product ? '' : `, ${alike === 0 ? msg`none` : alike} ${told}`;
  const rests =
    product > 0
      ? msg`${plural(product)`${product} wear|${product} wears`} of it looked at${such}${own > 0 ? msg`, ${own} of this client` : ''}`
      : all > 0
        ? msg`nobody looked at it yet; ${plural(all)`${all} wear|${all} wears`} of others there`
        : msg`the trade’s guess: nobody looked yet`;
  const rough = alike < ROUGH ? 'roughly' : 'about';
  return msg`holds on ${term(rough)} ${of10(holds.mean)} of 10 such days (${of10(holds.low)} to ${of10(holds.high)}): ${rests}${holds.beyond ? msg`; longer than anyone looks` : ''}`;
}
