import { messagesIn, msg } from '../messages';
import { featuresOn, isDryAt, type Features } from './features';
import { GUIDE_PARAMETER_NAMES, INITIAL_PARAMS, type LayerKind } from './guides';
import type { Placement } from './outlineOf';

/** A thing to be reached, in a word, and where product goes to reach it. */
export type Effect = {
  readonly name: string;
  readonly kind: LayerKind;
  /** What is meant where nobody says: else the first of its kind. */ readonly usual?: true;
  /** What it does to the face, in a sentence. */
  readonly does: string;
  readonly placements: readonly Placement[];
  /** Why this client may want another; null when nothing speaks against it. */
  readonly mind: (features: Features) => string | null;
};

const fine = (): null => null;
const both = (
  guide: Extract<Placement, { guide: unknown }>['guide'],
  params?: Extract<Placement, { guide: unknown }>['params'],
): Placement => (params ? { guide, params, side: 'both' } : { guide, side: 'both' });

/** The words a make-up artist uses for what a placement is to do, each as guides with their parameters. */
export const EFFECTS: readonly Effect[] = messagesIn(
  ['name', 'does'],
  [
    {
      name: 'natural',
      kind: 'contour',
      does: 'Sharpens the cheekbone a little and no more.',
      placements: [both('cheekContour', { reach: 85, width: 80, fade: 120 })],
      mind: fine,
    },
    {
      name: 'lift',
      kind: 'contour',
      does: 'Set higher and shorter, it pulls the cheek up.',
      placements: [both('cheekContour', { reach: 80, liftMm: 2.5 })],
      mind: fine,
    },
    {
      name: 'slim',
      kind: 'contour',
      does: 'Takes width from cheek and side of the forehead.',
      placements: [both('cheekContour', { width: 120 }), both('foreheadContour', { width: 90 })],
      mind: ({ narrowTemples }) =>
        narrowTemples ? msg`The temples are narrow: leave the forehead out.` : null,
    },
    {
      name: 'soften the jaw',
      kind: 'contour',
      does: 'Rounds the corner of the jaw.',
      placements: [both('jawCornerContour'), both('jawContour', { width: 80 })],
      mind: ({ beard }) => (beard ? msg`A beard hides it, and product sits on the hairs.` : null),
    },
    {
      name: 'square the jaw',
      kind: 'contour',
      does: 'Draws a straight edge under the jaw and leaves its corner free.',
      placements: [both('jawEdgeContour')],
      mind: fine,
    },
    {
      name: 'slim the nose',
      kind: 'contour',
      does: 'Two thin lines on top of the bridge.',
      placements: [both('noseContour', { width: 90 })],
      mind: fine,
    },
    {
      name: 'shorten the nose',
      kind: 'contour',
      does: 'A soft bar under the tip.',
      placements: [both('tipContour')],
      mind: fine,
    },
    {
      name: 'smaller forehead',
      kind: 'contour',
      does: 'Along the hairline, the triangle in the middle left free.',
      placements: [both('foreheadContour')],
      mind: ({ narrowTemples }) =>
        narrowTemples ? msg`The temples are narrow already: it narrows them further.` : null,
    },
    {
      name: 'fuller lower lip',
      kind: 'contour',
      does: 'A touch of shadow under the lower lip.',
      placements: [both('underLipContour')],
      mind: fine,
    },
    {
      name: 'sun-warmed',
      kind: 'bronze',
      does: 'Where the sun meets the face.',
      placements: [both('bronzeSweep'), both('bronzeHairline')],
      mind: fine,
    },
    {
      name: 'widen',
      kind: 'bronze',
      does: 'Across the nose and out over the cheeks.',
      placements: [both('bronzeBridge', { reach: 115 })],
      mind: fine,
    },
    {
      name: 'slim',
      kind: 'bronze',
      does: 'Down the side of the face only.',
      placements: [both('bronzeSweep', { reach: 60, width: 90 })],
      mind: fine,
    },
    {
      name: 'lift',
      kind: 'blush',
      does: 'Above the contour, up and back along the bone.',
      placements: [both('blushLifted', { liftMm: 1 })],
      mind: fine,
    },
    {
      name: 'fuller',
      kind: 'blush',
      does: 'On the apples.',
      placements: [both('blushFull')],
      mind: ({ age }) =>
        age === 'mature' ? msg`The apple drops when the smile ends: lift it on mature cheeks.` : null,
    },
    {
      name: 'natural',
      kind: 'blush',
      usual: true,
      does: 'Where the client flushes anyway.',
      placements: [both('blushNatural', { width: 90 })],
      mind: fine,
    },
    {
      name: 'widen',
      kind: 'blush',
      does: 'Apples carried outwards.',
      placements: [both('blushFull', { reach: 140, width: 110 })],
      mind: fine,
    },
    {
      name: 'slim',
      kind: 'blush',
      does: 'Kept back and narrow along the bone.',
      placements: [both('blushLifted', { reach: 70, width: 80 })],
      mind: fine,
    },
    {
      name: 'heart of the face',
      kind: 'highlight',
      does: 'A bar above the brows, a line down the nose, the chin.',
      placements: [both('foreheadLight'), both('chinLight')],
      mind: ({ oily }) =>
        oily.includes('forehead') || oily.includes('nose')
          ? msg`Forehead or nose shine by themselves: satin, and little.`
          : null,
    },
    {
      name: 'high points',
      kind: 'highlight',
      does: 'Top of the cheekbone, bridge, bow, inner corner, brow bone.',
      placements: [
        both('cheekboneLight'),
        both('bridgeLight'),
        both('bowLight'),
        both('innerCornerLight'),
        both('browBoneLight'),
      ],
      mind: ({ texture, lines }) =>
        texture === 'textured' || lines.includes('crow’s feet')
          ? msg`Not on lines or texture: satin instead of shimmer.`
          : null,
    },
    {
      name: 'lift',
      kind: 'highlight',
      does: 'High on the cheekbone, back up the bone.',
      placements: [both('cheekboneLight', { liftMm: 2 })],
      mind: fine,
    },
    {
      name: 'brighter under the eye',
      kind: 'conceal',
      does: 'A lobe down to beside the nose.',
      placements: [both('underEyeLight')],
      mind: fine,
    },
    {
      name: 'lift',
      kind: 'conceal',
      does: 'The inner comma and a wedge towards the temple; the middle stays free.',
      placements: [both('innerComma'), both('outerWedge')],
      mind: ({ lines }) =>
        lines.includes('crow’s feet') ? msg`Lines at the outer corner: the inner comma alone.` : null,
    },
    {
      name: 'even out',
      kind: 'correct',
      does: 'Shadow under the eye and redness by the nose.',
      placements: [both('correctUnderEye'), both('correctNoseWing')],
      mind: fine,
    },
    {
      name: 'calm the shine',
      kind: 'powder',
      does: 'Forehead, nose and chin only.',
      placements: [both('tZonePowder')],
      mind: (features) =>
        (['forehead', 'nose', 'chin'] as const).some((zone) => isDryAt(features, zone))
          ? msg`The skin is dry there: as little as will hold.`
          : null,
    },
    {
      name: 'natural',
      kind: 'brow',
      does: 'The brow itself, lightest at the front.',
      placements: [both('brow', { width: 90 })],
      mind: fine,
    },
    {
      name: 'lift',
      kind: 'brow',
      does: 'Arch raised, tail a little longer.',
      placements: [both('brow', { archMm: 1.5, tailMm: 1.5 })],
      mind: fine,
    },
    {
      name: 'nearer together',
      kind: 'brow',
      does: 'Fronts two millimetres nearer; a wide bridge looks narrower.',
      placements: [both('brow', { frontMm: -2 })],
      mind: fine,
    },
    {
      name: 'further apart',
      kind: 'brow',
      does: 'Fronts two millimetres further apart.',
      placements: [both('brow', { frontMm: 2 })],
      mind: fine,
    },
    {
      name: 'pointed',
      kind: 'brow',
      does: 'A pointed arch, for period looks.',
      placements: [both('brow', { archMm: 3, tailMm: 2, width: 80 })],
      mind: fine,
    },
    {
      name: 'depth and light',
      kind: 'eye',
      does: 'Outer third for depth, inner two thirds for light.',
      placements: [both('outerLid'), both('innerLid')],
      mind: fine,
    },
    {
      name: 'open',
      kind: 'eye',
      does: 'Light over the pupil, depth in the socket.',
      placements: [both('lidCentre'), both('socket')],
      mind: ({ lids }) =>
        lids.left === 'hooded' || lids.right === 'hooded'
          ? msg`Hooded: place it with the eye open, above the fold.`
          : lids.left === 'without a crease' || lids.right === 'without a crease'
            ? msg`No crease: place it with the eye open, where it is to be seen.`
            : null,
    },
    {
      name: 'lift',
      kind: 'liner',
      does: 'From the middle outwards, lifted at the end.',
      placements: [both('liner', { reach: 120, liftMm: 1.5 })],
      mind: fine,
    },
    {
      name: 'natural',
      kind: 'liner',
      usual: true,
      does: 'Between the lashes only.',
      placements: [both('tightLine')],
      mind: ({ lenses }) => (lenses ? msg`Contact lenses: keep off the waterline.` : null),
    },
    {
      name: 'all along',
      kind: 'liner',
      does: 'To the inner corner, for round eyes.',
      placements: [both('liner', { start: -40 })],
      mind: ({ eyes }) => (eyes === 'deep-set' ? msg`Deep-set eyes close under a line to the corner.` : null),
    },
    {
      name: 'lift',
      kind: 'lash',
      does: 'Longest at the outer corner.',
      placements: [both('lashes', { innerMm: 7, middleMm: 9, outerMm: 12 })],
      mind: ({ eyes }) =>
        eyes === 'down-turned' ? msg`Trim the strip before the corner, or it drags down.` : null,
    },
    {
      name: 'open',
      kind: 'lash',
      does: 'Longest over the pupil.',
      placements: [both('lashes', { innerMm: 8, middleMm: 12, outerMm: 9 })],
      mind: fine,
    },
    {
      name: 'natural',
      kind: 'lash',
      usual: true,
      does: 'Short and even.',
      placements: [both('lashes', { innerMm: 7, middleMm: 8, outerMm: 9 })],
      mind: fine,
    },
    {
      name: 'natural',
      kind: 'lip line',
      does: 'On the line itself.',
      placements: [both('lipLine')],
      mind: fine,
    },
    {
      name: 'fuller',
      kind: 'lip line',
      does: 'A millimetre over at the bow and below, off the corners.',
      placements: [both('lipLine', { upperMm: 1, lowerMm: 0.75 })],
      mind: ({ lines }) =>
        lines.includes('lip') ? msg`Lip lines: over the line, colour bleeds sooner.` : null,
    },
    { name: 'natural', kind: 'lip', does: 'To the lips’ own line.', placements: [both('lips')], mind: fine },
    {
      name: 'fuller',
      kind: 'lip',
      does: 'A millimetre over the line in the middle.',
      placements: [both('lips', { upperMm: 1, lowerMm: 0.75 })],
      mind: ({ lines }) =>
        lines.includes('lip') ? msg`Lip lines: over the line, colour bleeds sooner.` : null,
    },
    {
      name: 'fuller lower lip',
      kind: 'lip',
      does: 'Lower lip a millimetre over, its centre lighter.',
      placements: [both('lips', { lowerMm: 1 }), both('lipCentre')],
      mind: fine,
    },
  ],
);

