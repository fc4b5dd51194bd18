import { MEASUREMENTS, MOST_SENSITIVITIES, PLAIN_FEATURES, usualForm } from '@toile/core';
import { ValidationError, type Schema } from 'yup';
import { clientFormSchema, clientInputSchema, measurementsSchema } from './client';
import { countInputSchema, importKitSchema, productInputSchema, unitInputSchema } from './kit';

const ID = '0190a3c2-0000-7000-8000-000000000001';
const letters = (n: number): string => 'n'.repeat(n);

/** What a form says of a body, each as 'field: sentence'. */
function problems(schema: Schema, body: unknown): string[] {
  try {
    // As the server asks: nothing is dropped before it can be refused.
    schema.validateSync(body, { abortEarly: false, stripUnknown: false });
    return [];
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return (error.inner.length > 0 ? error.inner : [error]).map((one) => `${one.path ?? ''}: ${one.message}`);
  }
}

const PRODUCT = {
  id: ID,
  maker: 'Oriel',
  line: 'Milk',
  shade: 'N4',
  kind: 'base',
  lab: [60, 12, 18],
  coverage: 'medium',
  finish: 'natural',
  ingredients: ['water'],
  ...usualForm('base'),
  tintingStrength: 1,
  monthsAfterOpening: 12,
  withdrawn: false,
  singleUse: false,
};
const UNIT = { id: ID, productId: ID, openedOn: '2031-05-14', remainingMg: 9000, place: 'case 1' };
const COUNT = { id: ID, remainingMg: 100, note: '' };
const CLIENT = {
  name: 'Ilse Moor',
  phone: '+351 21 000-00 00',
  email: 'ilse@example.org',
  birthYear: 1994,
  guardianConsent: '',
  sensitivities: ['latex'],
  notes: '',
};
const FILE = { text: 'Maker,Line', mapping: { maker: 'Maker' }, leaveOutWrong: false, owned: true };

