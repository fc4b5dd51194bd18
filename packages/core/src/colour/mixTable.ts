import { deltaE2000Raw } from './deltaE2000';
import { illuminantWeights } from './illuminants';
import { absorptionOverScattering, reflectanceOf } from './kubelkaMunk';
import { xyzToLab, type Lab } from './lab';
import { reconstructSpectrum } from './reconstructSpectrum';
import { BANDS } from './spectralTables';

/** What the search needs to know of a product. */
export type Mixable = {
  readonly id: string;
  readonly lab: Lab;
  /** How strongly it tints in a mix; 1 unless calibrated by a test mix. */
  readonly tintingStrength?: number;
};

export type MixTableOptions = {
  /** How many products a mix may hold. */
  readonly maxProducts?: 1 | 2 | 3;
  /** The largest sum of whole pumps in a mix. */
  readonly maxPumps?: number;
  /** Which products may meet in one mix; all by default. */
  readonly mayMix?: (first: number, second: number) => boolean;
};

/** Every mix of a kit with its predicted colour, sorted by lightness. Built once for a kit, searched often. */
export type MixTable = {
  readonly ids: readonly string[];
  readonly labs: Float64Array;
  /** Three product indices and three pump counts per mix, 255 for an empty place. */
  readonly members: Uint8Array;
  readonly pumps: Uint8Array;
  readonly length: number;
};

export type Mix = {
  readonly parts: readonly { readonly id: string; readonly pumps: number }[];
  readonly lab: Lab;
  /** CIEDE2000 to the target in daylight, as the model predicts it. */
  readonly deltaE: number;
};

const EMPTY = 255;
/** S_L of CIEDE2000 never exceeds 1.747, so a lightness gap alone bounds the difference from below. */
const LARGEST_SL = 1.75;

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** Whole-pump ratios of n products in lowest terms, their sum at most maxPumps: 11 for pairs and 19 for triples at 6. */
export function pumpRatios(n: 1 | 2 | 3, maxPumps: number): readonly (readonly number[])[] {
  if (n === 1) return [[1]];
  const ratios: number[][] = [];
  const extend = (head: number[], left: number): void => {
    if (head.length === n) {
      if (head.reduce(gcd) === 1) ratios.push(head);
      return;
    }
    for (let pumps = 1; pumps <= left - (n - head.length - 1); pumps++) extend([...head, pumps], left - pumps);
  };
  extend([], maxPumps);
  return ratios;
}

/**
 * Predicts every single, pair and (if asked) triple of the kit in whole pumps, by Kubelka-Munk mixing
 * on reconstructed spectra. At most 254 products; throws beyond.
 */
export function buildMixTable(kit: readonly Mixable[], options: MixTableOptions = {}): MixTable {
  if (kit.length >= EMPTY) throw new RangeError(`buildMixTable: ${kit.length} products, at most ${EMPTY - 1} fit one table`);
  const { maxProducts = 2, maxPumps = 6, mayMix = () => true } = options;
  const curves = kit.map((p) => reconstructSpectrum(p.lab, 'D65', 'oxide').spectrum.map(absorptionOverScattering));
  const strength = kit.map((p) => p.tintingStrength ?? 1);
  const rows: number[] = [];
  const found: number[] = [];
  const weights = illuminantWeights('D65');

  const predict = (members: readonly number[], ratio: readonly number[]): void => {
    let total = 0;
    for (let k = 0; k < members.length; k++) total += ratio[k]! * strength[members[k]!]!;
    let X = 0;
    let Y = 0;
    let Z = 0;
    for (let i = 0; i < BANDS; i++) {
      let q = 0;
      for (let k = 0; k < members.length; k++) q += ratio[k]! * strength[members[k]!]! * curves[members[k]!]![i]!;
      const r = reflectanceOf(q / total);
      X += r * weights.x[i]!;
      Y += r * weights.y[i]!;
      Z += r * weights.z[i]!;
    }
    const lab = xyzToLab([X, Y, Z], weights.white);
    found.push(lab[0], lab[1], lab[2]);
    for (let k = 0; k < 3; k++) rows.push(members[k] ?? EMPTY, ratio[k] ?? EMPTY);
  };

  const pairs = pumpRatios(2, maxPumps);
  const triples = pumpRatios(3, maxPumps);
  for (let a = 0; a < kit.length; a++) {
    predict([a], [1]);
    if (maxProducts < 2) continue;
    for (let b = a + 1; b < kit.length; b++) {
      if (!mayMix(a, b)) continue;
      for (const ratio of pairs) predict([a, b], ratio);
      if (maxProducts < 3) continue;
      for (let c = b + 1; c < kit.length; c++) {
        if (!mayMix(a, c) || !mayMix(b, c)) continue;
        for (const ratio of triples) predict([a, b, c], ratio);
      }
    }
  }
  return sortByLightness(
    kit.map((p) => p.id),
    found,
    rows,
  );
}

