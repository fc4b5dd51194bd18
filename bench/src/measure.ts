export type Row = {
  readonly what: string;
  readonly ours: string;
  readonly peer: string;
  readonly ratio: string;
};

/** The median time of some rounds in ms, after one round to warm up. */
export function medianMs(work: () => void, rounds = 9): number {
  work();
  const times = Array.from({ length: rounds }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return times[Math.floor(rounds / 2)]!;
}

export const ms = (value: number): string =>
  value < 1
    ? `${(value * 1000).toFixed(0)} µs`
    : value < 100
      ? `${value.toFixed(1)} ms`
      : `${value.toFixed(0)} ms`;

/** A row whose ratio is peer over ours: above 1 we are faster. */
export function row(what: string, oursMs: number, peerName: string, peerMs: number): Row {
  return {
    what,
    ours: ms(oursMs),
    peer: `${peerName} ${ms(peerMs)}`,
    ratio: `${(peerMs / oursMs).toFixed(1)} x`,
  };
}

export function print(rows: readonly Row[]): void {
  const widths = (['what', 'ours', 'peer', 'ratio'] as const).map((key) =>
    Math.max(key.length, ...rows.map((r) => r[key].length)),
  );
  const line = (cells: readonly string[]): string =>
    cells.map((cell, i) => cell.padEnd(widths[i]!)).join('  ');
  const out = [
    line(['what', 'ours', 'peer', 'ratio']),
    ...rows.map((r) => line([r.what, r.ours, r.peer, r.ratio])),
  ];
  process.stdout.write(`${out.join('\n')}\n`);
}
