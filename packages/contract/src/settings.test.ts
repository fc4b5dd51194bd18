import {
  AMOUNTS_FIRST,
  CLOCKS,
  DAY_ORDERS,
  FIRST_WEEKDAYS,
  RULES,
  SCHOOL_ANSWERS,
  SCHOOL_NAMES,
  SEVERITIES,
  TEMPERATURE_UNITS,
} from '@toile/core';
import { tryForms, type Row } from './forms.testing';
import { studioSettingsSchema } from './settings';

const GRADES = 'Each rule is a note, a caution, a stop, or off';
const SCHOOLS = 'Each question is answered with one of its schools';
const manner = (name: string, values: readonly string[]): Row[] => [
  ...values.map((value): Row => ['manner', { [name]: value }, null]),
  ['manner', { [name]: 'neither' }, `one of ${values.join(', ')}`],
];
const [first, second] = RULES;

tryForms([
  [
    'how a studio does things',
    studioSettingsSchema,
    { ruleGrades: {} },
    [
      ['ruleGrades', undefined, 'required'],
      ['ruleGrades', 'strict', GRADES],
      ...RULES.map(({ id }): Row => ['ruleGrades', { [id]: 'off' }, null]),
      ...SEVERITIES.map((grade): Row => ['ruleGrades', { [first!.id]: grade }, null]),
      ['ruleGrades', { [first!.id]: 'fatal' }, GRADES],
      ['ruleGrades', { [first!.id]: 1 }, GRADES],
      ['ruleGrades', { 'no such rule': 'off' }, GRADES],
      // One wrong among sound ones.
      ['ruleGrades', { [first!.id]: 'off', [second!.id]: 'fatal' }, GRADES],
      ['schools', undefined, null],
      ...SCHOOL_NAMES.flatMap((name) =>
        SCHOOL_ANSWERS[name].map((answer): Row => ['schools', { [name]: answer }, null]),
      ),
      ...SCHOOL_NAMES.map((name): Row => ['schools', { [name]: 'neither' }, SCHOOLS]),
      ['schools', Object.fromEntries(SCHOOL_NAMES.map((name) => [name, SCHOOL_ANSWERS[name][0]])), null],
      ['schools', { shoes: 'on' }, SCHOOLS],
      ['schools', 'both', SCHOOLS],
      // An answer of another question.
      ...SCHOOL_NAMES.flatMap((name, i): Row[] => {
        const other = SCHOOL_ANSWERS[SCHOOL_NAMES[(i + 1) % SCHOOL_NAMES.length]!][0]!;
        return SCHOOL_ANSWERS[name].some((one) => one === other)
          ? []
          : [['schools', { [name]: other }, SCHOOLS]];
      }),
      ['zone', undefined, null],
      ['zone', 'Asia/Jakarta', null],
      ['zone', 'Lisbon', 'A time zone, as Europe/Lisbon'],
      ['zone', '', 'A time zone, as Europe/Lisbon'],
      ['manner', undefined, null],
      ['manner', {}, null],
      ...manner('days', DAY_ORDERS),
      ...manner('clock', CLOCKS),
      ...manner('firstWeekday', FIRST_WEEKDAYS),
      ...manner('amounts', AMOUNTS_FIRST),
      ...manner('temperature', TEMPERATURE_UNITS),
      ['manner', { shoes: 'on' }, 'shoes is not known here'],
      ['keepsPhotographs', true, null],
      ['keepsPhotographs', 'perhaps', 'keepsPhotographs'],
    ],
  ],
]);
