import type { StepGap } from '../shade';
import { gapInWords, gapsInWords } from './fitLook';

const gap = (title: string, why: string, more: Partial<StepGap> = {}) => ({
  title,
  gap: { words: `${title}: ${why}`, why, nearest: null, mixNeeds: null, buy: null, unread: 0, ...more },
});
const CHEEK = gap('Contour the cheek', 'nothing does this.', { buy: 'a matte contour' });
const NOSE = gap('Slim the nose', 'nothing does this.', { buy: 'a matte contour' });
const JAW = gap('Shade the jaw', 'nothing does this.', { buy: 'a matte contour' });
const LIP = gap('Lip', 'nothing does this.', { buy: 'a lip colour' });

test('what is wanting for several steps alike is said once, in their order, the rest by itself', () => {
  expect(gapsInWords([])).toEqual([]);
  expect(gapsInWords([CHEEK])).toEqual([gapInWords(CHEEK.gap)]);
  expect(gapsInWords([CHEEK, LIP, NOSE, JAW])).toEqual([
    'Contour the cheek, slim the nose and shade the jaw: nothing does this. Buy a matte contour.',
    'Lip: nothing does this. Buy a lip colour.',
  ]);
});

test('what else would do it, or is to be bought, is another thing', () => {
  const mixed = gap('Slim the nose', 'nothing does this.', {
    buy: 'a matte contour',
    mixNeeds: 'brown in it',
  });
  expect(gapsInWords([CHEEK, mixed])).toEqual([
    'Contour the cheek: nothing does this. Buy a matte contour.',
    'Slim the nose: nothing does this. Stirred, brown in it would do it. Buy a matte contour.',
  ]);
});

test('what nobody has read is said once for all of it, with how many of each', () => {
  const unread = (title: string, n: number) => gap(title, 'nobody can say.', { unread: n });
  expect(gapsInWords([unread('Base', 4)])).toEqual(['Base: nobody can say.']);
  expect(gapsInWords([CHEEK, unread('Base', 4), NOSE, unread('Blush', 1)])).toEqual([
    'What is at hand has no colour read, so nobody can say what suits, for base (4) and blush (1). Read the pans, or choose by eye in each step.',
    'Contour the cheek and slim the nose: nothing does this. Buy a matte contour.',
  ]);
});
