import { deltaE2000Raw } from './deltaE2000';
import { labUnder, type Spectrum } from './illuminants';
import { mixSpectra } from './kubelkaMunk';
import type { Lab } from './lab';
import { EMPTY, LANES, predictor, strengthOf, type Mixable } from './predictMixes';
import { reconstructSpectrum } from './reconstructSpectrum';

// Taken out of the global once: these run in the innermost loops.
const { abs, min, max, floor } = Math;

export type MixTableOptions = {
  /** How many products a mix may hold. */
  readonly maxProducts?: 1 | 2 | 3;
  /** The largest sum of whole measures in a mix. */
  readonly maxPumps?: number;
  /** Which products may meet in one mix; all by default. */
  readonly mayMix?: (first: number, second: number) => boolean;
  /** Which products can stand alone: every mix holds at least one. An adjuster cannot. All by default. */
  readonly mayLead?: (index: number) => boolean;
  /** What of a mix, by weight, is at least of those that can stand alone, 0 to 1; any share by default. */
  readonly leastLed?: number;
  /** Told now and then how much of the table is made, 0 to 1. */
  readonly onProgress?: (share: number) => void;
};

/**
 * Every mix of a kit with its predicted colour, in buckets of a quarter L*. Built once for a kit, searched
 * often.
 */
export type MixTable = {
  readonly kit: readonly Mixable[];
  readonly spectra: readonly Spectrum[];
  readonly ratios: readonly (readonly number[])[];
  /** L, a, b of each mix, 32-bit: within a millionth; what is answered is worked out again in full. */
  readonly labs: Float32Array;
  /** Three product indices (255 for an empty place) and the ratio's index, a byte each. */
  readonly codes: Uint32Array;
  /** Where each bucket starts; one more at the end. */
  readonly starts: Uint32Array;
  readonly length: number;
  readonly bytes: number;
};

export type Mix = {
  readonly parts: readonly { readonly id: string; readonly pumps: number }[];
  readonly lab: Lab;
  /** CIEDE2000 to the target in daylight, as the model predicts it. */
  readonly deltaE: number;
};

const BUCKETS_PER_L = 4;
const BUCKETS = 100 * BUCKETS_PER_L + 1;
/** S_L of CIEDE2000 never exceeds 1.747, so a lightness gap alone bounds the difference from below. */
const LARGEST_SL = 1.75;
/** Kept beyond what is asked, so that rounding to 32 bits cannot hide one that belongs in the answer. */
const SPARE = 6;

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/**
 * Whole-pump ratios of n products in lowest terms, their sum at most maxPumps: 11 for pairs and 19 for
 * triples at 6.
 */
export function pumpRatios(n: 1 | 2 | 3, maxPumps: number): readonly (readonly number[])[] {
  if (n === 1) return [[1]];
  const ratios: number[][] = [];
  const extend = (head: number[], left: number): void => {
    if (head.length === n) {
      if (head.reduce(gcd) === 1) ratios.push(head);
      return;
    }
    for (let pumps = 1; pumps <= left - (n - head.length - 1); pumps++)
      extend([...head, pumps], left - pumps);
  };
  extend([], maxPumps);
  return ratios;
}

/**
 * Predicts every single, pair and (if asked) triple of the kit in whole measures, by Kubelka-Munk mixing
 * on reconstructed spectra. At most 254 products; throws beyond.
 */
