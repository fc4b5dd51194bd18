import { deltaE2000Raw } from './deltaE2000';
import { illuminantWeights, labUnder, type Spectrum } from './illuminants';
import { absorptionOverScattering, mixSpectra } from './kubelkaMunk';
import type { Lab } from './lab';
import { reconstructSpectrum } from './reconstructSpectrum';
import { BANDS } from './spectralTables';

// Taken out of the global once: these run in the innermost loops.
const { cbrt, sqrt, abs, min, max, floor } = Math;

/** What the search needs to know of a product. */
export type Mixable = {
  readonly id: string;
  readonly lab: Lab;
  /** How strongly it tints in a mix; 1 unless calibrated by a test mix. */
  readonly tintingStrength?: number;
  /** What one measure holds: a drop of adjuster is lighter than a pump of base. Any one unit; 1 by default. */
  readonly mgPerMeasure?: number;
};

export type MixTableOptions = {
  /** How many products a mix may hold. */
  readonly maxProducts?: 1 | 2 | 3;
  /** The largest sum of whole measures in a mix. */
  readonly maxPumps?: number;
  /** Which products may meet in one mix; all by default. */
  readonly mayMix?: (first: number, second: number) => boolean;
  /** Which products can stand alone: every mix holds at least one. An adjuster cannot. All by default. */
  readonly mayLead?: (index: number) => boolean;
  /** Told now and then how much of the table is made, 0 to 1. */
  readonly onProgress?: (share: number) => void;
};

/** Every mix of a kit with its predicted colour, in buckets of a quarter L*. Built once for a kit, searched often. */
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

const EMPTY = 255;
const BUCKETS_PER_L = 4;
const BUCKETS = 100 * BUCKETS_PER_L + 1;
/** S_L of CIEDE2000 never exceeds 1.747, so a lightness gap alone bounds the difference from below. */
const LARGEST_SL = 1.75;
/** Kept beyond what is asked, so that rounding to 32 bits cannot hide one that belongs in the answer. */
const SPARE = 6;

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
 * Predicts every single, pair and (if asked) triple of the kit in whole measures, by Kubelka-Munk mixing
 * on reconstructed spectra. At most 254 products; throws beyond.
 */
export function buildMixTable(kit: readonly Mixable[], options: MixTableOptions = {}): MixTable {
  if (kit.length >= EMPTY) throw new RangeError(`buildMixTable: ${kit.length} products, at most ${EMPTY - 1} fit one table`);
  const { maxProducts = 2, maxPumps = 6, mayMix = () => true, mayLead = () => true, onProgress } = options;
  const n = kit.length;
  const meets = Array.from({ length: n }, (_, i) => Uint8Array.from({ length: n }, (_unused, j) => (mayMix(min(i, j), max(i, j)) ? 1 : 0)));
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
        for (let c = b + 1; c < n && maxProducts > 2; c++) if ((led || leads[c]) && meets[a]![c] && meets[b]![c]) visit(a, b, c);
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
  let row = 0;
  const addAll = (a: number, b: number, c: number, first: number, count: number): void => {
    for (let r = first; r < first + count; r += LANES) {
      const some = min(LANES, first + count - r);
      predict(a, b, c, r, some, labs, 3 * row);
      for (let k = 0; k < some; k++) codes[row++] = (a | (b << 8) | (c << 16) | ((r + k) << 24)) >>> 0;
    }
  };
  eachGroup(
    (a, b, c) => {
      if (b === EMPTY) addAll(a, b, c, 0, 1);
      else if (c === EMPTY) addAll(a, b, c, 1, pairs.length);
      else addAll(a, b, c, 1 + pairs.length, triples.length);
    },
    () => onProgress?.(row / length),
  );
  const sorted = bucketed(labs, codes);
  const bytes = sorted.labs.byteLength + sorted.codes.byteLength + sorted.starts.byteLength;
  return { kit, spectra, ratios, ...sorted, length, bytes };
}

/** Mixes worked out side by side: one alone leaves most of the processor waiting for its root. */
const LANES = 4;

/**
 * A function that writes the predicted L, a, b of up to four ratios of the same products, one after the other: the work of `mixSpectra` and
 * `labUnder` without their arrays. Written out for speed: the first table of a kit is what a search waits for.
 */
