import type { Placement } from '../face';
import { messagesIn } from '../messages';

type At = {
  readonly role: string;
  readonly placements: readonly Placement[];
  readonly kinds: readonly string[];
};

type Prohibition = {
  /** As it is said of a look: 'nothing on the lower lashes'. */
  readonly words: string;
  /** Takes off what lies there; the same list when nothing does. */
  readonly without: (step: At) => readonly Placement[];
};

const guided = (p: Placement): string | null => ('guide' in p ? p.guide : null);
const off =
  (...guides: readonly string[]) =>
  ({ placements }: At): readonly Placement[] => {
    const rest = placements.filter((p) => !guides.includes(guided(p) ?? ''));
    return rest.length === placements.length ? placements : rest;
  };
/** Guided placements with one of their parameters held at a value. */
const held =
  (guides: readonly string[], change: (p: Extract<Placement, { guide: unknown }>) => Placement) =>
  ({ placements }: At): readonly Placement[] => {
    const next = placements.map((p) => ('guide' in p && guides.includes(p.guide) ? change(p) : p));
    return next.some((p, i) => p !== placements[i]) ? next : placements;
  };

/** A flick is what a liner does past the outer corner. */
const FLICK_FROM = 90;
const noFlick = held(['liner'], (p) =>
  (p.params?.reach ?? 100) <= FLICK_FROM && (p.params?.liftMm ?? 0) <= 0
    ? p
    : { ...p, params: { ...p.params, reach: FLICK_FROM, liftMm: 0 } },
);
const naturalLips = held(['lips', 'lipLine', 'lowerLipOnly'], (p) =>
  (p.params?.upperMm ?? 0) <= 0 && (p.params?.lowerMm ?? 0) <= 0
    ? p
    : {
        ...p,
        params: {
          ...p.params,
          upperMm: Math.min(0, p.params?.upperMm ?? 0),
          lowerMm: Math.min(0, p.params?.lowerMm ?? 0),
        },
      },
);

/** Places a look may forbid, each with what takes it away. */
export const FORBIDDEN_PLACES = messagesIn(['words'], {
  'lower lashes': { words: 'nothing on the lower lashes', without: off('lowerLashes', 'lowerLine') },
  'lower lash line': { words: 'nothing along the lower lash line', without: off('lowerLine', 'lowerLashes') },
  'liner flick': { words: 'no liner flick', without: noFlick },
  liner: { words: 'no liner', without: off('liner', 'tightLine') },
  lid: {
    words: 'nothing on the lid',
    without: off('lid', 'innerLid', 'outerLid', 'lidCentre', 'openLid', 'zone.mobileLid'),
  },
  'over the lip line': { words: 'lips to their natural line', without: naturalLips },
  'forehead contour': { words: 'no contour on the forehead', without: off('foreheadContour') },
  'nose contour': {
    words: 'no contour on the nose',
    without: off('noseContour', 'noseFromCrease', 'tipContour'),
  },
  'bridge light': { words: 'no light down the nose', without: off('bridgeLight', 'foreheadLight') },
  'brow bone light': { words: 'no light on the brow bone', without: off('browBoneLight') },
  adornment: {
    words: 'nothing stuck on',
    without: off('outerDots', 'underDots', 'mouthSpot', 'foreheadPoint', 'browPoints'),
  },
} as const satisfies Record<string, Prohibition>);
export type ForbiddenPlace = keyof typeof FORBIDDEN_PLACES;
export const FORBIDDEN_PLACE_NAMES = Object.keys(FORBIDDEN_PLACES) as readonly ForbiddenPlace[];

/** How far the arch is raised for a pointed brow, mm. */
const POINTED_MM = 2;

/** Shapes a period or a theme asks for. */
export const SHAPES = messagesIn(['words'], {
  'brow pointed': {
    words: 'brows pointed',
    without: held(['brow'], (p) =>
      (p.params?.archMm ?? 0) >= POINTED_MM ? p : { ...p, params: { ...p.params, archMm: POINTED_MM } },
    ),
  },
  'brow flat': {
    words: 'brows flat',
    without: held(['brow'], (p) =>
      (p.params?.archMm ?? 0) <= -1 ? p : { ...p, params: { ...p.params, archMm: -1 } },
    ),
  },
  'blush on the apples': {
    words: 'blush on the apples',
    without: ({ role, placements }: At): readonly Placement[] => {
      const blush =
        role === 'blush' && placements.some((p) => ['blushLifted', 'blushNatural'].includes(guided(p) ?? ''));
      return blush
        ? placements.map((p): Placement =>
            ['blushLifted', 'blushNatural'].includes(guided(p) ?? '')
              ? { guide: 'blushFull', side: p.side }
              : p,
          )
        : placements;
    },
  },
} as const satisfies Record<string, Prohibition>);
export type Shape = keyof typeof SHAPES;
export const SHAPE_NAMES = Object.keys(SHAPES) as readonly Shape[];

type Forbids = { readonly places?: readonly ForbiddenPlace[]; readonly shapes?: readonly Shape[] };

/** What a look forbids or asks of places, one after the other. */
export function prohibitionsOf(forbids: Forbids): readonly Prohibition[] {
  return [
    ...(forbids.places ?? []).map((place) => FORBIDDEN_PLACES[place]),
    ...(forbids.shapes ?? []).map((shape) => SHAPES[shape]),
  ];
}

/** Which prohibitions a step breaks, and its placements as they keep them all. */
export function withinProhibitions(
  step: At,
  forbids: Forbids,
): { readonly placements: readonly Placement[]; readonly broken: readonly string[] } {
  return prohibitionsOf(forbids).reduce<{ placements: readonly Placement[]; broken: string[] }>(
    ({ placements, broken }, { words, without }) => {
      const next = without({ ...step, placements });
      return next === placements ? { placements, broken } : { placements: next, broken: [...broken, words] };
    },
    { placements: step.placements, broken: [] },
  );
}