export function buildMixTable(kit: readonly Mixable[], options: MixTableOptions = {}): MixTable {
  if (kit.length >= EMPTY)
    throw new RangeError(`buildMixTable: ${kit.length} products, at most ${EMPTY - 1} fit one table`);
  const {
    maxProducts = 2,
    maxPumps = 6,
    mayMix = () => true,
    mayLead = () => true,
    leastLed = 0,
    onProgress,
  } = options;
  const n = kit.length;
  const meets = Array.from({ length: n }, (_, i) =>
    Uint8Array.from({ length: n }, (_unused, j) => (mayMix(min(i, j), max(i, j)) ? 1 : 0)),
  );
  const leads = Uint8Array.from({ length: n }, (_, i) => (mayLead(i) ? 1 : 0));
  const pairs = maxProducts > 1 ? pumpRatios(2, maxPumps) : [];
  const triples = maxProducts > 2 ? pumpRatios(3, maxPumps) : [];
  const ratios = [[1], ...pairs, ...triples];

  const eachGroup = (visit: (a: number, b: number, c: number) => void, done?: (a: number) => void): void => {
    for (let a = 0; a < n; a++) {
      if (leads[a]) visit(a, EMPTY, EMPTY);
      for (let b = a + 1; b < n && maxProducts > 1; b++) {
        if (!meets[a]![b]) continue;
        const led = leads[a]! | leads[b]!;
        if (led) visit(a, b, EMPTY);
        for (let c = b + 1; c < n && maxProducts > 2; c++)
          if ((led || leads[c]) && meets[a]![c] && meets[b]![c]) visit(a, b, c);
      }
      done?.(a);
    }
  };
  let length = 0;
  eachGroup((_a, b, c) => (length += b === EMPTY ? 1 : c === EMPTY ? pairs.length : triples.length));

  const spectra = kit.map((p) => reconstructSpectrum(p.lab, 'D65', 'oxide').spectrum);
  const predict = predictor(kit, spectra, ratios);
  const labs = new Float32Array(3 * length);
  const codes = new Uint32Array(length);
  let [row, tried] = [0, 0];
  const isLed = (members: readonly number[], ratio: readonly number[]): boolean => {
    let [led, all] = [0, 0];
    members.forEach((i, k) => {
      const mg = ratio[k]! * (kit[i]!.mgPerMeasure ?? 1);
      all += mg;
      if (leads[i]) led += mg;
    });
    return led >= (leastLed - 1e-9) * all;
  };
  const addAll = (a: number, b: number, c: number, first: number, count: number): void => {
    const members = [a, b, c].filter((i) => i !== EMPTY);
    const allLead = members.every((i) => leads[i]);
    tried += count;
    for (let r = first; r < first + count; r += LANES) {
      const some = min(LANES, first + count - r);
      predict(a, b, c, r, some, labs, 3 * row);
      const from = row;
      for (let k = 0; k < some; k++) {
        if (!allLead && !isLed(members, ratios[r + k]!)) continue;
        // Closes up over what was left out before it.
        if (row < from + k) labs.copyWithin(3 * row, 3 * (from + k), 3 * (from + k) + 3);
        codes[row++] = (a | (b << 8) | (c << 16) | ((r + k) << 24)) >>> 0;
      }
    }
  };
  eachGroup(
    (a, b, c) => {
      if (b === EMPTY) addAll(a, b, c, 0, 1);
      else if (c === EMPTY) addAll(a, b, c, 1, pairs.length);
      else addAll(a, b, c, 1 + pairs.length, triples.length);
    },
    () => onProgress?.(tried / length),
  );
  const sorted = bucketed(labs.subarray(0, 3 * row), codes.subarray(0, row));
  const bytes = sorted.labs.byteLength + sorted.codes.byteLength + sorted.starts.byteLength;
  return { kit, spectra, ratios, ...sorted, length: row, bytes };
}

const bucketOf = (L: number): number => min(BUCKETS - 1, max(0, floor(L * BUCKETS_PER_L)));

