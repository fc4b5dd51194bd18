import { messagesIn } from '../messages';

export type PracticeStep = { readonly id: string; readonly words: string };

/** Steps of the trade in their order. */
export const STEPS: readonly PracticeStep[] = messagesIn(
  ['words'],
  [
    { id: 'clean', words: 'Clean hands, tools and skin' },
    { id: 'prep', words: 'Moisturise, and let it settle' },
    { id: 'prime', words: 'Primer where it shines' },
    { id: 'correct', words: 'Corrector under the eye' },
    { id: 'base', words: 'Base, thin, from the centre' },
    { id: 'conceal', words: 'Concealer where it still shows' },
    { id: 'cream', words: 'Cream contour' },
    { id: 'set', words: 'Powder to set' },
    { id: 'powder', words: 'Powder blush' },
    { id: 'spray', words: 'Setting spray, let it dry' },
    { id: 'check', words: 'Check in daylight and with the flash' },
  ],
);