/** A field of a form, what is written there, and what is said of it; null where it is taken. */
type Row = readonly [field: string, value: unknown, said: string | null];
const only = 'Choose a';
const FORMS: readonly (readonly [string, Schema, object, readonly Row[]])[] = [
  [
    'a product',
    productInputSchema,
    PRODUCT,
    [
      ['id', 'x', 'must be a UUID'],
      ['maker', '  ', 'Write the maker'],
      ['maker', undefined, 'Write the maker'],
      ['maker', letters(200), null],
      ['maker', letters(201), 'At most 200 letters'],
      ['line', '', 'Write the line'],
      ['line', letters(201), 'At most 200 letters'],
      ['kind', 'paint', `${only} kind`],
      ['kind', undefined, `${only} kind`],
      ['coverage', 'thick', `${only} coverage`],
      ['finish', 'shiny', `${only} finish`],
      ['texture', 'foam', `${only} texture`],
      ['family', 'sand', `${only} family`],
      ['measure', 'spoon', `${only} measure`],
      ['measure', undefined, `${only} measure`],
      ['lab', null, null],
      ['lab', [60, 12], 'Three numbers: L*, a* and b*'],
      ['lab', [60, 12, Number.NaN], 'Three numbers: L*, a* and b*'],
      ['lab', [60, 12, '18'], 'Three numbers: L*, a* and b*'],
      ['lab', ['60', 12, 18], 'Three numbers: L*, a* and b*'],
      ['lab', [60, Infinity, 18], 'Three numbers: L*, a* and b*'],
      ['lab', 'beige', 'Three numbers: L*, a* and b*'],
      ['lab', [100.1, 0, 0], /No surface has this colour/.source],
      ['lab', [-0.1, 0, 0], /No surface has this colour/.source],
      ['lab', [60, 128.1, 0], /No surface has this colour/.source],
      ['lab', [60, 0, -128.1], /No surface has this colour/.source],
      ['ingredients', [letters(200)], null],
      ['ingredients', [letters(201)], 'At most 200 letters each'],
      ['ingredients', Array.from({ length: 200 }, () => 'water'), null],
      ['ingredients', Array.from({ length: 201 }, () => 'water'), 'At most 200'],
      ['mgPerMeasure', 'some', 'A number of milligrams'],
      ['mgPerMeasure', 0, 'More than 0 mg'],
      ['mgPerMeasure', 0.1, null],
      ['mgPerMeasure', 5000, null],
      ['mgPerMeasure', 5001, 'At most 5000 mg'],
      ['mgPerMeasure', undefined, 'How much one measure holds, in mg'],
      ['tintingStrength', 'strong', 'A number'],
      ['tintingStrength', 0, 'More than 0'],
      ['tintingStrength', 20, null],
      ['tintingStrength', 20.1, 'At most 20'],
      ['tintingStrength', undefined, null],
      ['monthsAfterOpening', 'a year', 'A number of months'],
      ['monthsAfterOpening', 1.5, 'Whole months'],
      ['monthsAfterOpening', 0, 'At least 1'],
      ['monthsAfterOpening', 1, null],
      ['monthsAfterOpening', 60, null],
      ['monthsAfterOpening', 61, 'At most 60'],
      ['monthsAfterOpening', undefined, 'Months it is good for once opened'],
      ['flashGrade', 3, null],
      ['flashGrade', 4, 'From 0, nothing, to 3, plainly'],
      ['wearHours', 'long', 'A number of hours'],
      ['wearHours', -1, 'Not less than nothing'],
      ['wearHours', 48, null],
      ['wearHours', 49, 'At most 48 hours'],
      ['smallestShare', 0.25, null],
      ['smallestShare', 0.3, 'A whole measure, half or a quarter'],
      ['tool', 'hammer', 'Choose a tool'],
      ['tool', 'finger', null],
      ['misspelt', 1, 'is not known here'],
    ],
  ],
  [
    'a unit',
    unitInputSchema,
    UNIT,
    [
      ['productId', undefined, 'Choose the product'],
      ['productId', 'x', 'must be a UUID'],
      ['openedOn', null, null],
      ['openedOn', '', 'A date, as 2031-05-14'],
      ['openedOn', '2031-02-31', '2031-05-14'],
      ['remainingMg', 'half', 'A number of milligrams'],
      ['remainingMg', -1, 'Not less than nothing'],
      ['remainingMg', 0, null],
      ['remainingMg', 1e7, null],
      ['remainingMg', 1e7 + 1, 'At most 10 kg'],
      ['remainingMg', undefined, 'How much is in it, in mg'],
      ['place', letters(120), null],
      ['place', letters(121), 'At most 120 letters'],
      ['misspelt', 1, 'is not known here'],
    ],
  ],
  [
    'a count',
    countInputSchema,
    COUNT,
    [
      ['remainingMg', -1, 'Not less than nothing'],
      ['remainingMg', 1e7 + 1, 'At most 10 kg'],
      ['remainingMg', undefined, 'How much is left, in mg'],
      ['note', letters(201), 'At most 200 letters'],
      ['misspelt', 1, 'is not known here'],
    ],
  ],
  [
    'a kit’s file',
    importKitSchema,
    FILE,
    [
      ['text', '', 'Choose a file'],
      ['text', letters(6_000_001), 'larger than 6 MB'],
      ['mapping', { paint: 'Maker' }, 'A header for each column'],
      ['mapping', { maker: 1 }, 'A header for each column'],
      ['mapping', 'Maker', 'A header for each column'],
      ['mapping', { maker: 'Maker', line: 'Range' }, null],
      ['misspelt', 1, 'is not known here'],
    ],
  ],
  [
    'a client',
    clientFormSchema,
    CLIENT,
    [
      ['name', ' ', 'Write a name'],
      ['name', letters(120), null],
      ['name', letters(121), 'At most 120 letters'],
      ['phone', '', null],
      ['phone', '12345', null],
      ['phone', '1234', 'Digits, spaces and + only'],
      ['phone', '1'.repeat(40), null],
      ['phone', '1'.repeat(41), 'Digits, spaces and + only'],
      ['phone', '(0) 123.45/6-7', null],
      ['phone', 'call 12345', 'Digits, spaces and + only'],
      ['phone', '12345 home', 'Digits, spaces and + only'],
      ['email', '', null],
      ['email', 'ilse', 'This is not an email address'],
      ['email', `${letters(190)}@example.org`, 'At most 200 letters'],
      ['birthYear', '', null],
      ['birthYear', null, null],
      ['birthYear', 'young', 'A year, as 1994'],
      ['birthYear', 1994.5, 'A year, as 1994'],
      ['birthYear', 1899, 'A year after 1900'],
      ['birthYear', 1900, null],
      ['birthYear', 2100, null],
      ['birthYear', 2101, 'A year before 2100'],
      ['guardianConsent', letters(201), 'At most 200 letters'],
      ['sensitivities', [' '], 'Say what it is'],
      ['sensitivities', [letters(121)], 'At most 120 letters each'],
      ['sensitivities', Array.from({ length: MOST_SENSITIVITIES }, () => 'latex'), null],
      [
        'sensitivities',
        Array.from({ length: MOST_SENSITIVITIES + 1 }, () => 'latex'),
        `At most ${MOST_SENSITIVITIES}`,
      ],
      ['notes', letters(4000), null],
      ['notes', letters(4001), 'At most 4000 letters'],
      ['misspelt', 1, 'is not known here'],
    ],
  ],
  [
    'a client as written',
    clientInputSchema,
    { ...CLIENT, id: ID, features: PLAIN_FEATURES, measurements: {} },
    [
      ['id', 'x', 'must be a UUID'],
      ['features', { ...PLAIN_FEATURES, hair: 'blue' }, 'features.hair: '],
      ['features', undefined, 'features is a required field'],
      ['taps', { nose: 1 }, 'taps.nose: '],
      ['taps', 'many', 'taps: '],
      ['likeness', { nose: 1 }, 'likeness'],
      ['likeness', 'hers', 'likeness'],
      ['likeness', null, null],
    ],
  ],
];

describe.each(FORMS)('%s', (_, schema, sound, rows) => {
  test('that is sound is taken', () => expect(problems(schema, sound)).toEqual([]));

  test.each(rows.map((row, i) => [i, ...row] as const))('%d: %s', (__, field, value, said) => {
    const told = problems(schema, { ...sound, [field]: value });
    if (said === null) expect(told).toEqual([]);
    else {
      expect(told.length).toBeGreaterThan(0);
      // Beside the field it is about, and in our words.
      const own = told.filter((one) => one.startsWith(field) || field === 'misspelt');
      expect(own.join('\n')).toContain(said);
    }
  });
});

test('measurements are numbers a face can have, each said by its name; what is empty was not taken', () => {
  expect(problems(measurementsSchema, {})).toEqual([]);
  expect(problems(measurementsSchema, { faceLength: '', jawWidth: null })).toEqual([]);
  expect(problems(measurementsSchema, { faceLength: 'long' }).join()).toContain(
    `${MEASUREMENTS.faceLength.label} is a number in millimetres`,
  );
  expect(problems(measurementsSchema, { faceLength: 900 })[0]).toMatch(/^faceLength: /);
  expect(problems(measurementsSchema, { earLobe: 12 }).join()).toContain('is not a measurement');
});
