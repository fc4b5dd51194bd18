import { capital } from '../capital';
import { msg, term } from '../messages';
import { faceModel } from './faceModel';
import { PLAIN_FEATURES, type Features } from './features';
import { GUIDE_PARAMETERS, guideNamed, INITIAL_PARAMS, type GuideParameter } from './guides';
import { halfCutTo } from './halfFace';
import type { Landmarks } from './landmarks';
import { outlineOf, placementArea, type Placement } from './outlineOf';
import { areaOf, intersectRegions } from './region';
import { ZONE_NAMES, zoneOutline, ZONES, type ZoneName } from './zones';

/**
 * A placement in words for any face: "cheek contour, client's left, from the ear towards the mouth corner".
 */
export function describePlacement(placement: Placement): string {
  const half = halfCutTo(placement);
  const side = half
    ? msg`client’s ${term(half)} half`
    : placement.side === 'both'
      ? msg`both sides`
      : msg`client’s ${term(placement.side)}`;
  const wiped = (placement.without?.length ?? 0) > (half ? 1 : 0) ? [msg`partly wiped off`] : [];
  if ('outline' in placement) return [msg`drawn by hand`, side, ...wiped].join(', ');
  const guide = guideNamed(placement.guide);
  const sides = guide.central && !half ? [] : [side];
  return [guide.label.toLowerCase(), ...sides, guide.where, ...wiped].join(', ');
}

/**
 * A placement said aloud for one face, so that it can be repeated without seeing the drawing: where it lies,
 * where it ends, what is adjusted and how much skin it covers.
 */
export function speakPlacement(
  placement: Placement,
  landmarks: Landmarks,
  features: Features = PLAIN_FEATURES,
): string {
  const area = msg`${placementArea(placement, landmarks, features).toFixed(1)} cm²`;
  return `${speakPlace(placement, landmarks, features)}, ${area}`;
}

/** The same without its area: nobody measures that before a mirror. */
export function speakPlace(placement: Placement, landmarks: Landmarks, features: Features): string {
  const facts =
    'outline' in placement
      ? [mostlyOn(placement, landmarks, features)]
      : [endOf(placement, landmarks, features), ...adjusted(placement)];
  return [describePlacement(placement), ...facts.filter((fact) => fact !== null)].join(', ');
}

/** The same without saying twice what it is and over what: 'over the whole face'. */
export function placeInShort(placement: Placement, landmarks: Landmarks, features: Features): string {
  const words = speakPlace(placement, landmarks, features);
  const twice = /^(.+?)((?:, both sides)?), over the \1(.*)$/i.exec(words);
  return twice ? msg`over the ${twice[1]!.toLowerCase()}${twice[2] ?? ''}${twice[3] ?? ''}` : words;
}

/** Places in words for a face, each once; what was drawn by hand is said as that and no more. */
export const placesInShort = (
  placements: readonly Placement[],
  landmarks: Landmarks,
  features: Features,
): readonly string[] => [
  ...new Set(
    placements.map((one) =>
      'guide' in one ? placeInShort(one, landmarks, features) : describePlacement(one),
    ),
  ),
];

/**
 * Places by their names alone, each once, where there is little room: 'Forehead, centre; chin'. Nothing where
 * it lies over the whole face and nowhere else.
 */
export function placeNames(placements: readonly Placement[]): string {
  if (placements.every((one) => 'guide' in one && one.guide === 'zone.wholeFace')) return '';
  return capital(
    [
      ...new Set(
        placements.flatMap((one) => {
          if (!('guide' in one)) return [describePlacement(one)];
          const { label, central } = guideNamed(one.guide);
          const side = central || one.side === 'both' ? [] : [msg`client’s ${term(one.side)}`];
          return [[label.toLowerCase(), ...side].join(', ')];
        }),
      ),
    ].join('; '),
  );
}

/** Places in words for a face as one sentence without its stop; empty where there is none. */
export const placesSentence = (...given: Parameters<typeof placesInShort>): string =>
  capital(placesInShort(...given).join('; '));

/** Where a cheek stroke ends against the pupil line: what a hand can find again. */
function endOf(
  placement: Extract<Placement, { guide: unknown }>,
  landmarks: Landmarks,
  features: Features,
): string | null {
  if (placement.guide !== 'cheekContour' && placement.guide !== 'blushLifted') return null;
  const face = faceModel(landmarks, features);
  const gaps = outlineOf(placement, landmarks, features).map((shape) => {
    const half = face[shape.side === 'right' ? 'right' : 'left'];
    return Math.min(...shape.region.flat().map((p) => half.fromFace(p)[0])) - half.irisRim;
  });
  const mm = Math.round(Math.min(...gaps));
  return mm >= 0 ? msg`ends ${mm} mm before the pupil line` : msg`ends ${-mm} mm past the pupil line`;
}

function adjusted({ guide, params }: Extract<Placement, { guide: unknown }>): string[] {
  return guideNamed(guide).adjustable.flatMap((name): string[] => {
    const value = params?.[name];
    if (value === undefined || value === INITIAL_PARAMS[name]) return [];
    return [parameterInWords(name, value)];
  });
}

/** 'lift 2 mm', 'reach 80 % of the guide'. */
function parameterInWords(name: GuideParameter, value: number): string {
  const { label, unit } = GUIDE_PARAMETERS[name];
  const number = String(Math.round(value * 100) / 100);
  return `${label.toLowerCase()} ${number} ${unit}${unit === '%' && name !== 'start' ? msg` of the guide` : ''}`;
}

const NAMED_ZONES: readonly ZoneName[] = ZONE_NAMES.filter((zone) => zone !== 'wholeFace');

function mostlyOn(placement: Placement, landmarks: Landmarks, features: Features): string | null {
  const zone = zoneMostlyUnder(placement, landmarks, features);
  return zone ? msg`mostly on the ${ZONES[zone].label.toLowerCase()}` : null;
}

/** The zone a drawn shape covers most of; null where it covers none. */
export function zoneMostlyUnder(
  placement: Placement,
  landmarks: Landmarks,
  features: Features,
): ZoneName | null {
  let best: { readonly zone: ZoneName; readonly area: number } | null = null;
  for (const shape of outlineOf(placement, landmarks, features).slice(0, 1)) {
    for (const zone of NAMED_ZONES) {
      const side = shape.side === 'right' ? 'right' : 'left';
      const area = areaOf(intersectRegions(shape.region, [zoneOutline(zone, landmarks, side)]));
      if (area > (best?.area ?? 1)) best = { zone, area };
    }
  }
  return best?.zone ?? null;
}
