import { LAYER_KINDS, usualTaken } from '@toile/core';
import { placeWords, takenShadeWords, takenWords } from './takeDownView';

test.each([
  [{ by: 'skin', depthSteps: 0 }, 'as the skin'],
  [{ by: 'skin', depthSteps: 1 }, '1 step deeper than the skin'],
  [{ by: 'skin', depthSteps: -1.5 }, '1.5 steps lighter than the skin'],
  [{ by: 'word', word: 'rose', tone: 'as it is' }, 'rose'],
  [{ by: 'word', word: 'berry', tone: 'deep' }, 'deep berry'],
  [{ by: 'reading', lab: [41.6, 30, 12] }, 'as read, L* 42'],
  [{ by: 'none' }, 'no shade'],
] as const)('%j is %s', (shade, words) => expect(takenShadeWords(shade)).toBe(words));

test('a step is one line: kind, place, shade, finish where it was seen, tool where there is one', () => {
  const blush = usualTaken('blush');
  expect(takenWords({ ...blush, guides: ['blushLifted'], tool: 'finger', finish: 'satin' })).toBe(
    'Blush: lifted blush; rose; satin; finger',
  );
  expect(takenWords({ ...blush, guides: ['blushLifted'], tool: 'none' })).toBe('Blush: lifted blush; rose');
  for (const role of LAYER_KINDS) expect(takenWords(usualTaken(role))).toMatch(/^[A-Z][a-z ]*: \S/);
  expect(placeWords('cheekContour')).toBe('Cheek contour');
});