/** Rows put in order of their lightness bucket, by counting. */
function bucketed(labs: Float32Array, codes: Uint32Array): Pick<MixTable, 'labs' | 'codes' | 'starts'> {
  const starts = new Uint32Array(BUCKETS + 1);
  for (let i = 0; i < codes.length; i++) starts[bucketOf(labs[3 * i]!) + 1]!++;
  for (let k = 0; k < BUCKETS; k++) starts[k + 1]! += starts[k]!;
  const next = starts.slice();
  const [sortedLabs, sortedCodes] = [new Float32Array(labs.length), new Uint32Array(codes.length)];
  for (let i = 0; i < codes.length; i++) {
    const to = next[bucketOf(labs[3 * i]!)]!++;
    sortedLabs[3 * to] = labs[3 * i]!;
    sortedLabs[3 * to + 1] = labs[3 * i + 1]!;
    sortedLabs[3 * to + 2] = labs[3 * i + 2]!;
    sortedCodes[to] = codes[i]!;
  }
  return { labs: sortedLabs, codes: sortedCodes, starts };
}

export type SearchOptions = {
  readonly count?: number;
  /** Only mixes of this many products. */
  readonly products?: 1 | 2 | 3;
  /** Only mixes that hold this product, by its index in the kit. */
  readonly must?: number;
};

/**
 * The mixes nearest to the target, best first: exactly what trying every row gives, found by walking
 * outwards from the target's lightness until the lightness gap alone is worse than the worst kept.
 */
export function searchMixTable(table: MixTable, target: Lab, options: SearchOptions = {}): Mix[] {
  const { count = 5, products, must } = options;
  const wanted = min(table.length, count + SPARE);
  const rows: number[] = [];
  const found: number[] = [];
  const [L, a, b] = target;
  const { labs, codes, starts } = table;
  const home = bucketOf(L);
  for (let reach = 0; reach < BUCKETS; reach++) {
    // No colour of a bucket this far out is nearer in lightness than this.
    const gap = max(0, reach - 1) / BUCKETS_PER_L;
    if (found.length === wanted && gap / LARGEST_SL > found[wanted - 1]!) break;
    for (const bucket of reach === 0 ? [home] : [home - reach, home + reach]) {
      if (bucket < 0 || bucket >= BUCKETS) continue;
      for (let row = starts[bucket]!; row < starts[bucket + 1]!; row++) {
        if (products && productsIn(codes[row]!) !== products) continue;
        if (must !== undefined && !holds(codes[row]!, must)) continue;
        const worst = found.length < wanted ? Infinity : found[wanted - 1]!;
        if (abs(labs[3 * row]! - L) > worst * LARGEST_SL) continue;
        const deltaE = deltaE2000Raw(L, a, b, labs[3 * row]!, labs[3 * row + 1]!, labs[3 * row + 2]!);
        if (deltaE >= worst) continue;
        let at = found.length;
        while (at > 0 && found[at - 1]! > deltaE) at--;
        found.splice(at, 0, deltaE);
        rows.splice(at, 0, row);
        if (found.length > wanted) {
          found.pop();
          rows.pop();
        }
      }
    }
  }
  return rows
    .map((row) => describe(table, codes[row]!, target))
    .sort((x, y) => x.deltaE - y.deltaE)
    .slice(0, count);
}

function productsIn(code: number): 1 | 2 | 3 {
  if (((code >>> 8) & 255) === EMPTY) return 1;
  return ((code >>> 16) & 255) === EMPTY ? 2 : 3;
}

function holds(code: number, product: number): boolean {
  return (code & 255) === product || ((code >>> 8) & 255) === product || ((code >>> 16) & 255) === product;
}

/** A row as an answer, its colour worked out again in full. */
function describe(table: MixTable, code: number, target: Lab): Mix {
  const ratio = table.ratios[code >>> 24]!;
  const members = ratio.map((pumps, k) => ({ index: (code >>> (8 * k)) & 255, pumps }));
  const mixed = mixSpectra(
    members.map(({ index, pumps }) => ({
      spectrum: table.spectra[index]!,
      parts: pumps,
      tintingStrength: strengthOf(table.kit[index]!),
    })),
  );
  const lab = labUnder(mixed, 'D65');
  const deltaE = deltaE2000Raw(target[0], target[1], target[2], lab[0], lab[1], lab[2]);
  return { parts: members.map(({ index, pumps }) => ({ id: table.kit[index]!.id, pumps })), lab, deltaE };
}
