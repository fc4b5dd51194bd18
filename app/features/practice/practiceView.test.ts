import { exercise, practiceNow, SKILLS, type DrawnExercise } from '@toile/core';
import { askedLine, dueWords, frameOf, freshSeed, lastWords, missWords, standsWords } from './practiceView';
import { movedBy } from '../words/movedBy';

const NOW = '2031-05-14';

test.each([
  [null, 'new'],
  ['2031-05-14', 'due today'],
  ['2031-05-01', 'due today'],
  ['2031-05-15', 'tomorrow'],
  ['2031-05-16', 'in 2 days'],
  ['2031-06-01', 'in 18 days'],
])('due %s is %s', (due, words) => expect(dueWords(due, NOW)).toBe(words));

test('a miss is told in what it is measured in, never in marks', () => {
  const said = SKILLS.map(({ id }) => missWords(id, 1.5));
  expect(said.join(' ')).not.toMatch(/%|points|of 100/);
  expect(missWords('contour', 2.44)).toBe('2.4 mm');
  expect(missWords('pans-depth', 0.8)).toBe('0.8 of a step');
  expect(missWords('pans-undertone', 5)).toBe('5 degrees');
  expect(missWords('corrector', 0.3)).toBe('0.3 off the best');
  expect(missWords('blush-lifted', 2.44)).toBe('2.4 mm');
  expect(missWords('two-pumps', 1.25)).toBe('1.3 off the best');
  expect([missWords('broken', 0), missWords('broken', 2)]).toEqual(['seen', '2 missed or taken wrongly']);
  expect([missWords('steps', 1), missWords('steps', 2)]).toEqual(['1 pair', '2 pairs']);
});

test('where a hand stands is one line: when, how far off, and better only when it is so', () => {
  const [none] = practiceNow([], 'UTC');
  expect(standsWords(none!, NOW)).toBe('new');
  expect(lastWords(none!)).toBeNull();
  const one = { ...none!, last: { misses: [2], median: 2, least: 2, most: 2 } };
  expect(lastWords(one)).toBe('last 2.0 mm');
  const five = {
    ...none!,
    due: '2031-05-15',
    better: true,
    last: { misses: [1, 2, 3, 2, 2], median: 2, least: 1, most: 3 },
  };
  expect(standsWords(five, NOW)).toBe('tomorrow · last 5: 2.0 mm (1.0 mm to 3.0 mm) · better than at first');
});

test('a millimetre is drawn large enough on a phone, whatever is drawn; both sides are seen where one matches the other', () => {
  for (const skill of SKILLS.filter(({ kind }) => kind === 'line' || kind === 'patch'))
    for (const seed of [1, 2, 3]) {
      const task = exercise(skill.id, seed, 0) as DrawnExercise;
      const both = task.kind === 'line' && task.shown !== null;
      const [x, y, width, height] = frameOf(task);
      const pxPerMm = Math.min(358 / width, 420 / height);
      expect(pxPerMm).toBeGreaterThan(both ? 1.9 : task.kind === 'patch' ? 2.4 : 3);
      for (const [px, py] of askedLine(task)) {
        expect(px).toBeGreaterThan(x);
        expect(px).toBeLessThan(x + width);
        expect(py).toBeGreaterThan(y);
        expect(py).toBeLessThan(y + height);
      }
      if (both) expect(Math.abs(x + width / 2)).toBeLessThan(0.01);
    }
});

test('a thing moves by a place and never out of its list; seeds are whole', () => {
  expect(movedBy(['a', 'b', 'c'], 0, 1)).toEqual(['b', 'a', 'c']);
  expect(movedBy(['a', 'b', 'c'], 2, -1)).toEqual(['a', 'c', 'b']);
  expect(movedBy(['a', 'b'], 0, -1)).toEqual(['a', 'b']);
  expect(movedBy(['a', 'b'], 1, 1)).toEqual(['a', 'b']);
  expect([freshSeed(() => 0), freshSeed(() => 0.9999999)]).toEqual([0, 999_999]);
});
