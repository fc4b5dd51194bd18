import { healthyChromaAt, lightnessAtDepth, neutralSkinAt, shiftDepth, undertoneOf, type Lab } from '.';

const DEPTHS = Array.from({ length: 36 }, (_, i) => 3.5 + i / 2);
const skin = (depth: number, undertone: 'cool' | 'neutral' | 'warm' | 'olive' | 'red'): Lab =>
  shiftDepth([lightnessAtDepth(depth), 12, 18], 0, { undertone });

test('deep skin is never called cool: redder than its depth asks is red, a warm undertone in the trade', () => {
  for (const depth of DEPTHS) {
    const named = undertoneOf(skin(depth, 'cool')).undertone;
    expect(named).toBe(lightnessAtDepth(depth) < 46 ? 'red' : 'cool');
  }
  expect(undertoneOf([28, 14, 8]).undertone).toBe('red');
  expect(undertoneOf([82, 11, 10]).undertone).toBe('cool');
});

test('olive is yellow with less red and less colour than its depth asks, said of very fair skin only when sure', () => {
  for (const depth of DEPTHS)
    expect(['olive', 'warm']).toContain(undertoneOf(skin(depth, 'olive')).undertone);
  expect(undertoneOf(skin(10, 'olive')).undertone).toBe('olive');
  const [L] = skin(4, 'olive');
  const { hue, chroma } = neutralSkinAt(L);
  const at = (turn: number, dull: number): Lab => {
    const radians = ((hue + turn) * Math.PI) / 180;
    return [L, (chroma - dull) * Math.cos(radians), (chroma - dull) * Math.sin(radians)];
  };
  expect(undertoneOf(at(7, 2)).undertone).toBe('warm');
  expect(undertoneOf(at(9.5, 2)).undertone).toBe('olive');
});

test('neutral stays neutral, warm stays warm, over all depths', () => {
  for (const depth of DEPTHS) {
    expect(undertoneOf(skin(depth, 'neutral')).undertone).toBe('neutral');
    expect(undertoneOf(skin(depth, 'warm')).undertone).toBe('warm');
    expect(healthyChromaAt(skin(depth, 'neutral')[0], skin(depth, 'neutral'))).toBeCloseTo(
      neutralSkinAt(skin(depth, 'neutral')[0]).chroma,
      6,
    );
  }
});

// By hand: 15 + 10 e^-((L - 55) / 16)^2 and its loss under 42, 58 + 0.06 (L - 55) and its turn under 45.
test.each([
  [55, 58, 25],
  [71, 58.96, 18.679],
  [39, 53.74, 17.839],
  [45, 57.4, 21.766],
  [42, 55.57, 20.168],
  [30, 48.25, 12.51],
  [20, 42.15, 8.924],
])('neutral skin of L* %d has hue %d and chroma %d', (L, hue, chroma) => {
  expect(neutralSkinAt(L).hue).toBeCloseTo(hue, 2);
  expect(neutralSkinAt(L).chroma).toBeCloseTo(chroma, 2);
});
