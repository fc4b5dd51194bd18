import { doseFor, familiesAgree, measuresFor, shelfLife, TOOL_LOSS, TOOLS } from '.';
import { matchAllergens } from '../care';

const opened = (on: string | null) => ({ openedOn: on });

test('shelf life runs from opening in whole months, month ends held', () => {
  expect(shelfLife(opened('2031-01-31'), { monthsAfterOpening: 1 }, '2031-02-28')).toEqual({
    state: 'soon',
    until: '2031-02-28',
  });
  expect(shelfLife(opened('2031-01-31'), { monthsAfterOpening: 1 }, '2031-03-01').state).toBe('past');
  expect(shelfLife(opened('2031-01-15'), { monthsAfterOpening: 12 }, '2031-06-01')).toEqual({
    state: 'good',
    until: '2032-01-15',
  });
  expect(shelfLife(opened('2027-08-29'), { monthsAfterOpening: 6 }, '2027-09-01').until).toBe('2028-02-29');
  expect(shelfLife(opened(null), { monthsAfterOpening: 6 }, '2031-01-01')).toEqual({
    state: 'unopened',
    until: null,
  });
  expect(() => shelfLife(opened('last May'), { monthsAfterOpening: 6 }, '2031-01-01')).toThrow('YYYY-MM-DD');
});

test('soon is the last thirty days, the last of them included', () => {
  const on = (today: string) => shelfLife(opened('2031-01-15'), { monthsAfterOpening: 12 }, today).state;
  expect([on('2031-12-16'), on('2031-12-17'), on('2032-01-15'), on('2032-01-16')]).toEqual([
    'good',
    'soon',
    'soon',
    'past',
  ]);
});

test('nothing on nothing is nothing; less than nothing is refused, whichever it is', () => {
  const step = { doseMgPerCm2: 0, passes: 1, tool: 'finger' as const };
  expect(doseFor(step, 0)).toEqual({ onFaceMg: 0, takenMg: 0 });
  expect(doseFor({ ...step, doseMgPerCm2: 1 }, 0).takenMg).toBe(0);
  expect(() => doseFor(step, -1)).toThrow('area -1 cm2');
  expect(() => doseFor(step, Number.NaN)).toThrow('negative');
});

test('the tool keeps its share', () => {
  expect(doseFor({ doseMgPerCm2: 0.5, passes: 2, tool: 'damp sponge' }, 100)).toEqual({
    onFaceMg: 100,
    takenMg: 100 / 0.75,
  });
  expect(doseFor({ doseMgPerCm2: 0.5, passes: 1, tool: 'airbrush' }, 70).takenMg).toBeCloseTo(50, 9);
  expect(() => doseFor({ doseMgPerCm2: -1, passes: 1, tool: 'finger' }, 1)).toThrow('negative');
  for (const tool of TOOLS) expect(TOOL_LOSS[tool]).toBeLessThan(1);
});

test('whole measures, at least one when anything is needed', () => {
  expect([measuresFor(0, 150), measuresFor(10, 150), measuresFor(240, 150)]).toEqual([0, 1, 2]);
});

test('families', () => {
  expect(familiesAgree('silicone', 'silicone')).toBe(true);
  expect(familiesAgree('silicone', 'water')).toBe(false);
  expect(familiesAgree('oil', 'wax')).toBe(true);
  expect(familiesAgree('powder', 'water')).toBe(true);
});

test.each([
  ['latex', 'Natural Latex'],
  ['fragrance', 'Parfum'],
  ['fragrance', 'Linalool'],
  ['lanolin', 'Acetylated lanolin'],
  ['carmine', 'CI 75470'],
  ['nut oils', 'Prunus amygdalus dulcis oil'],
  ['fibres', 'Nylon fibers'],
  ['cyanoacrylate', 'Ethyl cyanoacrylate'],
] as const)('%s is found in %s', (sensitivity, ingredient) => {
  expect(matchAllergens(['water', ingredient], [sensitivity])).toEqual([{ sensitivity, ingredient }]);
});

test('words that only look alike are left alone', () => {
  expect(
    matchAllergens(
      ['parfumery grade water', 'chestnut brown', 'nickelodeon'],
      ['fragrance', 'nut oils', 'nickel'],
    ),
  ).toEqual([]);
  expect(matchAllergens(['latex'], [])).toEqual([]);
});
