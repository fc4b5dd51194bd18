import { isAtEyesOrLips, isAtLips, isBelowTheJaw, liesOver, touchesEyes, type Placement } from '../face';
import { isWet, type ProductSnapshot } from '../kit';
import type { Step } from '../look';
import { messages, messagesIn, msg } from '../messages';

/** How a technique is said to somebody who does it twice a week. */
const HOW: Readonly<Record<Step['technique'], string>> = messages({
  press: 'press it on, do not rub',
  stipple: 'dab it on lightly, over and over',
  sweep: 'sweep it on',
  buff: 'work it in with small circles',
  flick: 'short strokes, the way the hair grows',
  draw: 'draw it on',
  spray: 'spray from an arm’s length, eyes and mouth closed',
  'dot and melt': 'set dots, wait a little, and press their edges away',
  line: 'draw a thin line, the hand at rest',
});
/** How a step is worked, as it is said: on lashes every technique goes one way. */
export const howWorked = ({ role, technique }: Pick<Step, 'role' | 'technique'>): string =>
  role === 'lash' ? msg`from the roots to the tips` : HOW[technique];

/** What a step is to whoever looks at it: its kind of layer, or its place where that matters more. */
type Seen = Step['role'] | 'spot' | 'light' | 'on the lid' | 'on the lips' | 'on the neck';

/** What throws no light back from one side alone: what is matt, and what covers, whatever its finish. */
const isStill = ({ finish, kind }: ProductSnapshot): boolean =>
  finish === 'matte' || finish === 'natural' || kind === 'concealer' || kind === 'base';
const ON_THE_SKIN: readonly Step['role'][] = ['base', 'conceal', 'correct', 'powder', 'care', 'highlight'];

/**
 * A concealer on a spot is no light under the eye; what lies on lids, lips or neck is looked at there. Cream
 * on a lid gathers where powder falls; light laid with what covers shows from everywhere.
 */
export function seenAs(step: Pick<Step, 'role' | 'placements' | 'use'>): Seen {
  const { role, placements, use } = step;
  const laid = use.map(({ product }) => product);
  if (role === 'eye' && laid.some(isWet)) return 'on the lid';
  if (role === 'highlight' && laid.length > 0 && laid.every(isStill)) return 'light';
  if (!ON_THE_SKIN.includes(role) || placements.length === 0) return role;
  if (role !== 'care' && isAtLips(step)) return 'on the lips';
  if (role !== 'care' && isAtEyesOrLips(step) && touchesEyes(placements)) return 'on the lid';
  if (role === 'base' && isBelowTheJaw(step)) return 'on the neck';
  return role === 'conceal' && !placements.some(isUnderEye) ? 'spot' : role;
}
const isUnderEye = (placement: Placement): boolean =>
  'guide' in placement && liesOver(placement.guide, 'under the eyes');

/** What is looked for when a step is done. */
export const CHECKS: Readonly<Record<Seen, string>> = messages({
  base: 'By the window: no edge at the jaw, and it agrees with the neck.',
  conceal: 'Look up: nothing lies in a line.',
  spot: 'By the window, from an arm’s length: neither the spot nor what covers it.',
  'on the lid': 'Eyes open and straight ahead: nothing gathers in the fold.',
  'on the lips': 'Even to both corners, and nothing in their lines.',
  'on the neck': 'Turn the head by the window: no edge at the jaw, none at the collar.',
  correct: 'The shadow is gone, not the skin.',
  brow: 'Both begin alike; brush them through.',
  lip: 'The middle and both corners are covered.',
  'lip line': 'It follows the edge, and meets in the middle.',
  blush: 'Both sides alike, from an arm’s length.',
  lash: 'Nothing on the lid; look down until it is dry.',
  powder: 'The skin is soft to the back of the hand, not dusty.',
  care: 'It has settled before the next.',
  eye: 'Eyes open and straight ahead: both sides alike.',
  contour: 'Turn the head: a shadow, no stripe.',
  bronze: 'As if the sun had been there.',
  highlight: 'It shows when you turn, and not straight on.',
  light: 'By the window: lighter than beside it, and nowhere an edge.',
  liner: 'No gap between lashes and line.',
  adornment: 'It holds.',
});
/** What is likely to go wrong, as it is seen, and what helps. */
export const FAULTS: Readonly<Partial<Record<Seen, { readonly seen: string; readonly cure: string }>>> =
  messagesIn(['seen', 'cure'], {
    base: {
      seen: 'It looks like a mask',
      cure: 'Take half of it, and press a clean damp sponge, or a tissue, over it.',
    },
    conceal: { seen: 'It creases', cure: 'Less of it, at the inner corner only, pressed.' },
    spot: { seen: 'It shows as a light patch', cure: 'Less of it; press its edge alone until it is gone.' },
    'on the lid': {
      seen: 'It gathers in the fold',
      cure: 'Eye closed, smooth it with a clean finger; less of it.',
    },
    'on the neck': {
      seen: 'It comes off on the collar',
      cure: 'Press a tissue over it, then a little powder.',
    },
    brow: { seen: 'Too hard', cure: 'Brush it through; next time begin further out.' },
    blush: { seen: 'Too much', cure: 'Press a clean damp sponge, or a tissue, over it.' },
    lash: { seen: 'It smudges', cure: 'Let it dry with the eyes down, and powder below.' },
    powder: { seen: 'It looks dusty', cure: 'Press a damp sponge over it once, or a warm clean hand.' },
    contour: { seen: 'A stripe', cure: 'Blend its lower edge upwards, with no more of it taken up.' },
    light: { seen: 'A pale stripe', cure: 'Less of it; press its edge alone until it is gone.' },
    eye: { seen: 'It falls on the cheek', cure: 'Tap off what is loose first; sweep the cheek clean.' },
    liner: { seen: 'It wobbles', cure: 'Rest the elbow, and join three short strokes.' },
    lip: { seen: 'It bleeds', cure: 'Blot it, and press a little powder over a tissue.' },
  });
