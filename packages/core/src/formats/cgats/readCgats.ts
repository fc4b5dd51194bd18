import {
  illuminantWeights,
  isPlausibleSkin,
  labUnder,
  reconstructSpectrum,
  SKIN_ZONES,
  xyzToLab,
  type Lab,
  type SkinZone,
} from '../../colour';
import { msg } from '../../messages';
import { columnsOf, type Columns } from './columns';
import { conditionsOf, type Conditions } from './conditions';
import { tablesOf, type CgatsProblem, type Table } from './tables';
import { zoneInFiles } from './zoneInFiles';

/** One sample of a CGATS.17 file, brought to D65 and the observer of two degrees. */
export type CgatsSample = {
  readonly line: number;
  readonly name: string;
  /** The zone its name means; null when it means none. */ readonly zone: SkinZone | null;
  readonly lab: Lab;
};
/** How the samples of one table were measured. */
export type CgatsTable = Conditions & { readonly samples: number; readonly from: Columns['kind'] };
export type CgatsReading =
  | {
      readonly ok: true;
      readonly samples: readonly CgatsSample[];
      readonly tables: readonly CgatsTable[];
      /** Tables without colours, beside some with. */
      readonly leftOut: readonly CgatsProblem[];
    }
  | { readonly ok: false; readonly problems: readonly CgatsProblem[] };

const MOST_SAMPLES = 2000;

const plain = (text: string): string => text.toLowerCase().replace(/[^a-z]/g, '');

/** The zone a sample's name means: its own name, or that name with a number. */
function zoneOf(name: string): SkinZone | null {
  const word = plain(name);
  return SKIN_ZONES.find((zone) => word === plain(zone) || word === plain(zoneInFiles(zone))) ?? null;
}

/**
 * Reads samples from every table of CGATS.17 text: spectra (400 to 700 nm by 10 or more), else LAB_L LAB_A
 * LAB_B, else XYZ_X XYZ_Y XYZ_Z, under D50 or D65 as stated (D50 where nothing is, as the standard has it),
 * for the observer of two degrees or of ten. What is not D65 and two degrees is brought there through a skin
 * spectrum, which is what the reader looked at. Says line and what was expected; nothing is taken from a file
 * with a sample that cannot be.
 */
export function readCgats(text: string): CgatsReading {
  const tables = tablesOf(text);
  if ('message' in tables) return { ok: false, problems: [tables] };
  const samples: CgatsSample[] = [];
  const problems: CgatsProblem[] = [];
  const leftOut: CgatsProblem[] = [];
  const read: CgatsTable[] = [];
  for (const table of tables) {
    const columns = columnsOf(table.columns);
    if (typeof columns === 'string') {
      leftOut.push({ line: table.columnsLine, message: columns });
      continue;
    }
    const conditions = conditionsOf(table.said);
    if ('message' in conditions) problems.push(conditions);
    else {
      const before = samples.length;
      readTable(table, columns, conditions, samples, problems);
      read.push({ ...conditions, samples: samples.length - before, from: columns.kind });
    }
  }
  const [first] = tables;
  if (read.length === 0 && problems.length === 0) return { ok: false, problems: leftOut };
  if (samples.length + problems.length === 0)
    return {
      ok: false,
      problems: [
        { line: first!.dataLine, message: msg`There are no samples between BEGIN_DATA and END_DATA.` },
      ],
    };
  if (samples.length > MOST_SAMPLES)
    return {
      ok: false,
      problems: [
        {
          line: first!.dataLine,
          message: msg`${samples.length} samples; at most ${MOST_SAMPLES} are read at once.`,
        },
      ],
    };
  return problems.length > 0 ? { ok: false, problems } : { ok: true, samples, tables: read, leftOut };
}

function readTable(
  table: Table,
  columns: Columns,
  conditions: Conditions,
  samples: CgatsSample[],
  problems: CgatsProblem[],
): void {
  const nameAt = ['SAMPLE_NAME', 'SAMPLE_ID'].map((f) => table.columns.indexOf(f)).find((i) => i >= 0) ?? -1;
  const rows = table.rows.map(({ line, fields }) => ({
    line,
    name: fields[nameAt] ?? '',
    values: valuesOf(fields, table.columns.length, columns),
  }));
  const numbers = rows.flatMap(({ values }) => (typeof values === 'string' ? [] : [values]));
  const scale = scaleOf(numbers, columns.kind);
  for (const { line, name, values } of rows) {
    const lab =
      typeof values === 'string'
        ? values
        : colourOf(
            values.map((v) => v * scale),
            columns.kind,
            conditions,
          );
    if (typeof lab === 'string') problems.push({ line, message: lab });
    else samples.push({ line, name, zone: zoneOf(name), lab });
  }
}

/** The numbers of a row that make its colour, or what is wrong with it. */
function valuesOf(fields: readonly string[], expected: number, columns: Columns): readonly number[] | string {
  if (fields.length !== expected) return msg`${fields.length} values, ${expected} expected.`;
  const values = columns.at.map((i) => Number(fields[i]!.replace(',', '.')));
  const bad = values.findIndex((v) => !Number.isFinite(v));
  return bad >= 0 ? msg`“${fields[columns.at[bad]!]!}” is not a number.` : values;
}

/**
 * By what a table's numbers are taken: reflectances and XYZ are told as shares or in percent. Of a table with
 * a skin in it the largest says which: no skin has a Y of 1.2 percent or less.
 */
function scaleOf(rows: readonly (readonly number[])[], kind: Columns['kind']): number {
  if (kind === 'LAB') return 1;
  let largest = 0;
  for (const values of rows) largest = Math.max(largest, ...(kind === 'XYZ' ? [values[1]!] : values));
  return largest > 1.2 ? 0.01 : 1;
}

/** One row's colour under D65 for two degrees, or what is wrong with it. */
function colourOf(
  values: readonly number[],
  kind: Columns['kind'],
  { illuminant, observer }: Conditions,
): Lab | string {
  if (kind === 'spectra') return skinOrWords(labUnder(Float64Array.from(values), 'D65'));
  const [x, y, z] = values as [number, number, number];
  const lab: Lab =
    kind === 'LAB' ? [x, y, z] : xyzToLab([x, y, z], illuminantWeights(illuminant, observer).white);
  if (illuminant === 'D65' && observer === 2) return skinOrWords(lab);
  try {
    return skinOrWords(labUnder(reconstructSpectrum(lab, illuminant, 'skin', observer).spectrum, 'D65'));
  } catch {
    return msg`No surface has this colour.`;
  }
}

function skinOrWords(lab: Lab): Lab | string {
  return isPlausibleSkin(lab)
    ? lab
    : msg`L* ${lab[0].toFixed(1)} a* ${lab[1].toFixed(1)} b* ${lab[2].toFixed(1)} is no skin.`;
}
