import {
  areaOf,
  centreOf,
  contourFinder,
  EVEN_MM,
  faceModel,
  intersectRegions,
  isInHollow,
  narrowTemples,
  offNarrowTemples,
  offSides,
  sidesWhere,
  symmetryOf,
  withinLimits,
  outlineOf,
  uniteOutlines,
  type Features,
  type GuideName,
  type PlacedShape,
  type Placement,
  type Point,
  type Region,
  type Side,
} from '../../face';
import { SCULPTED, withoutStep, type Chart, type Step } from '../../look';
import { messagesIn, msg, term } from '../../messages';
import { changed, found, isShiny, placeOf, type Reviewed, type Rule } from '../rule';

/** Blush may melt into contour at its edge; more than this share of it on the contour turns muddy. */
const MOST_OVERLAP = 0.25;
/** On some faces light and contour start side by side at the bone; half of it on the contour is too much. */
const MOST_LIGHT_IN_SHADOW = 0.5;
/** A cheek contour more of whose line than this lies nearer the hollow is too low. */
const MOST_IN_HOLLOW = 0.5;
/** A drawn stroke further than this from every guide of its kind is somewhere else, in mm. */
const FAR_FROM_GUIDE_MM = 7;

const whole = (shapes: readonly PlacedShape[]): Region =>
  uniteOutlines(shapes.flatMap((shape) => shape.region));
/**
 * Where to point at a region: the middle of its largest part, of two alike that on the client's left. The
 * middle of all of it lies on the nose where a cheek each is meant.
 */
const middleOf = (region: Region): Point => {
  const parts = region.map((polygon) => {
    const at = centreOf(polygon);
    return { at, weight: areaOf([polygon]) * (at[0] > 0 ? 1.1 : 1) };
  });
  const [first, ...rest] = parts;
  return first ? rest.reduce((most, one) => (one.weight > most.weight ? one : most), first).at : [0, 0];
};

/** How much of one step lies on another, 0 to 1, and where. */
function overlap(on: Reviewed, one: Step, other: Step): { readonly share: number; readonly at: Point } {
  if (!on.touch(one, other)) return { share: 0, at: [0, 0] };
  const region = whole(on.shapes(one));
  const shared = intersectRegions(region, whole(on.shapes(other)));
  return { share: areaOf(shared) / Math.max(1, areaOf(region)), at: middleOf(shared) };
}

const cheekContours = (on: Reviewed): readonly Step[] => on.steps.filter((s) => s.role === 'contour');

/** Skin with lines, as strips in this face's mm. */
function linedPlaces(on: Reviewed): readonly { readonly words: string; readonly region: Region }[] {
  const { landmarks, features } = on.chart.client;
  const zone = (name: 'underEye' | 'foreheadCentre', side: Side | 'both'): Region =>
    outlineOf({ guide: `zone.${name}`, side }, landmarks, features).flatMap((s) => s.region);
  const face = faceModel(landmarks, features);
  const sidesWith = (line: Features['lines'][number]): readonly Side[] =>
    sidesWhere(features, ({ lines }) => lines.includes(line));
  const besideEyes = sidesWith('crow’s feet').map((side) => {
    const half = face[side];
    const [x, y] = half.at('eye_outer');
    return [
      [x + 1, y - 9],
      [x + 15, y - 11],
      [x + 15, y + 8],
      [x + 1, y + 5],
    ].map(([a, b]) => half.toFace([a!, b!]));
  });
  return [
    { words: msg`the lines beside the eyes`, region: besideEyes },
    {
      words: msg`the lines under the eyes`,
      region: sidesWith('under eye').flatMap((side) => zone('underEye', side)),
    },
    // The forehead is one zone: lines on either half are met by light on it.
    {
      words: msg`the lines of the forehead`,
      region: sidesWith('forehead').length > 0 ? zone('foreheadCentre', 'both') : [],
    },
  ].filter(({ region }) => region.length > 0);
}

