import { solveInPlace } from '../math';

/** A finished visit: what was planned from its chart, and what it took. */
export type Timed = {
  readonly worker: string;
  readonly look: string;
  readonly kind: string;
  readonly plannedMinutes: number;
  readonly realMinutes: number;
  /** Days ago. */ readonly age?: number;
};

export type Learned = {
  /** Multiplies the chart's minutes. */ readonly factor: number;
  /** Standard deviation of ln(real / planned) of a new visit. */ readonly sd: number;
  /** What it rests on: "Teodor +6 %, this look +2 %". */
  readonly because: readonly {
    readonly of: 'studio' | 'worker' | 'look' | 'kind' | 'workerLook';
    readonly effect: number;
  }[];
  /** Visits of this worker that were looked at. */ readonly visits: number;
};

/** Spread of the effects before anything is known: studio, worker, look, kind of person, worker and look. */
const SPREAD = { studio: 0.01, worker: 0.0144, look: 0.01, kind: 0.01, workerLook: 0.0064 } as const;
/** Spread of one visit about its mean, as it is until learned, and what that is worth in visits. */
const VISIT_SPREAD = 0.0324;
const VISIT_SPREAD_WORTH = 20;
/** Ratios beyond these are forgotten taps and breaks. */
const SOUND = { least: 0.4, most: 2.5 } as const;
const HALF_LIFE_DAYS = 365;

/** What a timed visit may be spoken of by. */
type Subject = Pick<Timed, 'worker' | 'look' | 'kind'>;

export type LearnOptions = {
  /** The spread of a visit held where it is, not learned. */ readonly fixedSpread?: boolean;
};

/**
 * What a studio's own minutes teach: ln(real / planned) = studio + worker + look + kind + worker x look, all
 * effects shrunk towards none (ridge regression as the mean of a normal posterior), weighed down by age. One
 * visit moves little; many speak for themselves.
 */
export function learnMinutes(
  timed: readonly Timed[],
  { fixedSpread = false }: LearnOptions = {},
): (of: Subject) => Learned {
  const sound = timed.filter(({ realMinutes, plannedMinutes }) => {
    const ratio = realMinutes / plannedMinutes;
    return ratio >= SOUND.least && ratio <= SOUND.most;
  });
  const index = new Map<string, number>();
  const spreads: number[] = [];
  const at = (name: string, spread: number): number => {
    const known = index.get(name);
    if (known !== undefined) return known;
    index.set(name, spreads.length);
    spreads.push(spread);
    return spreads.length - 1;
  };
  const rows = sound.map((one) => ({
    columns: namesOf(one).map(([name, kind]) => at(name, SPREAD[kind])),
    y: Math.log(one.realMinutes / one.plannedMinutes),
    weight: 0.5 ** ((one.age ?? 0) / HALF_LIFE_DAYS),
  }));
  let s2 = VISIT_SPREAD;
  let fit = solve(rows, spreads, s2);
  for (let round = 0; round < 5 && !fixedSpread && rows.length > 0; round++) {
    const rss = rows.reduce(
      (sum, row) => sum + row.weight * (row.y - row.columns.reduce((m, c) => m + fit.effects[c]!, 0)) ** 2,
      0,
    );
    const n = rows.reduce((sum, row) => sum + row.weight, 0);
    s2 = (VISIT_SPREAD_WORTH * VISIT_SPREAD + rss) / (VISIT_SPREAD_WORTH + Math.max(0, n - fit.freedom));
    fit = solve(rows, spreads, s2);
  }
  return (subject) => {
    const names = namesOf(subject);
    const known = names.flatMap(([name]) => index.get(name) ?? []);
    const unknown = names
      .filter(([name]) => !index.has(name))
      .reduce((sum, [, kind]) => sum + SPREAD[kind], 0);
    const mean = known.reduce((sum, column) => sum + fit.effects[column]!, 0);
    const variance = known.reduce(
      (sum, a) => sum + known.reduce((part, b) => part + fit.covariance[a]![b]!, 0),
      0,
    );
    return {
      factor: Math.exp(mean),
      sd: Math.sqrt(s2 + variance + unknown),
      because: names.flatMap(([name, kind]) => {
        const column = index.get(name);
        return column === undefined ? [] : [{ of: kind, effect: fit.effects[column]! }];
      }),
      visits: sound.filter((one) => one.worker === subject.worker).length,
    };
  };
}

function namesOf({ worker, look, kind }: Subject): (readonly [name: string, kind: keyof typeof SPREAD])[] {
  return [
    ['studio', 'studio'],
    [`worker ${worker}`, 'worker'],
    [`look ${look}`, 'look'],
    [`kind ${kind}`, 'kind'],
    [`worker ${worker}, look ${look}`, 'workerLook'],
  ];
}

type Row = { readonly columns: readonly number[]; readonly y: number; readonly weight: number };

/** Effects, their covariance and the degrees of freedom used, for one spread of visits. */
function solve(
  rows: readonly Row[],
  spreads: readonly number[],
  s2: number,
): { effects: Float64Array; covariance: readonly Float64Array[]; freedom: number } {
  const n = spreads.length;
  if (n === 0) return { effects: new Float64Array(0), covariance: [], freedom: 0 };
  const gram = new Float64Array(n * n);
  const right = new Float64Array(n);
  for (const { columns, y, weight } of rows) {
    for (const a of columns) {
      right[a]! += weight * y;
      for (const b of columns) gram[a * n + b]! += weight;
    }
  }
  const normal = gram.slice();
  const inverse = new Float64Array(n * n);
  spreads.forEach((spread, i) => {
    normal[i * n + i]! += s2 / spread;
    inverse[i * n + i] = 1;
  });
  const effects = solveInPlace(normal.slice(), right, n);
  solveInPlace(normal, inverse, n, n);
  let freedom = 0;
  for (let i = 0; i < n; i++) for (let j = 0; j < n; j++) freedom += gram[i * n + j]! * inverse[j * n + i]!;
  const covariance = spreads.map((_, i) => inverse.slice(i * n, (i + 1) * n).map((value) => value * s2));
  return { effects, covariance, freedom };
}
