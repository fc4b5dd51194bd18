const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
] as const;

/** The natural logarithm of the gamma function, x > 0 (Lanczos, 1964; g = 7). */
export function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const at = x - 1;
  let sum: number = LANCZOS[0];
  for (let i = 1; i < LANCZOS.length; i++) sum += LANCZOS[i]! / (at + i);
  const t = at + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (at + 0.5) * Math.log(t) - t + Math.log(sum);
}

/** The natural logarithm of the beta function. */
export function logBeta(a: number, b: number): number {
  return logGamma(a) + logGamma(b) - logGamma(a + b);
}

/** P(X <= x) of a Beta(a, b) variable, by its continued fraction (Lentz, 1976). */
export function betaCdf(x: number, a: number, b: number): number {
  if (!(a > 0 && b > 0)) throw new RangeError(`betaCdf: expected a and b above none, got ${a} and ${b}`);
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(a * Math.log(x) + b * Math.log1p(-x) - logBeta(a, b));
  return x < (a + 1) / (a + b + 2)
    ? (front * fraction(x, a, b)) / a
    : 1 - (front * fraction(1 - x, b, a)) / b;
}

function fraction(x: number, a: number, b: number): number {
  const tiny = 1e-300;
  let c = 1;
  let d = 1 - ((a + b) * x) / (a + 1);
  d = 1 / (Math.abs(d) < tiny ? tiny : d);
  let h = d;
  for (let m = 1; m <= 500; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    let step = 1;
    for (const term of [even, odd]) {
      d = 1 + term * d;
      c = 1 + term / c;
      d = 1 / (Math.abs(d) < tiny ? tiny : d);
      c = Math.abs(c) < tiny ? tiny : c;
      step = d * c;
      h *= step;
    }
    if (Math.abs(step - 1) < 1e-16) break;
  }
  return h;
}

/** Where a rising function of [0, 1] reaches a value, by 60 halvings. */
export function quantileOf(cdf: (x: number) => number, p: number): number {
  let [low, high] = [0, 1];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (cdf(middle) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** The quantile of a Beta(a, b) variable. */
export function betaQuantile(p: number, a: number, b: number): number {
  return quantileOf((x) => betaCdf(x, a, b), p);
}