function predictor(kit: readonly Mixable[], spectra: readonly Spectrum[], ratios: readonly (readonly number[])[]) {
  const weights = illuminantWeights('D65');
  const [whiteX, whiteY, whiteZ] = weights.white;
  // The observer's three weights of a band side by side, the white taken out.
  const observer = Float64Array.from({ length: 3 * BANDS }, (_, i) => {
    const band = floor(i / 3);
    return [weights.x[band]! / whiteX, weights.y[band]! / whiteY, weights.z[band]! / whiteZ][i % 3]!;
  });
  const curves = spectra.map((spectrum) => Float64Array.from(spectrum, absorptionOverScattering));
  const nothing = new Float64Array(BANDS);
  const strength = Float64Array.from(kit, strengthOf);
  const shares = new Float64Array(3 * LANES);
  const write = (X: number, Y: number, Z: number, out: Float32Array, at: number): void => {
    const fy = root(Y);
    out[at] = 116 * fy - 16;
    out[at + 1] = 500 * (root(X) - fy);
    out[at + 2] = 200 * (fy - root(Z));
  };
  return (a: number, b: number, c: number, firstRatio: number, count: number, out: Float32Array, at: number): void => {
    for (let lane = 0; lane < LANES; lane++) {
      const ratio = ratios[firstRatio + min(lane, count - 1)]!;
      const wa = ratio[0]! * strength[a]!;
      const wb = b === EMPTY ? 0 : ratio[1]! * strength[b]!;
      const wc = c === EMPTY ? 0 : ratio[2]! * strength[c]!;
      const whole = wa + wb + wc;
      shares[3 * lane] = wa / whole;
      shares[3 * lane + 1] = wb / whole;
      shares[3 * lane + 2] = wc / whole;
    }
    const a0 = shares[0]!;
    const b0 = shares[1]!;
    const c0 = shares[2]!;
    const a1 = shares[3]!;
    const b1 = shares[4]!;
    const c1 = shares[5]!;
    const a2 = shares[6]!;
    const b2 = shares[7]!;
    const c2 = shares[8]!;
    const a3 = shares[9]!;
    const b3 = shares[10]!;
    const c3 = shares[11]!;
    const ofA = curves[a]!;
    const ofB = b === EMPTY ? nothing : curves[b]!;
    const ofC = c === EMPTY ? nothing : curves[c]!;
    let X0 = 0;
    let Y0 = 0;
    let Z0 = 0;
    let X1 = 0;
    let Y1 = 0;
    let Z1 = 0;
    let X2 = 0;
    let Y2 = 0;
    let Z2 = 0;
    let X3 = 0;
    let Y3 = 0;
    let Z3 = 0;
    for (let i = 0, k = 0; i < BANDS; i++, k += 3) {
      const qa = ofA[i]!;
      const qb = ofB[i]!;
      const qc = ofC[i]!;
      const x = observer[k]!;
      const y = observer[k + 1]!;
      const z = observer[k + 2]!;
      const q0 = 1 + a0 * qa + b0 * qb + c0 * qc;
      const r0 = q0 - sqrt(q0 * q0 - 1);
      const q1 = 1 + a1 * qa + b1 * qb + c1 * qc;
      const r1 = q1 - sqrt(q1 * q1 - 1);
      const q2 = 1 + a2 * qa + b2 * qb + c2 * qc;
      const r2 = q2 - sqrt(q2 * q2 - 1);
      const q3 = 1 + a3 * qa + b3 * qb + c3 * qc;
      const r3 = q3 - sqrt(q3 * q3 - 1);
      X0 += r0 * x;
      Y0 += r0 * y;
      Z0 += r0 * z;
      X1 += r1 * x;
      Y1 += r1 * y;
      Z1 += r1 * z;
      X2 += r2 * x;
      Y2 += r2 * y;
      Z2 += r2 * z;
      X3 += r3 * x;
      Y3 += r3 * y;
      Z3 += r3 * z;
    }
    write(X0, Y0, Z0, out, at);
    if (count > 1) write(X1, Y1, Z1, out, at + 3);
    if (count > 2) write(X2, Y2, Z2, out, at + 6);
    if (count > 3) write(X3, Y3, Z3, out, at + 9);
  };
}

const strengthOf = (p: Mixable): number => (p.tintingStrength ?? 1) * (p.mgPerMeasure ?? 1);
const root = (t: number): number => (t > 216 / 24389 ? cbrt(t) : (t * (24389 / 27) + 16) / 116);
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
    members.map(({ index, pumps }) => ({ spectrum: table.spectra[index]!, parts: pumps, tintingStrength: strengthOf(table.kit[index]!) })),
  );
  const lab = labUnder(mixed, 'D65');
  const deltaE = deltaE2000Raw(target[0], target[1], target[2], lab[0], lab[1], lab[2]);
  return { parts: members.map(({ index, pumps }) => ({ id: table.kit[index]!.id, pumps })), lab, deltaE };
}
