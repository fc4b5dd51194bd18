/** Hours since it was put on: last seen holding, first seen failing (null: never). */
export type Wear = { readonly good: number; readonly bad: number | null; readonly weight?: number };

/** Where the failing lies, as shares of intervals (from, to]; to null: later than anyone looked. */
export type Mass = { readonly from: number; readonly to: number | null; readonly share: number };

/** Throws a RangeError that says which wear cannot be. */
export function checkWears(wears: readonly Wear[]): void {
  wears.forEach(({ good, bad }, i) => {
    if (!(good >= 0)) throw new RangeError(`wear ${i + 1}: last seen holding at ${good} h`);
    if (bad !== null && !(bad > good))
      throw new RangeError(`wear ${i + 1}: seen failing at ${bad} h and holding at ${good} h`);
  });
}

/**
 * The distribution of wear times known only by intervals, without any model (Turnbull, 1976), by expectation
 * and maximisation to 1e-13 over the innermost intervals.
 */
export function turnbull(wears: readonly Wear[]): Mass[] {
  checkWears(wears);
  if (wears.length === 0) return [];
  const ends = (wear: Wear): number => wear.bad ?? Infinity;
  // At ties a closing end comes before an opening one: (2, 4] and (4, 6] do not meet.
  const marks = wears
    .flatMap((wear) => [
      { at: wear.good, opens: true },
      { at: ends(wear), opens: false },
    ])
    .sort((a, b) => a.at - b.at || Number(a.opens) - Number(b.opens));
  const cells: { from: number; to: number }[] = [];
  marks.forEach((mark, i) => {
    const next = marks[i + 1];
    if (mark.opens && next && !next.opens) cells.push({ from: mark.at, to: next.at });
  });
  const holds = wears.map((wear) => cells.map((cell) => cell.from >= wear.good && cell.to <= ends(wear)));
  const weights = wears.map((wear) => wear.weight ?? 1);
  const total = weights.reduce((sum, one) => sum + one, 0);
  let shares = cells.map(() => 1 / cells.length);
  for (let round = 0; round < 20_000; round++) {
    const next = cells.map(() => 0);
    holds.forEach((inside, i) => {
      const sum = inside.reduce((part, one, j) => part + (one ? shares[j]! : 0), 0);
      inside.forEach((one, j) => {
        if (one) next[j]! += (weights[i]! * shares[j]!) / (sum * total);
      });
    });
    const moved = Math.max(...next.map((one, j) => Math.abs(one - shares[j]!)));
    shares = next;
    if (moved < 1e-13) break;
  }
  return cells
    .map(({ from, to }, i) => ({ from, to: to === Infinity ? null : to, share: shares[i]! }))
    .filter((one) => one.share > 1e-9);
}

/** Between what shares it still holds at an hour: inside an interval the curve may be anywhere. */
export function holdBand(
  masses: readonly Mass[],
  hour: number,
): { readonly low: number; readonly high: number } {
  const sum = (take: (mass: Mass) => boolean): number =>
    masses.reduce((all, mass) => all + (take(mass) ? mass.share : 0), 0);
  return { low: sum(({ from }) => from >= hour), high: sum(({ to }) => to === null || to > hour) };
}
