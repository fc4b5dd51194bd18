import type { Step } from '../look';
import { messages, messagesIn } from '../messages';

/** How a technique is said to somebody who does it twice a week. */
export const HOW: Readonly<Record<Step['technique'], string>> = messages({
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
/** What is looked for when a step is done. */
export const CHECKS: Readonly<Record<Step['role'], string>> = messages({
  base: 'By the window: no edge at the jaw, and it agrees with the neck.',
  conceal: 'Look up: nothing lies in a line.',
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
  liner: 'No gap between lashes and line.',
  adornment: 'It holds.',
});
/** What is likely to go wrong, as it is seen, and what helps. */
export const FAULTS: Readonly<
  Partial<Record<Step['role'], { readonly seen: string; readonly cure: string }>>
> = messagesIn(['seen', 'cure'], {
  base: {
    seen: 'It looks like a mask',
    cure: 'Take half of it, and press a clean damp sponge, or a tissue, over it.',
  },
  conceal: { seen: 'It creases', cure: 'Less of it, at the inner corner only, pressed.' },
  brow: { seen: 'Too hard', cure: 'Brush it through; next time begin further out.' },
  blush: { seen: 'Too much', cure: 'Press a clean damp sponge, or a tissue, over it.' },
  lash: { seen: 'It smudges', cure: 'Let it dry with the eyes down, and powder below.' },
  powder: { seen: 'It looks dusty', cure: 'Press a damp sponge over it once, or a warm clean hand.' },
  contour: { seen: 'A stripe', cure: 'Blend its lower edge upwards with nothing on the brush.' },
  eye: { seen: 'It falls on the cheek', cure: 'Tap the brush off first, and sweep the cheek clean.' },
  liner: { seen: 'It wobbles', cure: 'Rest the elbow, and join three short strokes.' },
  lip: { seen: 'It bleeds', cure: 'Blot it, and press a little powder over a tissue.' },
});
