/** Whether every number of `expected` is within `tol` in `got`; what it does not list is not looked at. */
export function expectNear(got: unknown, expected: unknown, tol: number, where = ''): void {
  if (typeof expected === 'number') {
    if (typeof got !== 'number' || !(Math.abs(got - expected) <= tol))
      throw new Error(`${where || 'value'}: got ${JSON.stringify(got)}, expected ${expected} within ${tol}`);
    return;
  }
  if (Array.isArray(expected)) {
    if (!Array.isArray(got) || got.length !== expected.length)
      throw new Error(`${where}: got ${JSON.stringify(got)}, expected ${JSON.stringify(expected)}`);
    expected.forEach((one, i) => expectNear(got[i], one, tol, `${where}[${i}]`));
    return;
  }
  if (expected !== null && typeof expected === 'object') {
    for (const [key, one] of Object.entries(expected))
      expectNear((got as Record<string, unknown> | null)?.[key], one, tol, `${where}.${key}`);
    return;
  }
  const wanted = expected === 'never' ? null : expected;
  if (got !== wanted)
    throw new Error(`${where}: got ${JSON.stringify(got)}, expected ${JSON.stringify(wanted)}`);
}