function sortByLightness(ids: readonly string[], found: readonly number[], rows: readonly number[]): MixTable {
  const length = found.length / 3;
  const order = Uint32Array.from({ length }, (_, i) => i).sort((i, j) => found[3 * i]! - found[3 * j]!);
  const labs = new Float64Array(3 * length);
  const members = new Uint8Array(3 * length);
  const pumps = new Uint8Array(3 * length);
  order.forEach((from, to) => {
    for (let k = 0; k < 3; k++) {
      labs[3 * to + k] = found[3 * from + k]!;
      members[3 * to + k] = rows[6 * from + 2 * k]!;
      pumps[3 * to + k] = rows[6 * from + 2 * k + 1]!;
    }
  });
  return { ids, labs, members, pumps, length };
}

export type SearchOptions = {
  readonly count?: number;
  /** Only mixes of this many products. */
  readonly products?: 1 | 2 | 3;
};

/**
 * The mixes nearest to the target, best first: exactly what trying every row gives, found by walking
 * outwards from the target's lightness until the lightness gap alone is worse than the worst kept.
 */
export function searchMixTable(table: MixTable, target: Lab, options: SearchOptions = {}): Mix[] {
  const { count = 5, products } = options;
  const best: { row: number; deltaE: number }[] = [];
  const [L, a, b] = target;
  const { labs, length } = table;
  let up = firstAtLeast(labs, length, L);
  let down = up - 1;
  while (up < length || down >= 0) {
    const gapUp = up < length ? labs[3 * up]! - L : Infinity;
    const gapDown = down >= 0 ? L - labs[3 * down]! : Infinity;
    const gap = Math.min(gapUp, gapDown);
    if (best.length === count && gap / LARGEST_SL > best[count - 1]!.deltaE) break;
    const row = gapUp <= gapDown ? up++ : down--;
    if (products && productsIn(table, row) !== products) continue;
    const deltaE = deltaE2000Raw(L, a, b, labs[3 * row]!, labs[3 * row + 1]!, labs[3 * row + 2]!);
    if (best.length < count || deltaE < best[count - 1]!.deltaE) insert(best, { row, deltaE }, count);
  }
  return best.map(({ row, deltaE }) => describe(table, row, deltaE));
}

function firstAtLeast(labs: Float64Array, length: number, L: number): number {
  let low = 0;
  let high = length;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (labs[3 * mid]! < L) low = mid + 1;
    else high = mid;
  }
  return low;
}

function productsIn(table: MixTable, row: number): number {
  if (table.members[3 * row + 2] !== EMPTY) return 3;
  return table.members[3 * row + 1] !== EMPTY ? 2 : 1;
}

function insert<T extends { deltaE: number }>(best: T[], entry: T, count: number): void {
  let at = best.length;
  while (at > 0 && best[at - 1]!.deltaE > entry.deltaE) at--;
  best.splice(at, 0, entry);
  if (best.length > count) best.pop();
}

function describe(table: MixTable, row: number, deltaE: number): Mix {
  const parts = [];
  for (let k = 0; k < productsIn(table, row); k++) {
    parts.push({ id: table.ids[table.members[3 * row + k]!]!, pumps: table.pumps[3 * row + k]! });
  }
  return { parts, lab: [table.labs[3 * row]!, table.labs[3 * row + 1]!, table.labs[3 * row + 2]!], deltaE };
}
