import Papa from 'papaparse';
import { TRIAL_ZONES } from './measures';
import { hoursAt, type WearCheck } from './wearCheck';

const spoken = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text);

/**
 * Looks at worn faces as CSV, one a row: when, how long it was worn by then, by whom, and each zone as it was
 * seen.
 */
export function writeWearCsv(checks: readonly WearCheck[]): string {
  return `${Papa.unparse(
    {
      fields: [
        'put on',
        'looked at',
        'hours',
        'judged by',
        'by',
        ...TRIAL_ZONES,
        'touched up',
        'marks',
        'stings',
      ],
      data: checks.map((check) => [
        check.appliedAt,
        check.at,
        hoursAt(check).toFixed(2),
        check.judge,
        spoken(check.by),
        ...TRIAL_ZONES.map((zone) => check.zones[zone] ?? ''),
        check.touched.join(' '),
        check.marks.join(' '),
        check.stings ? 'yes' : '',
      ]),
    },
    { newline: '\n' },
  )}\n`;
}
