import { fewOf, placesFor, saidOf } from './substituteView';

const TODAY = '2031-05-14';
const on = (id: string, date: string) => ({ id, date });
const [past, today, next] = [on('past', '2031-05-13'), on('today', TODAY), on('next', '2031-06-01')];
const told = (charts: readonly { id: string; date: string }[], chosen: string | null) =>
  placesFor(charts, chosen, TODAY).map(({ words, chartIds }) => `${words}: ${chartIds.join(' ')}`);

test('where a substitute may be put: what says the same as one before it is left out', () => {
  expect(told([], null)).toEqual([]);
  expect(told([next], 'next')).toEqual(['that chart: next']);
  expect(told([past], 'past')).toEqual(['that chart: past']);
  expect(told([today, next], 'next')).toEqual(['that chart: next', 'all 2 still to come: today next']);
  expect(told([past, today], 'today')).toEqual(['that chart: today', 'all 2, past ones too: past today']);
  expect(told([past, next], 'past')).toEqual([
    'that chart: past',
    'the one still to come: next',
    'all 2, past ones too: past next',
  ]);
  expect(told([past, on('older', '2030-01-01')], 'past')).toEqual([
    'that chart: past',
    'all 2 that use it: past older',
  ]);
  expect(told([past, today, next], 'today')).toEqual([
    'that chart: today',
    'all 2 still to come: today next',
    'all 3, past ones too: past today next',
  ]);
});

test('what came of it: how many, and who is left out and why', () => {
  const changed = [{ chartId: 'a', version: 2 }];
  expect(saidOf({ changed, left: [] }, 'Veil V4')).toBe('1 chart has a new version with Veil V4.');
  const left = [
    { chartId: 'b', clientName: 'Ines', because: 'Veil V4: contains lanolin (lanolin)' },
    { chartId: 'c', clientName: 'Oda', because: 'Veil V4: withdrawn' },
  ];
  expect(saidOf({ changed: [...changed, { chartId: 'd', version: 3 }], left }, 'Veil V4')).toBe(
    '2 charts have a new version with Veil V4. Left as they are: Ines (Veil V4: contains lanolin (lanolin)) and Oda (Veil V4: withdrawn).',
  );
});

test('of many charts a few are offered: those to come, or the newest; the chosen one is never missing', () => {
  const many = Array.from({ length: 9 }, (_, i) => on(`c${i}`, i < 3 ? '2031-06-01' : '2030-01-01'));
  const ids = (charts: readonly { id: string; date: string }[], chosen: string | null) =>
    fewOf(charts, chosen, TODAY).map(({ id }) => id);
  expect(ids(many, 'c0')).toEqual(['c0', 'c1', 'c2']);
  expect(ids(many, 'c7')).toEqual(['c0', 'c1', 'c2', 'c7']);
  expect(ids(many.slice(3), null)).toEqual(['c3', 'c4', 'c5', 'c6']);
  // One more is no list to be hidden.
  expect(ids(many.slice(0, 5), null)).toHaveLength(5);
  expect(ids([], null)).toEqual([]);
});