/** Steps that place a guide on one of some sides. */
const stepsAt = (on: Reviewed, guide: GuideName, sides: readonly Side[]): readonly Step[] =>
  on.steps.filter((s) =>
    s.placements.some(
      (p) =>
        'guide' in p && p.guide === guide && (p.side === 'both' ? sides.length > 0 : sides.includes(p.side)),
    ),
  );

/** A step placed otherwise; it goes where nothing of it is left. */
const placedAt =
  (step: Step, placements: readonly Placement[]) =>
  (chart: Chart): Chart =>
    placements.length === 0
      ? withoutStep(chart, step.id)
      : changed(step.id, (s) => ({ ...s, placements: [...placements] }))(chart);

const ofSides = (sides: readonly Side[]): string =>
  sides.length === 1 ? msg` of the client’s ${term(sides[0]!)} eye` : '';

/** What is done on both sides. */
const MIRRORED: readonly Step['role'][] = [
  'contour',
  'bronze',
  'blush',
  'highlight',
  'brow',
  'eye',
  'liner',
  'lash',
];

/** Whether all of a step lies on one side, and no step of its role does the like on the other. */
function isOneSided(step: Step, steps: readonly Step[]): boolean {
  const [first] = step.placements;
  if (!first || first.side === 'both' || step.placements.some(({ side }) => side !== first.side))
    return false;
  return !steps.some(
    (other) =>
      other !== step &&
      other.role === step.role &&
      other.placements.some(
        (there) =>
          there.side !== first.side &&
          step.placements.some(
            (here) => !('guide' in here) || !('guide' in there) || there.guide === here.guide,
          ),
      ),
  );
}

