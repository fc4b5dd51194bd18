import {
  illuminantWeights,
  isPlausibleSkin,
  labUnder,
  reconstructSpectrum,
  SKIN_ZONE_NAMES,
  SKIN_ZONES,
  xyzToLab,
  type Illuminant,
  type Lab,
  type SkinZone,
} from '../colour';

/** One sample of a CGATS.17 file, brought to D65. */
export type CgatsSample = {
  readonly line: number;
  readonly name: string;
  /** The zone its name means; null when it means none. */ readonly zone: SkinZone | null;
  readonly lab: Lab;
};
export type CgatsProblem = { readonly line: number; readonly message: string };
export type CgatsReading =
  | {
      readonly ok: true;
      readonly samples: readonly CgatsSample[];
      readonly illuminant: Illuminant;
      readonly from: 'LAB' | 'XYZ' | 'spectra';
    }
  | { readonly ok: false; readonly problems: readonly CgatsProblem[] };

const MOST_SAMPLES = 2000;

/** Fields of a line: bare words, or text in quotes. */
function fieldsOf(line: string): string[] {
  return [...line.matchAll(/"((?:[^"]|"")*)"|(\S+)/g)].map((m) =>
    m[1] !== undefined ? m[1].replaceAll('""', '"') : m[2]!,
  );
}

const plain = (text: string): string => text.toLowerCase().replace(/[^a-z]/g, '');

/** The zone a sample's name means: its own name, or that name with a number. */
function zoneOf(name: string): SkinZone | null {
  const word = plain(name);
  return SKIN_ZONES.find((zone) => word === plain(zone) || word === plain(SKIN_ZONE_NAMES[zone])) ?? null;
}

/**
 * Reads samples from CGATS.17 text: LAB_L LAB_A LAB_B, else XYZ_X XYZ_Y XYZ_Z, else 36 spectral fields (nm or
 * SPECTRAL_NM, 380 to 730). A D50 file is brought to D65 through a skin spectrum, which is what the reader
 * looked at. Says line and what was expected.
 */
export function readCgats(text: string): CgatsReading {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/);
  const find = (keyword: string): number => lines.findIndex((line) => line.trim().toUpperCase() === keyword);
  const wrong = (line: number, message: string): CgatsReading => ({
    ok: false,
    problems: [{ line, message }],
  });
  if (lines.every((line) => line.trim() === '')) return wrong(1, 'The file is empty.');
  const formatAt = find('BEGIN_DATA_FORMAT');
  if (formatAt < 0) return wrong(1, 'There is no BEGIN_DATA_FORMAT line: this is not a CGATS.17 file.');
  const formatEnd = find('END_DATA_FORMAT');
  if (formatEnd < formatAt)
    return wrong(formatAt + 1, 'BEGIN_DATA_FORMAT is never ended by END_DATA_FORMAT.');
  const format = fieldsOf(lines.slice(formatAt + 1, formatEnd).join(' ')).map((f) => f.toUpperCase());
  const dataAt = find('BEGIN_DATA');
  const dataEnd = find('END_DATA');
  if (dataAt < 0) return wrong(lines.length, 'There is no BEGIN_DATA line, so no samples.');
  if (dataEnd < dataAt) return wrong(dataAt + 1, 'BEGIN_DATA is never ended by END_DATA.');
  const columns = columnsOf(format);
  if (!columns)
    return wrong(
      formatAt + 2,
      'The needed columns are missing: LAB_L LAB_A LAB_B, or XYZ_X XYZ_Y XYZ_Z, or spectral values from 380 to 730 nm by 10.',
    );
  const illuminant = illuminantOf(lines.slice(0, dataAt));
  if (!illuminant)
    return wrong(
      1 + lines.findIndex((line) => /ILLUMINA/i.test(line)),
      'Only readings under D50 or D65 can be used.',
    );
  const nameAt = ['SAMPLE_NAME', 'SAMPLE_ID'].map((f) => format.indexOf(f)).find((i) => i >= 0) ?? -1;
  const problems: CgatsProblem[] = [];
  const samples: CgatsSample[] = [];
  for (let i = dataAt + 1; i < dataEnd; i++) {
    if (lines[i]!.trim() === '' || lines[i]!.trim().startsWith('#')) continue;
    const fields = fieldsOf(lines[i]!);
    const read = sampleOf(fields, format.length, columns, illuminant);
    if (typeof read === 'string') problems.push({ line: i + 1, message: read });
    else
      samples.push({
        line: i + 1,
        name: fields[nameAt] ?? '',
        zone: zoneOf(fields[nameAt] ?? ''),
        lab: read,
      });
  }
  if (samples.length + problems.length === 0)
    return wrong(dataAt + 1, 'There are no samples between BEGIN_DATA and END_DATA.');
  if (samples.length > MOST_SAMPLES)
    return wrong(dataAt + 1, `${samples.length} samples; at most ${MOST_SAMPLES} are read at once.`);
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, samples, illuminant, from: columns.kind };
}

