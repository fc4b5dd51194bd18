import type { Features, GuideName, LayerKind, Measurements } from '../face';
import { messagesIn } from '../messages';
import type { LineTask } from './feedback';
import type { PatchWords } from './patch';

type Words = Omit<LineTask, 'side' | 'breach'>;
type Common = { readonly id: string; readonly name: string; readonly asks: string; readonly why: string };

/** A line drawn on a face, judged by its guide. */
export type LineSkill = Common & {
  readonly kind: 'line';
  readonly guide: GuideName;
  readonly role: LayerKind;
  readonly words: Words;
  /** What the face has to be; anything where nothing is said. */
  readonly facts?: { readonly [F in keyof Measurements]?: readonly [from: number, to: number] };
  readonly features?: Partial<Features>;
  /** The other half is shown done, and this one is to match it. */ readonly match?: boolean;
  /** The line asked for is the hollow's, which the guide keeps above. */ readonly hollow?: boolean;
};
/** A patch drawn round on a face, judged by how much of it lies on its guide. */
export type PatchSkill = Common & {
  readonly kind: 'patch';
  readonly guide: GuideName;
  readonly role: LayerKind;
  readonly words: PatchWords;
  readonly features?: Partial<Features>;
  /** The patch asked for is the triangle of the forehead contour leaves free, on both sides of the middle. */
  readonly triangle?: boolean;
};
/** Things put in order, or some of several chosen. */
export type AnswerSkill = Common & {
  readonly kind: 'depth' | 'undertone' | 'corrector' | 'mix' | 'steps' | 'broken';
};
export type Skill = LineSkill | PatchSkill | AnswerSkill;

const CHEEK: Words = messagesIn(['startWords', 'endWords', 'towards', 'cure'], {
  startWords: 'at the ear',
  endWords: 'towards the corner of the mouth',
  towards: ['the cheekbone', 'the hollow'],
  cure: 'smile, find the edge of the bone, and stay on it.',
});

const BLUSH: PatchWords = messagesIn(['towards', 'cure'], {
  towards: ['too far back', 'too far in', 'too low', 'too high'],
  cure: 'up and back along the bone, clear of the contour and of the eye.',
});

const line = (skill: Omit<LineSkill, 'kind'>): LineSkill => ({ kind: 'line', ...skill });
const patch = (skill: Omit<PatchSkill, 'kind'>): PatchSkill => ({ kind: 'patch', ...skill });

