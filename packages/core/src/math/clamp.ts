/** x held between low and high. */
export function clamp(x: number, low: number, high: number): number {
  return x < low ? low : x > high ? high : x;
}

/** The point a fraction t of the way from a to b. */
export function lerp(a: number, b: number, t: number): number {
  return a + (b - a) * t;
}
