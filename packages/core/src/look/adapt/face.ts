import {
  isAtEyesOrLips,
  measure,
  narrowTemples,
  offNarrowTemples,
  SIDES,
  sidesWhere,
  type Features,
  type Lid,
  type Side,
} from '../../face';
import { msg, term } from '../../messages';
import type { LookStep } from '../document';
import { laysBalm } from '../noteWords';
import { primesLids } from '../ofSkin';
import { exchanged, has, noted, rounded, sidesInWords, type Adapter, type GuideName } from './adapter';

/** Shares of the face, hairline to chin, under and over which a forehead is small or high. */
const SMALL_FOREHEAD = 0.262;
const HIGH_FOREHEAD = 0.318;
/** Lids that differ by this show unevenly, mm. */
const UNEVEN_LIDS_MM = 1.2;

const foreheadShare = (to: {
  readonly client: { readonly landmarks: Parameters<typeof measure>[1] };
}): number => measure('foreheadHeight', to.client.landmarks) / measure('faceLength', to.client.landmarks);
const hoodedSides = ({ lids }: Features): readonly Side[] =>
  SIDES.filter((side) => lids[side] === 'partly hooded' || lids[side] === 'hooded');
const sidesWithoutCrease = ({ lids }: Features): readonly Side[] =>
  SIDES.filter((side) => lids[side] === 'without a crease');
/** How little of a lid is seen. */
const COVERED: Readonly<Record<Lid, number>> = {
  open: 0,
  'partly hooded': 1,
  hooded: 2,
  'without a crease': 2,
};

/** Where an eye’s colour goes to be seen with the eye open; null: it lies where it is seen. */
const seenOpen = (step: LookStep, sides: readonly Side[]): LookStep['placements'] | null =>
  step.role !== 'eye' || sides.length === 0
    ? null
    : (exchanged(step, ['lid', 'zone.mobileLid'], 'openLid', sides) ??
      (has(step, 'socket', 'outerLid', 'openLid') ? step.placements : null));
const withBrows = (features: Features, brows: Features['brows']): readonly Side[] =>
  sidesWhere(features, (side) => side.brows === brows);
const withEyes = (features: Features, eyes: Features['eyes']): readonly Side[] =>
  sidesWhere(features, (side) => side.eyes === eyes);
const isFineWork = (step: LookStep): boolean =>
  step.role === 'liner' || (step.role === 'brow' && step.technique === 'flick');
/** Places with guides changed on the sides that ask for it; the other side stays as it is. */
const changedGuides = (
  step: LookStep,
  guides: readonly GuideName[],
  params: { readonly [name: string]: number },
  sides: readonly Side[] = SIDES,
): LookStep['placements'] =>
  step.placements.flatMap((p): LookStep['placements'] => {
    if (!('guide' in p) || !guides.includes(p.guide)) return [p];
    const changed = { ...p, params: { ...p.params, ...params } };
    if (p.side !== 'both') return [sides.includes(p.side) ? changed : p];
    if (sides.length === SIDES.length) return [changed];
    return SIDES.map((side) => ({ ...(sides.includes(side) ? changed : p), side }));
  });
/** Words of a change that is made on one side only say on which. */
const onSides = (words: string, sides: readonly Side[]): string =>
  sides.length === SIDES.length ? words : `${words}, ${sidesInWords(sides)}`;
const NOT_ON_A_CHILD: readonly LookStep['role'][] = ['contour', 'liner'];