/** What is about where things lie: told at the face, while it is being placed. */
export const PLACE_RULES: readonly Rule[] = messagesIn(
  ['name', 'why'],
  [
    {
      id: 'out-of-limits',
      name: 'A placement leaves its limits',
      severity: 'caution',
      why: 'Pupil line, smile line, mouth height, eye area, free triangle, bridge: what crosses them drags, widens or muddies.',
      find: (on) => {
        const { landmarks, features } = on.chart.client;
        return on.steps.flatMap((s) =>
          s.placements.flatMap((p, i) =>
            placeOf(p, on.chart.client, s.role)
              .breaches.slice(0, 1)
              .map((breach) =>
                found(
                  [s],
                  `${s.title}, ${term(breach.limit)}. ${breach.message}`,
                  {
                    label: msg`Bring it back`,
                    apply: changed(s.id, (x) => ({
                      ...x,
                      placements: x.placements.map((q, k) =>
                        k === i ? withinLimits(q, landmarks, features, x.role) : q,
                      ),
                    })),
                  },
                  breach.at,
                ),
              ),
          ),
        );
      },
    },
    {
      id: 'blush-on-contour',
      name: 'Blush lies on the contour',
      severity: 'caution',
      why: 'Blush is not contour: where they lie on each other cheeks turn muddy. They may only melt at the edge.',
      find: (on) =>
        on.steps
          .filter((s) => s.role === 'blush')
          .flatMap((blush) =>
            cheekContours(on).flatMap((contour) => {
              const { share, at } = overlap(on, blush, contour);
              if (share <= MOST_OVERLAP) return [];
              const guided = blush.placements.some((p) => 'guide' in p && p.params?.liftMm !== undefined);
              return [
                found(
                  [contour, blush],
                  msg`${Math.round(share * 100)} % of ${blush.title.toLowerCase()} lies on ${contour.title.toLowerCase()}.`,
                  guided
                    ? {
                        label: msg`Lift it back`,
                        apply: changed(blush.id, (s) => ({
                          ...s,
                          placements: s.placements.map((p) =>
                            'guide' in p && p.params ? { ...p, params: { ...p.params, liftMm: 0 } } : p,
                          ),
                        })),
                      }
                    : undefined,
                  at,
                ),
              ];
            }),
          ),
    },
    {
      id: 'in-the-hollow',
      name: 'Contour in the hollow',
      severity: 'caution',
      why: 'The hollow that shows when the cheeks are sucked in lies lower than the bone: contour there drags the face down.',
      find: (on) => {
        const { landmarks, features } = on.chart.client;
        const face = faceModel(landmarks, features);
        return cheekContours(on).flatMap((s) => {
          const low = on.shapes(s).flatMap(({ side, line }): Point[] => {
            const half = face[side === 'right' ? 'right' : 'left'];
            const own = (line ?? []).map(half.fromFace);
            const cheek = own.filter(([x, y]) => x >= half.irisRim && y < half.at('mouth_corner')[1]);
            const finder = contourFinder(half, face);
            const under = cheek.filter((p) => isInHollow(p, finder));
            return own.length > 0 && under.length > own.length * MOST_IN_HOLLOW
              ? [half.toFace(under[Math.floor(under.length / 2)]!)]
              : [];
          });
          const lowered = s.placements.some(
            (p) => 'guide' in p && p.guide === 'cheekContour' && (p.params?.liftMm ?? 0) < 0,
          );
          return low.length > 0
            ? [
                found(
                  [s],
                  msg`${s.title} lies nearer the hollow than the edge a smile shows.`,
                  lowered
                    ? {
                        label: msg`Lift it to the edge`,
                        apply: changed(s.id, (x) => ({
                          ...x,
                          placements: x.placements.map((p) =>
                            'guide' in p && p.guide === 'cheekContour' && p.params
                              ? { ...p, params: { ...p.params, liftMm: 0 } }
                              : p,
                          ),
                        })),
                      }
                    : undefined,
                  low[0],
                ),
              ]
            : [];
        });
      },
    },
    {
      id: 'light-in-shadow',
      name: 'Light lies on the contour',
      severity: 'note',
      why: 'Light raises what contour sets back: on the same place they cancel each other and look dirty.',
      find: (on) =>
        on.steps
          .filter((s) => s.role === 'highlight')
          .flatMap((light) =>
            cheekContours(on).flatMap((contour) => {
              const { share, at } = overlap(on, light, contour);
              return share > MOST_LIGHT_IN_SHADOW
                ? [
                    found(
                      [contour, light],
                      msg`${Math.round(share * 100)} % of ${light.title.toLowerCase()} lies on ${contour.title.toLowerCase()}.`,
                      undefined,
                      at,
                    ),
                  ]
                : [];
            }),
          ),
    },
    {
      id: 'light-on-lines',
      name: 'Shine on lined skin',
      severity: 'caution',
      why: 'Shine draws the eye to lines; satin beside them reads younger.',
      find: (on) =>
        on.steps
          .filter((s) => s.role === 'highlight' && on.products(s).some(isShiny))
          .flatMap((light) =>
            linedPlaces(on).flatMap(({ words, region }) => {
              const shared = intersectRegions(whole(on.shapes(light)), uniteOutlines(region));
              return areaOf(shared) > 12
                ? [found([light], msg`${light.title} shines on ${words}.`, undefined, middleOf(shared))]
                : [];
            }),
          ),
    },
    {
      id: 'wedge-on-crows-feet',
      name: 'The outer wedge on crow’s feet',
      severity: 'caution',
      why: 'Concealer at the outer corner gathers in the lines there; the inner comma is enough.',
      find: (on) => {
        const lined = sidesWhere(on.chart.client.features, ({ lines }) => lines.includes('crow’s feet'));
        return lined.length > 0
          ? stepsAt(on, 'outerWedge', lined).map((s) =>
              found([s], msg`${s.title} covers the lines at the outer corner${ofSides(lined)}.`, {
                label: msg`Leave the wedge out`,
                apply: placedAt(s, offSides(s.placements, 'outerWedge', lined)),
              }),
            )
          : [];
      },
    },
    {
      id: 'uneven-sides',
      name: 'Left and right differ',
      severity: 'note',
      why: 'People look at faces side against side: a mean difference of a millimetre is even, over two is seen.',
      find: (on) => {
        const face = faceModel(on.chart.client.landmarks, on.chart.client.features);
        return on.steps
          .filter((s) => SCULPTED.includes(s.role) && s.placements.some((p) => p.side !== 'both'))
          .flatMap((s) => {
            const of = (side: 'left' | 'right'): Region =>
              whole(on.shapes(s).filter((shape) => shape.side === side));
            const compared = symmetryOf(of('left'), of('right'), face);
            if (!compared || compared.meanMm <= 2 * EVEN_MM) return [];
            const { meanMm, largestMm, areaRatio, at } = compared;
            const message = msg`${s.title}: left and right differ by ${meanMm.toFixed(1)} mm on average, ${largestMm.toFixed(1)} at most; the smaller covers ${Math.round(areaRatio * 100)} % of the larger.`;
            const kept = s.placements.filter((p) => p.side !== 'right');
            const fix = {
              label: msg`Repeat the client’s left on the right`,
              apply: changed(s.id, (x) => ({
                ...x,
                placements: kept.map((p) => ({ ...p, side: 'both' as const })),
              })),
            };
            return [found([s], message, fix, at)];
          });
      },
    },
    {
      id: 'far-from-guide',
      name: 'Drawn away from the guide',
      severity: 'note',
      why: 'What is drawn by hand may leave the guide on purpose; the distance is told so that the next hand knows.',
      find: (on) =>
        on.steps
          .filter((s) => s.role === 'contour' || s.role === 'blush')
          .flatMap((s) =>
            s.placements.flatMap((p) => {
              const mm = placeOf(p, on.chart.client, s.role).fromGuideMm;
              if (mm === null || mm <= FAR_FROM_GUIDE_MM) return [];
              return [
                found(
                  [s],
                  msg`${s.title}, drawn by hand, runs ${mm.toFixed(0)} mm from the guide.`,
                  undefined,
                  middleOf(placeOf(p, on.chart.client, s.role).shapes.flatMap((x) => x.region)),
                ),
              ];
            }),
          ),
    },
    {
      id: 'narrow-temples',
      name: 'Contour on narrow temples',
      severity: 'caution',
      why: 'A shadow at the hairline or the temple narrows it further: what is narrow gets light instead.',
      find: (on) => {
        const { features } = on.chart.client;
        const narrow = narrowTemples(features);
        return on.steps.flatMap((s) => {
          const placements = offNarrowTemples(s.placements, features);
          if (s.role !== 'contour' || placements === s.placements) return [];
          return [
            found(
              [s],
              narrow.length === 2
                ? msg`${s.title} narrows temples that are narrow already.`
                : msg`${s.title} narrows the client’s ${term(narrow[0]!)} temple, which is narrow already.`,
              { label: msg`Leave it out there`, apply: placedAt(s, placements) },
            ),
          ];
        });
      },
    },
    {
      id: 'no-place',
      name: 'A layer without a place',
      severity: 'note',
      why: 'The next pair of hands needs to know where.',
      find: (on) =>
        on.steps
          .filter((s) => s.role !== 'care' && s.use.length > 0 && s.placements.length === 0)
          .map((s) => found([s], msg`${s.title} is placed nowhere on the face.`)),
    },
    {
      id: 'mirror-check',
      name: 'One side only',
      severity: 'note',
      why: 'What is done on one side is done on the other, unless the face asks for it.',
      find: (on) =>
        on.steps
          .filter((s) => MIRRORED.includes(s.role) && isOneSided(s, on.steps))
          .map((s) =>
            found([s], msg`${s.title} is on one side only.`, {
              label: msg`Both sides`,
              apply: changed(s.id, (x) => ({
                ...x,
                placements: x.placements.map((p) => ({ ...p, side: 'both' })),
              })),
            }),
          ),
    },
  ],
);