/** What is practised: each skill is a card of its own, on a fresh face each time. */
export const SKILLS: readonly Skill[] = messagesIn(
  ['name', 'asks', 'why', 'startWords', 'endWords', 'towards', 'cure'],
  [
    line({
      id: 'contour',
      name: 'Cheek contour',
      asks: 'Draw the cheek contour, from where most product lies.',
      why: 'Three millimetres lower it lies in the hollow and drags the face down.',
      guide: 'cheekContour',
      role: 'contour',
      words: CHEEK,
    }),
    line({
      id: 'contour-long',
      name: 'Cheek contour on a long face',
      asks: 'A long face: draw the cheek contour.',
      why: 'On a long face it lies flatter, to cut the length.',
      guide: 'cheekContour',
      role: 'contour',
      words: CHEEK,
      facts: { faceLength: [194, 204], cheekboneWidth: [122, 130] },
    }),
    line({
      id: 'contour-wide',
      name: 'Cheek contour on a wide face',
      asks: 'A wide face: draw the cheek contour.',
      why: 'On a wide face it lies steeper, to narrow it.',
      guide: 'cheekContour',
      role: 'contour',
      words: CHEEK,
      facts: { faceLength: [160, 170], cheekboneWidth: [138, 144] },
    }),
    line({
      id: 'hollow',
      name: 'The hollow',
      asks: 'Draw the hollow that sucking the cheeks in shows.',
      why: 'Contour lies above it, on the edge a smile shows: who knows both keeps them apart.',
      guide: 'cheekContour',
      role: 'base',
      words: {
        startWords: 'under the ear',
        endWords: 'beside the corner of the mouth',
        towards: ['the cheekbone', 'the jaw'],
        cure: 'suck the cheeks in, and feel where they give.',
      },
      hollow: true,
    }),
    patch({
      id: 'blush-lifted',
      name: 'Blush, lifted',
      asks: 'Draw round where lifted blush lies.',
      why: 'A little lower it lies on the contour, and both turn muddy.',
      guide: 'blushLifted',
      role: 'blush',
      words: BLUSH,
    }),
    patch({
      id: 'blush-mature',
      name: 'Blush on a mature cheek',
      asks: 'A mature cheek: draw round where blush lies.',
      why: 'On the apple it drops as soon as the smile ends.',
      guide: 'blushLifted',
      role: 'blush',
      words: { ...BLUSH, cure: 'higher than the apple, up and back along the bone.' },
      features: { age: 'mature', lines: ['smile', 'under eye'] },
    }),
    line({
      id: 'nose',
      name: 'Nose',
      asks: 'Draw one side of the nose contour.',
      why: 'Two millimetres decide whether it narrows or widens.',
      guide: 'noseContour',
      role: 'contour',
      words: {
        startWords: 'beside the inner brow',
        endWords: 'at the tip',
        towards: ['the ridge', 'the cheek'],
        cure: 'keep to the edge of the ridge, both sides as far from its middle.',
      },
    }),
    line({
      id: 'jaw',
      name: 'Jaw',
      asks: 'Draw the contour along the jaw.',
      why: 'On the bone it lifts; above it, it is a shadow on the cheek.',
      guide: 'jawContour',
      role: 'contour',
      words: {
        startWords: 'under the ear',
        endWords: 'before the chin',
        towards: ['the face', 'the neck'],
        cure: 'feel the bone and keep on its edge.',
      },
    }),
    line({
      id: 'forehead',
      name: 'Forehead',
      asks: 'Draw the contour along the hairline, on one side.',
      why: 'It fades into the hair: away from it, it is a stripe.',
      guide: 'foreheadContour',
      role: 'contour',
      words: {
        startWords: 'at the hairline over the pupil',
        endWords: 'at the temple',
        towards: ['the middle of the face', 'the hair'],
        cure: 'follow the hairline, and let it fade inwards.',
      },
    }),
    patch({
      id: 'free-triangle',
      name: 'The free triangle',
      asks: 'Draw round the triangle of the forehead that contour leaves free.',
      why: 'Between the arches of the brows and the hairline it stays light: contour in it narrows and darkens the whole face.',
      guide: 'foreheadContour',
      role: 'highlight',
      words: {
        towards: ['too far to the client’s left', 'too far to the client’s right', 'too low', 'too high'],
        cure: 'from the arch of one brow to the other, up to the middle of the hairline.',
      },
      triangle: true,
    }),
    line({
      id: 'hooded-crease',
      name: 'Crease on a hooded eye',
      asks: 'The lid is hooded: draw the crease where it shows with the eye open.',
      why: 'In the fold itself it vanishes when the eye opens.',
      guide: 'socket',
      role: 'eye',
      words: {
        startWords: 'over the inner third of the lid',
        endWords: 'over the outer corner',
        towards: ['the lid', 'the brow'],
        cure: 'place it with the eye open, looking straight ahead.',
      },
      features: { lids: { left: 'hooded', right: 'hooded' } },
    }),
    patch({
      id: 'outer-lid',
      name: 'Outer third of the lid',
      asks: 'Draw round the outer third of the lid.',
      why: 'Further in, it takes the light out of the eye.',
      guide: 'outerLid',
      role: 'eye',
      words: {
        towards: ['too far out', 'too far in', 'too low', 'too high'],
        cure: 'from the outer corner to where the iris ends, no higher than the fold.',
      },
    }),
    line({
      id: 'liner',
      name: 'Liner',
      asks: 'Draw the liner along the upper lashes.',
      why: 'A gap of skin between lash and line opens when the eye moves.',
      guide: 'liner',
      role: 'liner',
      words: {
        startWords: 'where the lashes begin to be dense',
        endWords: 'at the outer corner, in the line of the lower lid',
        towards: ['the eye', 'the lid'],
        cure: 'press into the roots of the lashes.',
      },
    }),
    line({
      id: 'lower-line',
      name: 'Lower line, two thirds',
      asks: 'Draw the lower line: the outer two thirds.',
      why: 'All the way in, it closes the eye.',
      guide: 'lowerLine',
      role: 'eye',
      words: {
        startWords: 'at the outer corner',
        endWords: 'before the inner third',
        towards: ['the eye', 'the cheek'],
        cure: 'keep just under the lashes.',
      },
    }),
    line({
      id: 'brow',
      name: 'Brow',
      asks: 'Draw the line a brow follows.',
      why: 'Its arch and tail decide how open the eye looks.',
      guide: 'brow',
      role: 'brow',
      words: {
        startWords: 'over the wing of the nose',
        endWords: 'where nose and outer corner point',
        towards: ['the eye', 'the forehead'],
        cure: 'follow the hairs that are there, and fill what is missing.',
      },
    }),
    line({
      id: 'other-side',
      name: 'Match the other side',
      asks: 'One side is done: draw the other to match it.',
      why: 'Both sides are seen together; the eye finds two millimetres.',
      guide: 'cheekContour',
      role: 'contour',
      words: {
        ...CHEEK,
        cure: 'measure with the eyes from the corner of the mouth and the ear on both sides.',
      },
      match: true,
    }),
    {
      id: 'pans-depth',
      kind: 'depth',
      name: 'Pans, light to dark',
      asks: 'Put the pans in order, the lightest first.',
      why: 'In the pan a warm shade looks deeper than it is.',
    },
    {
      id: 'pans-undertone',
      kind: 'undertone',
      name: 'Pans by undertone',
      asks: 'Put the pans in order, the coolest first, the warmest last.',
      why: 'A base off in undertone turns grey or orange, whatever its depth.',
    },
    {
      id: 'corrector',
      kind: 'corrector',
      name: 'Which corrector',
      asks: 'This is under the eye, beside the cheek: which corrector brings it nearest to the cheek?',
      why: 'Blue wants orange, deeper on deeper skin; a wrong one is a second shadow.',
    },
    {
      id: 'two-pumps',
      kind: 'mix',
      name: 'A skin in two pumps',
      asks: 'Two pumps, of one pan or of two: which come nearest to this skin?',
      why: 'Hardly a skin is in the bottle as it is; two halves that lie on either side of it are.',
    },
    {
      id: 'steps',
      kind: 'steps',
      name: 'The order of steps',
      asks: 'Put the steps in the order you would work them.',
      why: 'Cream before powder, and nothing on what is still wet.',
    },
    {
      id: 'broken',
      kind: 'broken',
      name: 'What is wrong here',
      asks: 'Something here goes against the practice of the trade: what is it?',
      why: 'What is seen on paper need not be seen on a face.',
    },
  ],
);

/** A skill by its id; null for none. */
export const skillNamed = (id: string): Skill | null => SKILLS.find((one) => one.id === id) ?? null;
/** The skill a guide is practised by; null where there is none. */
export const skillForGuide = (guide: string): Skill | null =>
  SKILLS.find(
    (one) =>
      (one.kind === 'line' && one.guide === guide && !one.facts && !one.match && !one.hollow) ||
      (one.kind === 'patch' && one.guide === guide && !one.triangle),
  ) ?? null;