/** Where a kind of layer goes while nobody has said what it is to do; nowhere for a kind without effects. */
export function usualPlacements(kind: LayerKind): readonly Placement[] {
  const effects = effectsFor(kind);
  return (effects.find(({ usual }) => usual) ?? effects[0])?.placements ?? [];
}

/** The effects that can be had with a kind of layer. */
export function effectsFor(kind: LayerKind): Effect[] {
  return EFFECTS.filter((effect) => effect.kind === kind);
}

/** A guided placement by what it says, whatever order it says it in; null for one drawn by hand or wiped. */
function saying(placement: Placement): string | null {
  if (!('guide' in placement) || placement.without?.length) return null;
  const adjusted = GUIDE_PARAMETER_NAMES.filter(
    (name) => (placement.params?.[name] ?? INITIAL_PARAMS[name]) !== INITIAL_PARAMS[name],
  );
  return [
    placement.guide,
    placement.side,
    ...adjusted.map((name) => `${name} ${placement.params?.[name]}`),
  ].join();
}

/** The effect a step's placements are, exactly; null when they are adjusted or something else. */
export function effectOf(kind: LayerKind, placements: readonly Placement[]): Effect | null {
  const said = placements.map(saying);
  return (
    effectsFor(kind).find(
      (effect) =>
        effect.placements.length === said.length && effect.placements.every((p, i) => saying(p) === said[i]),
    ) ?? null
  );
}

/**
 * What speaks against an effect on this face, or null; where it holds of one side only, that side is named.
 */
export function cautionOf(effect: Effect, features: Features): string | null {
  const [left, right] = [
    effect.mind(featuresOn('left', features)),
    effect.mind(featuresOn('right', features)),
  ];
  if (left === right) return left;
  return [left && msg`Client’s left: ${left}`, right && msg`Client’s right: ${right}`]
    .filter(Boolean)
    .join(' ');
}