/** What the shape of a face, its eyes, brows and age, and how she can sit, change. */
export const FACE_ADAPTERS: readonly Adapter[] = [
  {
    id: 'narrow temples',
    change: (step, { features }) => {
      const placements = offNarrowTemples(step.placements, features);
      if (step.role !== 'contour' || placements === step.placements) return null;
      const narrow = narrowTemples(features);
      const why =
        narrow.length === 2
          ? msg`the temples are narrow; a shadow there would narrow them further`
          : msg`the client’s ${term(narrow[0]!)} temple is narrow; a shadow there would narrow it further`;
      return placements.length === 0
        ? { words: msg`${step.title} left out`, why, leftOut: true }
        : { words: msg`${step.title} left out in part`, why, set: { placements: [...placements] } };
    },
  },
  {
    id: 'small forehead',
    change: (step, to) => {
      const share = foreheadShare(to);
      if (share >= SMALL_FOREHEAD || !has(step, 'foreheadContour')) return null;
      const placements = step.placements.filter((p) => !('guide' in p) || p.guide !== 'foreheadContour');
      const why = msg`the forehead is small, ${Math.round(100 * share)} % of the face: it gets light in the middle instead`;
      return placements.length === 0
        ? { words: msg`${step.title} left out`, why, leftOut: true }
        : { words: msg`No contour on the forehead`, why, set: { placements } };
    },
  },
  {
    id: 'high forehead',
    change: (step, to) => {
      const share = foreheadShare(to);
      if (share <= HIGH_FOREHEAD || !has(step, 'foreheadContour')) return null;
      return {
        words: msg`Contour along the whole hairline, a little broader`,
        why: msg`the forehead is high, ${Math.round(100 * share)} % of the face`,
        set: { placements: changedGuides(step, ['foreheadContour'], { width: 120 }) },
      };
    },
  },
  {
    id: 'hairline under cloth',
    change: (step, { features }) => {
      if (features.hair !== 'covered' || !has(step, 'foreheadContour', 'bronzeHairline')) return null;
      const note = noted(step, msg`Up to the cloth and not on it.`);
      return note === step.note
        ? null
        : { words: msg`Up to the cloth`, why: msg`the hair is covered`, set: { note } };
    },
  },
  {
    id: 'lifted on mature cheeks',
    change: (step, { features, look }) => {
      if (
        step.role !== 'blush' ||
        features.age !== 'mature' ||
        look.forbids.shapes?.includes('blush on the apples')
      )
        return null;
      const placements = exchanged(step, ['blushFull', 'blushNatural'], 'blushLifted', ['left', 'right']);
      return placements
        ? {
            words: msg`Blush lifted along the bone`,
            why: msg`the apple drops when the smile ends`,
            set: { placements },
          }
        : null;
    },
  },
  {
    id: 'open-eye placement',
    change: (step, { features }) => {
      const sides = hoodedSides(features);
      const worked = seenOpen(step, sides);
      if (!worked) return null;
      const note = noted(step, msg`Looking straight ahead: above the natural fold, with a smaller brush.`);
      return {
        words: msg`Placed with the eye open, ${sidesInWords(sides)}`,
        why: msg`a hooded lid hides what lies under the fold`,
        set: { placements: worked, note, tool: 'small brush', handsOnMinutes: step.handsOnMinutes + 1 },
      };
    },
  },
  {
    id: 'upwards from the lashes',
    change: (step, { features }) => {
      const sides = sidesWithoutCrease(features);
      const worked = seenOpen(step, sides);
      if (!worked) return null;
      const note = noted(
        step,
        msg`Looking straight ahead: deepest at the lashes, fading upwards as far as it is to be seen.`,
      );
      return {
        words: msg`Worked upwards from the lashes, ${sidesInWords(sides)}`,
        why: msg`without a crease colour shows only where it is laid above the lashes`,
        set: { placements: worked, note, tool: 'small brush', handsOnMinutes: step.handsOnMinutes + 1 },
      };
    },
  },
  {
    id: 'more depth on the lower lid',
    change: (step, to) => {
      const { lids } = to.features;
      const more = COVERED[lids.left] - COVERED[lids.right];
      const shown =
        measure('lidShowLeft', to.client.landmarks) - measure('lidShowRight', to.client.landmarks);
      const differs = more !== 0 || Math.abs(shown) >= UNEVEN_LIDS_MM;
      if (!differs || !(step.role === 'eye' && has(step, 'socket', 'outerLid'))) return null;
      const lower = more > 0 || (more === 0 && shown < 0) ? 'left' : 'right';
      const note = noted(step, msg`More depth on the client’s ${term(lower)} until both look alike.`);
      return note === step.note
        ? null
        : {
            words: msg`More depth on the client’s ${term(lower)} eye`,
            why: msg`its lid shows less`,
            set: { note, handsOnMinutes: step.handsOnMinutes + 1 },
          };
    },
  },
  {
    id: 'line on hooded lids',
    change: (step, { features }) => {
      const sides = hoodedSides(features);
      return step.role === 'liner' && sides.length > 0 && has(step, 'liner')
        ? {
            words: onSides(msg`A thinner line`, sides),
            why: msg`on a hooded lid a broad one fills it`,
            set: { placements: changedGuides(step, ['liner'], { width: 70 }, sides) },
          }
        : null;
    },
  },
  {
    id: 'line on lids without a crease',
    change: (step, { features }) => {
      const sides = sidesWithoutCrease(features);
      if (step.role !== 'liner' || sides.length === 0 || !has(step, 'liner')) return null;
      const words = onSides(msg`A line built up with the eye open`, sides);
      const note = noted(step, msg`${words}, until it is seen.`);
      return note === step.note
        ? null
        : {
            words,
            why: msg`without a crease the lid takes a fine one in when the eye opens`,
            set: { note, placements: changedGuides(step, ['liner'], { width: 150 }, sides) },
          };
    },
  },
  {
    id: 'satin on lined lids',
    change: (step, { features, look }) => {
      const lined =
        features.age === 'mature' ||
        sidesWhere(features, ({ lines }) => lines.includes('crow’s feet')).length > 0;
      const shines = step.wants.finishes?.includes('shimmer') === true || step.wants.finishes === undefined;
      if (step.role !== 'eye' || !lined || !shines || look.forbids.finishes.includes('satin')) return null;
      return {
        words: msg`Satin or matte on the lid`,
        why: msg`shimmer settles on lined lids`,
        set: {
          wants: { ...step.wants, finishes: ['satin', 'matte'] },
          technique: step.tool === 'finger' ? 'press' : step.technique,
        },
      };
    },
  },
  {
    id: 'round eyes',
    change: (step, { features }) =>
      has(step, 'liner') && withEyes(features, 'round').length === 2
        ? {
            words: msg`Lined to the inner corner`,
            why: msg`round eyes look longer`,
            set: { placements: changedGuides(step, ['liner'], { start: -40 }) },
          }
        : null,
  },
  {
    id: 'down-turned eyes',
    change: (step, { features }) => {
      const sides = withEyes(features, 'down-turned');
      return has(step, 'liner') && sides.length > 0
        ? {
            words: onSides(msg`The line ends earlier and higher`, sides),
            why: msg`eyes that turn down`,
            set: { placements: changedGuides(step, ['liner'], { liftMm: 2, reach: 85 }, sides) },
          }
        : null;
    },
  },
  {
    id: 'deep-set eyes',
    change: (step, { features }) => {
      const sides = withEyes(features, 'deep-set');
      return step.role === 'eye' && has(step, 'socket') && sides.length > 0
        ? {
            words: onSides(msg`A lighter hand in the socket`, sides),
            why: msg`deep-set eyes have their own shadow`,
            set: {
              // A dose is a step's: of one eye only the breadth is less.
              ...(sides.length === SIDES.length ? { doseMgPerCm2: rounded(0.7 * step.doseMgPerCm2) } : {}),
              placements: changedGuides(step, ['socket'], { width: 80 }, sides),
            },
          }
        : null;
    },
  },
  {
    id: 'oily lids',
    change: (step, { features, look }) => {
      if (!features.oily.includes('lids') || step.role !== 'eye' || look.steps.some(primesLids)) return null;
      const note = noted(step, msg`Lid primed and powdered first; the fold wiped before.`);
      return note === step.note
        ? null
        : { words: msg`Lid primed first`, why: msg`oily lids crease and print`, set: { note } };
    },
  },
  {
    id: 'contact lenses',
    change: (step, { features }) => {
      if (!features.lenses || !['eye', 'liner', 'lash'].includes(step.role)) return null;
      const why = msg`nothing may shed into them`;
      const placements = step.placements.filter((p) => !('guide' in p) || p.guide !== 'tightLine');
      if (placements.length === 0 && step.placements.length > 0)
        return { words: msg`${step.title} left out`, why, leftOut: true };
      const note = noted(
        step,
        msg`Contact lenses: nothing loose, nothing on the waterline; stop at any stinging.`,
      );
      return note === step.note
        ? null
        : { words: msg`Worked for contact lenses`, why, set: { note, placements } };
    },
  },
  {
    id: 'sparse brows',
    change: (step, { features }) => {
      const sides = withBrows(features, 'sparse');
      if (step.role !== 'brow' || sides.length === 0) return null;
      const note = noted(
        step,
        msg`Hair by hair where they are missing, ${sidesInWords(sides)}; set with gel.`,
      );
      return note === step.note
        ? null
        : {
            words: msg`Brows drawn hair by hair, ${sidesInWords(sides)}`,
            why: msg`sparse brows`,
            set: {
              note,
              technique: 'flick',
              wants: { ...step.wants, textures: ['pencil', 'gel'] },
              handsOnMinutes: step.handsOnMinutes + 3,
            },
          };
    },
  },
  {
    id: 'tattooed brows',
    change: (step, { features }) => {
      const sides = withBrows(features, 'tattooed');
      if (step.role !== 'brow' || sides.length === 0) return null;
      const note = noted(step, msg`The tattoo gives the shape: only softened and toned, not redrawn.`);
      return note === step.note
        ? null
        : {
            words: msg`Brows softened, not redrawn`,
            why: msg`tattooed brows`,
            set: {
              note,
              technique: 'press',
              doseMgPerCm2: rounded(0.5 * step.doseMgPerCm2),
              handsOnMinutes: Math.max(2, step.handsOnMinutes - 2),
            },
          };
    },
  },
  {
    id: 'full brows',
    change: (step, { features }) =>
      step.role === 'brow' && withBrows(features, 'full').length === 2 && step.doseMgPerCm2 > 0.5
        ? {
            words: msg`Less in the brow, brushed and set`,
            why: msg`full brows`,
            set: {
              doseMgPerCm2: rounded(0.75 * step.doseMgPerCm2),
              handsOnMinutes: Math.max(2, step.handsOnMinutes - 1),
            },
          }
        : null,
  },
  {
    id: 'sparse or straight lashes',
    change: (step, { features }) => {
      if (
        step.role !== 'lash' ||
        !step.wants.kinds.includes('mascara') ||
        (features.lashes !== 'sparse' && features.lashes !== 'straight')
      )
        return null;
      const note = noted(
        step,
        features.lashes === 'straight'
          ? msg`Curl first, hold, and again at the middle.`
          : msg`From the root, two thin coats.`,
      );
      return note === step.note
        ? null
        : {
            words: features.lashes === 'straight' ? msg`Curled twice` : msg`Two thin coats`,
            why: msg`${term(features.lashes)} lashes`,
            set: {
              note,
              passes: features.lashes === 'sparse' ? 2 : step.passes,
              handsOnMinutes: step.handsOnMinutes + 1,
            },
          };
    },
  },
  {
    id: 'lash extensions',
    change: (step, { features }) => {
      if (features.lashes !== 'extensions') return null;
      if (step.role === 'lash')
        return {
          words: msg`${step.title} left out`,
          why: msg`lash extensions are worn: no mascara, curler or band on them`,
          leftOut: true,
        };
      const cleans = step.phase === 'clean' && !isAtEyesOrLips(step);
      if (step.role !== 'liner' && !cleans) return null;
      const note = noted(
        step,
        step.phase === 'clean'
          ? msg`No oil at the lash extensions; round them, never over them.`
          : msg`Off the lash extensions and their glue; only what comes off without oil or rubbing.`,
      );
      return note === step.note
        ? null
        : { words: msg`Kept off the extensions`, why: msg`lash extensions are worn`, set: { note } };
    },
  },
  {
    id: 'band measured',
    change: (step, { client }) => {
      if (step.role !== 'lash' || !step.wants.kinds.includes('lashes')) return null;
      const width = (side: Side): number =>
        Math.hypot(
          client.landmarks[`eye_outer_${side}`][0] - client.landmarks[`eye_inner_${side}`][0],
          client.landmarks[`eye_outer_${side}`][1] - client.landmarks[`eye_inner_${side}`][1],
        );
      // A band starts where the lashes do, a tenth of the lid from the inner corner.
      const [left, right] = [Math.round(0.88 * width('left')), Math.round(0.88 * width('right'))];
      const note = noted(
        step,
        msg`Band about ${left} mm on the client’s left, ${right} mm on the right: laid on to measure, trimmed at the outer end, kept as it is.`,
      );
      return note === step.note
        ? null
        : {
            words: msg`Band trimmed to ${left} mm left, ${right} mm right`,
            why: msg`as wide as the lids`,
            set: { note },
          };
    },
  },
  {
    id: 'head tremor',
    change: (step, { features }) =>
      features.headTremor && isFineWork(step)
        ? {
            words: step.role === 'liner' ? msg`A soft line, stippled` : msg`Short strokes, the hand rested`,
            why: msg`a head tremor`,
            set: {
              technique: step.role === 'liner' ? 'stipple' : step.technique,
              note: noted(
                step,
                msg`Rest the little finger on the cheekbone, short strokes, a break when asked.`,
              ),
              handsOnMinutes: step.handsOnMinutes + 2,
            },
          }
        : null,
  },
  {
    id: 'head tremor, lashes',
    change: (step, { features }) => {
      if (!features.headTremor || step.role !== 'lash') return null;
      if (step.wants.kinds.includes('lashes'))
        return { words: msg`No lash band`, why: msg`a band is not laid near a moving eye`, leftOut: true };
      const note = noted(step, msg`Wand held still, the client blinks onto it; no curler.`);
      return note === step.note
        ? null
        : {
            words: msg`No curler`,
            why: msg`a head tremor`,
            set: { note, handsOnMinutes: step.handsOnMinutes + 1 },
          };
    },
  },
  {
    id: 'cannot recline',
    change: (step, { features }) => {
      if (!features.cannotRecline || !['eye', 'liner', 'lash', 'brow'].includes(step.role)) return null;
      const note = noted(step, msg`The client sits upright: work standing, chin level, neck supported.`);
      return note === step.note
        ? null
        : {
            words: msg`Worked upright`,
            why: msg`cannot lie back`,
            set: { note, handsOnMinutes: step.handsOnMinutes + 1 },
          };
    },
  },
  {
    id: 'balm first',
    change: (step, { look }) => {
      const first = look.steps.find((s) => s.phase === 'clean');
      const laid = look.steps.some((s) => s.id !== step.id && laysBalm({ ...s, note: '' }));
      if (first?.id !== step.id || laid || !look.steps.some((s) => s.wants.kinds.includes('lip colour')))
        return null;
      const note = noted(step, msg`Lip balm on now; wiped off before the lip.`);
      return laysBalm(step)
        ? null
        : { words: msg`Lip balm on first`, why: msg`a lip laid on dry skin flakes`, set: { note } };
    },
  },
  {
    id: 'a child',
    change: (step, { features }) => {
      if (features.age !== 'child') return null;
      if (NOT_ON_A_CHILD.includes(step.role) || step.wants.kinds.includes('lashes'))
        return { words: msg`${step.title} left out`, why: msg`a light touch on a child`, leftOut: true };
      if (step.role === 'care' || step.handsOnMinutes === 0) return null;
      return {
        words: msg`${step.title}: half as much`,
        why: msg`a light touch on a child, with a guardian’s consent`,
        set: {
          doseMgPerCm2: rounded(0.5 * step.doseMgPerCm2),
          passes: 1,
          handsOnMinutes: Math.max(1, Math.round(0.6 * step.handsOnMinutes)),
          ...(step.role === 'base'
            ? { wants: { ...step.wants, finishes: ['natural'], coverages: ['sheer', 'light'] } }
            : {}),
        },
      };
    },
  },
];