type Columns = { readonly kind: 'LAB' | 'XYZ' | 'spectra'; readonly at: readonly number[] };

function columnsOf(format: readonly string[]): Columns | null {
  const all = (names: readonly string[]): number[] | null => {
    const at = names.map((name) => format.indexOf(name));
    return at.every((i) => i >= 0) ? at : null;
  };
  const lab = all(['LAB_L', 'LAB_A', 'LAB_B']);
  if (lab) return { kind: 'LAB', at: lab };
  const xyz = all(['XYZ_X', 'XYZ_Y', 'XYZ_Z']);
  if (xyz) return { kind: 'XYZ', at: xyz };
  const nm = Array.from({ length: 36 }, (_, i) => 380 + 10 * i);
  const spectra =
    all(nm.map((n) => `SPECTRAL_${n}`)) ??
    all(nm.map((n) => `NM_${n}`)) ??
    all(nm.map((n) => `NM${n}`)) ??
    all(nm.map((n) => `SPECTRAL_NM${n}`)) ??
    all(nm.map((n) => `SPECTRAL_NM_${n}`));
  return spectra ? { kind: 'spectra', at: spectra } : null;
}

/** The light the file says it was read under; D50 is what the standard means when nothing is said. */
function illuminantOf(header: readonly string[]): Illuminant | null {
  const line = header.find((l) => /ILLUMINATION_NAME|ILLUMINANT|MEASUREMENT_SOURCE/i.test(l));
  if (!line) return 'D50';
  const named = /\b(D50|D65|D55|A|F11)\b/i
    .exec(line.replace(/ILLUMINATION_NAME|ILLUMINANT|MEASUREMENT_SOURCE/gi, ''))?.[1]
    ?.toUpperCase();
  if (named === undefined) return 'D50';
  return named === 'D50' || named === 'D65' ? named : null;
}

/** One line's colour under D65, or what is wrong with it. */
function sampleOf(
  fields: readonly string[],
  expected: number,
  columns: Columns,
  illuminant: Illuminant,
): Lab | string {
  if (fields.length !== expected) return `${fields.length} values, ${expected} expected.`;
  const values = columns.at.map((i) => Number(fields[i]!.replace(',', '.')));
  const bad = values.findIndex((v) => !Number.isFinite(v));
  if (bad >= 0) return `“${fields[columns.at[bad]!]}” is not a number.`;
  const lab = toD65(values, columns.kind, illuminant);
  if (!lab) return 'No surface has this colour.';
  return isPlausibleSkin(lab)
    ? lab
    : `L* ${lab[0].toFixed(1)} a* ${lab[1].toFixed(1)} b* ${lab[2].toFixed(1)} is no skin.`;
}

function toD65(values: readonly number[], kind: Columns['kind'], illuminant: Illuminant): Lab | null {
  if (kind === 'spectra') {
    const share = values.some((v) => v > 1.5) ? 100 : 1;
    return labUnder(
      Float64Array.from(values, (v) => v / share),
      'D65',
    );
  }
  const [x, y, z] = values as [number, number, number];
  const lab: Lab =
    kind === 'LAB' ? [x, y, z] : xyzToLab([x / 100, y / 100, z / 100], illuminantWeights(illuminant).white);
  if (illuminant === 'D65') return lab;
  try {
    return labUnder(reconstructSpectrum(lab, illuminant, 'skin').spectrum, 'D65');
  } catch {
    return null;
  }
}

/** Samples by zone as CGATS.17 text under D65, one line a sample. */
export function writeCgats(
  zones: { readonly [zone in SkinZone]?: readonly Lab[] },
  about: { readonly at: string },
): string {
  const samples = SKIN_ZONES.flatMap((zone) => (zones[zone] ?? []).map((lab) => ({ zone, lab })));
  return [
    'CGATS.17',
    'ORIGINATOR "Toile"',
    `CREATED "${about.at}"`,
    'ILLUMINATION_NAME "D65"',
    'OBSERVER "2 degree"',
    'NUMBER_OF_FIELDS 5',
    'BEGIN_DATA_FORMAT',
    'SAMPLE_ID SAMPLE_NAME LAB_L LAB_A LAB_B',
    'END_DATA_FORMAT',
    `NUMBER_OF_SETS ${samples.length}`,
    'BEGIN_DATA',
    ...samples.map(
      ({ zone, lab }, i) => `${i + 1} "${SKIN_ZONE_NAMES[zone]}" ${lab.map((v) => v.toFixed(3)).join(' ')}`,
    ),
    'END_DATA',
    '',
  ].join('\n');
}
